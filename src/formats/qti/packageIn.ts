import type { Question } from '../../core';
import { parseQuestionText } from '../../core/document';
import { RefusedZip, readZip, TOO_MUCH } from '../zip';
import type { Approximation } from './arriving';
import { firstInteraction, itemIn, type TakenMedium } from './itemIn';
import { MANIFEST, OWN_ENDING } from './packageOut';
import { type ArrivedTest, type TestPart, testIn } from './testIn';
import { childrenNamed, readXml, within, type XmlElement } from './xml';

/** The limits of a package that is read: bytes as they are inflated, parts, and bytes of one text. */
export const QTI_LIMITS = { bytes: 200_000_000, files: 12_000, text: 8_000_000, items: 2_000 } as const;

const KINDS: Readonly<Record<string, TakenMedium['kind']>> = {
  png: 'picture',
  jpg: 'picture',
  jpeg: 'picture',
  gif: 'picture',
  webp: 'picture',
  svg: 'picture',
  mp3: 'sound',
  ogg: 'sound',
  wav: 'sound',
  m4a: 'sound',
  mp4: 'film',
  webm: 'film',
};
const endingOf = (name: string) => /\.([A-Za-z0-9]{1,5})$/.exec(name)?.[1]?.toLowerCase() ?? '';

/** A question of the package. */
export interface ArrivedQuestion {
  /** What it is called: its item's identifier, with -1, -2 … where an item became several. */
  readonly name: string;
  readonly question: Question;
  readonly interaction: string | null;
  /** It is our own document, which travelled beside its item. */
  readonly isOwn: boolean;
  readonly approximations: readonly Approximation[];
}
/** An item of the package: the questions that it became, or why it became none. */
export type ArrivedItem =
  | { readonly identifier: string; readonly questions: readonly ArrivedQuestion[] }
  | { readonly identifier: string; readonly interaction: string | null; readonly reason: string };

export type ArrivedPackage =
  | {
      readonly ok: true;
      readonly items: readonly ArrivedItem[];
      readonly tests: readonly ArrivedTest[];
      /** Tests that cannot be read, and why. */
      readonly unreadTests: readonly { readonly identifier: string; readonly reason: string }[];
      /** The media that its questions name, by the SHA-256 of their bytes. */
      readonly media: ReadonlyMap<string, { readonly ending: string; readonly bytes: Uint8Array }>;
    }
  | { readonly ok: false; readonly message: string };

/** The id of a question within its package: our own documents have one; others go by their name there. */
export const idInPackage = ({ isOwn, question, name }: ArrivedQuestion): string =>
  isOwn ? question.id : name.slice(0, 100);

