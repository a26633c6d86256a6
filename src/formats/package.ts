import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { RefusedZip, readZip, TOO_MUCH } from './zip';

/**
 * Questions, sets and shelves as one file: a zip (APPNOTE 6.3) with `package.json` saying what is in it, each question
 * and set as its own JSON, each medium under the SHA-256 of its bytes.
 */
export const PACKAGE_FORMAT = 'vault-drop/package';
export const PACKAGE_VERSION = 1;

export interface PackedShelf {
  readonly id: string;
  readonly title: string;
  /** Another shelf of the package, or null. */
  readonly parentId: string | null;
}
export interface PackedQuestion {
  readonly document: unknown;
  readonly shelfId: string | null;
  readonly tags: readonly string[];
}
export interface PackedSet {
  readonly id: string;
  readonly content: unknown;
}
/** The content of a package without its media, which are files of their own. */
export interface Package {
  readonly shelves: readonly PackedShelf[];
  readonly questions: readonly PackedQuestion[];
  readonly sets: readonly PackedSet[];
}

/** The limits of an unpacked package. */
export const PACKAGE_LIMITS = {
  /** Bytes, all files together, and of one question or set. */
  bytes: 300_000_000,
  json: 5_000_000,
  /** Bytes of all questions and sets together. */
  allJson: 64_000_000,
  files: 12_000,
  shelves: 500,
  questions: 2_000,
  sets: 500,
} as const;

/**
 * Writes a package piece by piece: `write` gets its bytes in their order. Media are read one after another as they are
 * written.
 */
export async function pack(
  { shelves, questions, sets }: Package,
  media: AsyncIterable<{ readonly hash: string; readonly ending: string; readonly bytes: Uint8Array }>,
  write: (bytes: Uint8Array) => void,
): Promise<void> {
  const zip = new Zip((error, bytes) => {
    if (error) throw error;
    write(bytes);
  });
  const add = (file: ZipDeflate | ZipPassThrough, bytes: Uint8Array) => {
    zip.add(file);
    file.push(bytes, true);
  };
  const addJson = (name: string, value: unknown) =>
    add(new ZipDeflate(name, { level: 6 }), strToU8(JSON.stringify(value, null, 1)));
  addJson('package.json', {
    format: PACKAGE_FORMAT,
    version: PACKAGE_VERSION,
    shelves,
    questions: questions.map(({ shelfId, tags }, i) => ({ file: `questions/${i + 1}.json`, shelfId, tags })),
    sets: sets.map(({ id }, i) => ({ file: `sets/${i + 1}.json`, id })),
  });
  for (const [i, { document }] of questions.entries()) addJson(`questions/${i + 1}.json`, document);
  for (const [i, { content }] of sets.entries()) addJson(`sets/${i + 1}.json`, content);
  // Pictures, sounds and films are compressed as they are.
  for await (const { hash, ending, bytes } of media) add(new ZipPassThrough(`media/${hash}.${ending}`), bytes);
  zip.end();
}

/** Why a part of a package was not read: the file, and a sentence. */
export interface PackageProblem {
  readonly file: string;
  readonly message: string;
}
export interface UnpackedMedium {
  /** The hash in its name; a medium is checked against its bytes. */
  readonly hash: string;
  readonly ending: string;
}
export type Unpacked =
  | {
      readonly ok: true;
      readonly value: Package;
      readonly media: readonly UnpackedMedium[];
      readonly problems: readonly PackageProblem[];
    }
  | { readonly ok: false; readonly message: string };

const MEDIUM = /^media\/([0-9a-f]{64})\.([a-z0-9]{1,5})$/;
const JSON_FILE = /^(?:package|(?:questions|sets)\/\d{1,6})\.json$/;

/** Reads an untrusted package, as {@link readZip} reads a zip. `keep` gets a medium's bytes in chunks. */
export function unpack(
  chunks: Iterable<Uint8Array>,
  keep: (medium: UnpackedMedium, bytes: Uint8Array) => void,
): Unpacked {
  const texts = new Map<string, Uint8Array[]>();
  const media = new Map<string, UnpackedMedium>();
  let jsonSize = 0;
  const message = readZip(chunks, PACKAGE_LIMITS, (name) => {
    const [, hash, ending] = MEDIUM.exec(name) ?? [];
    const isJson = JSON_FILE.test(name);
    if (!isJson && !(hash && ending)) return null;
    if (texts.has(name) || (hash && media.has(hash))) throw new RefusedZip('This file has two parts of one name.');
    if (hash && ending) {
      media.set(hash, { hash, ending });
      return (bytes) => keep({ hash, ending }, bytes);
    }
    const parts: Uint8Array[] = [];
    texts.set(name, parts);
    let own = 0;
    return (bytes) => {
      own += bytes.length;
      jsonSize += bytes.length;
      if (jsonSize > PACKAGE_LIMITS.allJson || own > PACKAGE_LIMITS.json) throw new RefusedZip(TOO_MUCH);
      parts.push(bytes);
    };
  });
  return message === null ? readParts(texts, [...media.values()]) : { ok: false, message };
}

function readParts(texts: ReadonlyMap<string, readonly Uint8Array[]>, media: readonly UnpackedMedium[]): Unpacked {
  const jsonIn = (name: string) => jsonOf(texts.get(name));
  const manifest = jsonIn('package.json');
  if (!isRecord(manifest) || manifest.format !== PACKAGE_FORMAT)
    return { ok: false, message: 'This file is no package of questions.' };
  if (manifest.version !== PACKAGE_VERSION)
    return { ok: false, message: 'This package is of a newer version than is known here.' };
  const problems: PackageProblem[] = [];
  const lists = { shelves: manifest.shelves, questions: manifest.questions, sets: manifest.sets };
  for (const name of ['shelves', 'questions', 'sets'] as const) {
    const list = lists[name];
    if (Array.isArray(list) && list.length > PACKAGE_LIMITS[name])
      return { ok: false, message: `At most ${PACKAGE_LIMITS[name]} ${name} are taken at once.` };
  }
  const parts = (list: unknown) => (Array.isArray(list) ? list : []).filter(isRecord);
  const read = (file: unknown): unknown => {
    const value = typeof file === 'string' ? jsonIn(file) : undefined;
    if (value === undefined)
      problems.push({ file: String(file).slice(0, 100), message: 'It is missing, or not JSON.' });
    return value;
  };
  const text = (value: unknown) => (typeof value === 'string' ? value.slice(0, 100) : null);
  const shelves = parts(lists.shelves).flatMap((part) => {
    const [id, title] = [text(part.id), text(part.title)?.trim()];
    return id && title ? [{ id, title, parentId: text(part.parentId) }] : [];
  });
  const questions = parts(lists.questions).flatMap((part) => {
    const document = read(part.file);
    const tags = (Array.isArray(part.tags) ? part.tags : [])
      .flatMap((tag) => (typeof tag === 'string' && tag.trim() !== '' ? [tag.trim().slice(0, 60)] : []))
      .slice(0, 20);
    return document === undefined ? [] : [{ document, shelfId: text(part.shelfId), tags }];
  });
  const sets = parts(lists.sets).flatMap((part) => {
    const content = read(part.file);
    return content === undefined ? [] : [{ id: text(part.id) ?? '', content }];
  });
  return { ok: true, value: { shelves, questions, sets }, media, problems };
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function jsonOf(parts: readonly Uint8Array[] | undefined): unknown {
  if (!parts) return undefined;
  const decoder = new TextDecoder();
  try {
    return JSON.parse(parts.map((part) => decoder.decode(part, { stream: true })).join('') + decoder.decode());
  } catch {
    return undefined;
  }
}
