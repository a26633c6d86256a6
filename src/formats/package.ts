import { strToU8, Unzip, UnzipInflate, Zip, ZipDeflate, ZipPassThrough } from 'fflate';

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

class Refused extends Error {}
const TOO_MUCH = 'There is more in this file than may be taken at once.';
const BROKEN = 'This file cannot be read: it is no zip, or it is broken.';

/**
 * Reads an untrusted package from its first byte to its last. Inflated bytes are counted as they come, whatever the
 * file claims, and no byte is read twice, so that entries cannot share bytes. `keep` gets a medium's bytes in chunks.
 */
export function unpack(
  chunks: Iterable<Uint8Array>,
  keep: (medium: UnpackedMedium, bytes: Uint8Array) => void,
): Unpacked {
  const texts = new Map<string, Uint8Array[]>();
  const media = new Map<string, UnpackedMedium>();
  let entries = 0;
  let size = 0;
  let jsonSize = 0;
  const unzip = new Unzip();
  unzip.register(UnzipInflate);
  unzip.onfile = (file) => {
    if (++entries > PACKAGE_LIMITS.files) throw new Refused(TOO_MUCH);
    const [, hash, ending] = MEDIUM.exec(file.name) ?? [];
    const isJson = JSON_FILE.test(file.name);
    if (!isJson && !(hash && ending)) return;
    if (texts.has(file.name) || (hash && media.has(hash))) throw new Refused('This file has two parts of one name.');
    const parts: Uint8Array[] = [];
    if (isJson) texts.set(file.name, parts);
    else if (hash && ending) media.set(hash, { hash, ending });
    let own = 0;
    file.ondata = (error, bytes) => {
      // An error thrown here is caught here.
      if (error) throw (error as Error) instanceof Refused ? error : new Refused(BROKEN);
      size += bytes.length;
      own += bytes.length;
      if (isJson) jsonSize += bytes.length;
      if (size > PACKAGE_LIMITS.bytes || jsonSize > PACKAGE_LIMITS.allJson || (isJson && own > PACKAGE_LIMITS.json))
        throw new Refused(TOO_MUCH);
      if (isJson) parts.push(bytes);
      else if (hash && ending) keep({ hash, ending }, bytes);
    };
    file.start();
  };
  let tail = new Uint8Array(0);
  try {
    for (const chunk of chunks) {
      unzip.push(chunk, false);
      tail = lastBytes(tail, chunk);
    }
    unzip.push(new Uint8Array(0), true);
  } catch (error) {
    return { ok: false, message: error instanceof Refused ? error.message : BROKEN };
  }
  const named = entriesNamed(tail);
  if (named === null || entries === 0) return { ok: false, message: BROKEN };
  if (named !== entries)
    return { ok: false, message: 'This file is broken: its list of parts is not of the parts that are in it.' };
  return readParts(texts, [...media.values()]);
}

/** The end of a zip's central directory, with the longest comment it may have, in bytes. */
const MAX_END = 22 + 65_535;

function lastBytes(before: Uint8Array<ArrayBuffer>, chunk: Uint8Array): Uint8Array<ArrayBuffer> {
  const joined = new Uint8Array(before.length + chunk.length);
  joined.set(before);
  joined.set(chunk, before.length);
  return joined.slice(-MAX_END);
}

/** How many entries the list at a zip's end names (APPNOTE 4.3.16); null: there is no such list. */
function entriesNamed(tail: Uint8Array): number | null {
  const view = new DataView(tail.buffer, tail.byteOffset, tail.byteLength);
  for (let at = tail.length - 22; at >= 0; at--)
    if (view.getUint32(at, true) === 0x06054b50) return view.getUint16(at + 10, true);
  return null;
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