/** A path of the package as its parts are named: resolved against a folder, decoded; null: it leads out of it. */
function resolved(folder: string, href: string): string | null {
  let path: string;
  try {
    path = decodeURIComponent(href.split(/[?#]/)[0] ?? '');
  } catch {
    return null;
  }
  if (path === '' || /^[a-z][a-z0-9+.-]*:/i.test(path) || path.startsWith('/')) return null;
  const parts: string[] = [];
  for (const part of `${folder}${path}`.split('/')) {
    if (part === '' || part === '.') continue;
    if (part !== '..') parts.push(part);
    else if (parts.pop() === undefined) return null;
  }
  return parts.join('/');
}
const folderOf = (name: string) => name.slice(0, name.lastIndexOf('/') + 1);

/**
 * Reads an untrusted package of QTI. `hash` gives the SHA-256 of bytes in small hexadecimal digits. An item that cannot
 * be read says why, and the rest still comes in.
 */
export function packageIn(chunks: Iterable<Uint8Array>, hash: (bytes: Uint8Array) => string): ArrivedPackage {
  const parts = new Map<string, Uint8Array[]>();
  const refused = readZip(chunks, QTI_LIMITS, (name) => {
    const isText = /\.(xml|json)$/i.test(name);
    if (!isText && !KINDS[endingOf(name)]) return null;
    if (parts.has(name)) throw new RefusedZip('This file has two parts of one name.');
    const own: Uint8Array[] = [];
    parts.set(name, own);
    let size = 0;
    return (bytes) => {
      size += bytes.length;
      if (isText && size > QTI_LIMITS.text) throw new RefusedZip(TOO_MUCH);
      own.push(bytes);
    };
  });
  if (refused !== null) return { ok: false, message: refused };
  const bytesOf = (name: string | null): Uint8Array | null => {
    const found = name === null ? undefined : parts.get(name);
    return found ? joined(found) : null;
  };
  const textIn = (name: string | null): string | null => {
    const bytes = bytesOf(name);
    return bytes && new TextDecoder().decode(bytes);
  };

  const manifestName = [...parts.keys()].find((name) => name === MANIFEST || name.endsWith(`/${MANIFEST}`));
  const manifest = manifestName === undefined ? null : readXml(textIn(manifestName) ?? '');
  if (!manifestName || !manifest)
    return { ok: false, message: `This file is no package of QTI: it has no ${MANIFEST}.` };
  if (!manifest.ok) return { ok: false, message: `Its ${MANIFEST} cannot be read. ${manifest.message}` };
  const resources = within(manifest.root, 'resource');
  const items = resources.filter(({ attributes }) => /^imsqti_item_/.test(attributes.type ?? ''));
  if (items.length === 0) return { ok: false, message: 'There is no item of QTI in this package.' };
  if (items.length > QTI_LIMITS.items)
    return { ok: false, message: `At most ${QTI_LIMITS.items} items are taken at once.` };

  const root = folderOf(manifestName);
  const byId = new Map(resources.map((resource) => [resource.attributes.identifier ?? '', resource]));
  const media = new Map<string, { ending: string; bytes: Uint8Array }>();
  const hashes = new Map<string, string>();
  /** Each file is hashed once, whoever names it. */
  const hashOf = (name: string, bytes: Uint8Array): string => {
    const known = hashes.get(name) ?? hash(bytes);
    hashes.set(name, known);
    return known;
  };
  const takeFrom =
    (folder: string) =>
    (href: string): TakenMedium | null => {
      const name = resolved(folder, href);
      const kind = name === null ? undefined : KINDS[endingOf(name)];
      const bytes = kind ? bytesOf(name) : null;
      if (!kind || !bytes || name === null) return null;
      const found = hashOf(name, bytes);
      media.set(found, { ending: endingOf(name), bytes });
      return { href: name, hash: found, kind, weight: bytes.length };
    };
  /** The media of our own document, which names them by what is in them. */
  const takeOwn = ({ media: named }: Question) => {
    const wanted = new Set(Object.values(named).map((medium) => medium.hash));
    for (const name of parts.keys()) {
      if (wanted.size === 0) return;
      const bytes = KINDS[endingOf(name)] ? bytesOf(name) : null;
      const found = bytes && hashOf(name, bytes);
      if (bytes && found && wanted.delete(found)) media.set(found, { ending: endingOf(name), bytes });
    }
  };
  const used = new Set<string>();
  const byFile = new Map<string, readonly TestPart[]>();
  const become = (file: string, identifier: string, questions: readonly ArrivedQuestion[]): ArrivedItem => {
    byFile.set(
      file,
      questions.map((arrivedQuestion) => ({ id: idInPackage(arrivedQuestion), question: arrivedQuestion.question })),
    );
    return { identifier, questions };
  };
  const arrived = items.map((resource): ArrivedItem => {
    const href = resource.attributes.href ?? childrenNamed(resource, 'file')[0]?.attributes.href ?? '';
    const name = resolved(root, href);
    const called = resource.attributes.identifier ?? href;
    const text = textIn(name);
    if (text === null || name === null)
      return { identifier: called, interaction: null, reason: `Its file ${href} is not in the package.` };
    const xml = readXml(text);
    if (!xml.ok) return { identifier: called, interaction: null, reason: xml.message };
    const identifier = xml.root.attributes.identifier || called;
    const interaction = firstInteraction(xml.root);
    const own = ownDocument(resource, byId, root, textIn);
    if (own) {
      takeOwn(own);
      return become(name, identifier, [
        { name: unused(identifier, used), question: own, interaction, isOwn: true, approximations: [] },
      ]);
    }
    const read = itemIn(xml.root, identifier.slice(0, 90), takeFrom(folderOf(name)));
    if (!read.ok) return { identifier, interaction, reason: read.reason };
    const several = read.questions.length > 1;
    const questions = read.questions.map((found, i) => ({
      ...found,
      name: unused(several ? `${identifier}-${i + 1}` : identifier, used),
      isOwn: false,
    }));
    return become(name, identifier, questions);
  });

  const tests: ArrivedTest[] = [];
  const unreadTests: { identifier: string; reason: string }[] = [];
  for (const { attributes } of resources.filter(({ attributes: { type } }) => /^imsqti_test_/.test(type ?? ''))) {
    const name = resolved(root, attributes.href ?? '');
    const identifier = attributes.identifier ?? attributes.href ?? '';
    const text = textIn(name);
    const xml = text === null ? null : readXml(text);
    if (!xml?.ok || name === null) {
      unreadTests.push({ identifier, reason: xml?.ok === false ? xml.message : 'Its file is not in the package.' });
      continue;
    }
    const read = testIn(xml.root, (href) => byFile.get(resolved(folderOf(name), href) ?? '') ?? []);
    if (!read) unreadTests.push({ identifier, reason: 'It is no test.' });
    else if (read.sections.length === 0)
      unreadTests.push({ identifier: read.identifier, reason: 'None of its questions came in.' });
    else tests.push(read);
  }
  return { ok: true, items: arrived, tests, unreadTests, media };
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((size, part) => size + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/** Our own document among what an item depends on; null: there is none that can be read. */
function ownDocument(
  resource: XmlElement,
  byId: ReadonlyMap<string, XmlElement>,
  root: string,
  textIn: (name: string | null) => string | null,
): Question | null {
  for (const { attributes } of childrenNamed(resource, 'dependency')) {
    const href = byId.get(attributes.identifierref ?? '')?.attributes.href ?? '';
    if (!href.endsWith(OWN_ENDING)) continue;
    const text = textIn(resolved(root, href));
    const parsed = text === null ? null : parseQuestionText(text);
    if (parsed?.ok) return parsed.question;
  }
  return null;
}

/** A name of letters, digits, dots, lines and dashes that no other question has. */
function unused(name: string, used: Set<string>): string {
  const plain = name.replace(/[^A-Za-z0-9._-]/g, '_') || 'item';
  let free = plain;
  for (let n = 2; used.has(free.toLowerCase()); n++) free = `${plain}-${n}`;
  used.add(free.toLowerCase());
  return free;
}
