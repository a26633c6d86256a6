import { strFromU8, strToU8, type Unzipped, unzipSync, zipSync } from 'fflate';

/**
 * Questions, sets and shelves as one file: a zip (APPNOTE 6.3) with `package.json` saying what is in it, each question and set as its own JSON, each medium under the
 * SHA-256 of its bytes.
 */
export const PACKAGE_FORMAT = 'vault-drop/package';
export const PACKAGE_VERSION = 1;

export interface PackedShelf {
  readonly id: string;
  readonly title: string;
  /** Another of the package, or null. */
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
export interface Package {
  readonly shelves: readonly PackedShelf[];
  readonly questions: readonly PackedQuestion[];
  readonly sets: readonly PackedSet[];
  /** By their SHA-256: their bytes, and the ending of a file of their kind. */
  readonly media: ReadonlyMap<string, { readonly bytes: Uint8Array; readonly ending: string }>;
}

/** Bytes and files there may be in a package when it is unpacked. */
const MOST_BYTES = 300_000_000;
const MOST_FILES = 12_000;
const MOST_JSON = 5_000_000;

export function pack({ shelves, questions, sets, media }: Package): Uint8Array {
  const files: Record<string, Uint8Array | [Uint8Array, { level: 0 }]> = {};
  const json = (value: unknown) => strToU8(JSON.stringify(value, null, 1));
  files['package.json'] = json({
    format: PACKAGE_FORMAT,
    version: PACKAGE_VERSION,
    shelves,
    questions: questions.map(({ shelfId, tags }, i) => ({ file: `questions/${i + 1}.json`, shelfId, tags })),
    sets: sets.map(({ id }, i) => ({ file: `sets/${i + 1}.json`, id })),
  });
  for (const [i, { document }] of questions.entries()) files[`questions/${i + 1}.json`] = json(document);
  for (const [i, { content }] of sets.entries()) files[`sets/${i + 1}.json`] = json(content);
  // Pictures, sounds and films are compressed as they are.
  for (const [hash, { bytes, ending }] of media) files[`media/${hash}.${ending}`] = [bytes, { level: 0 }];
  return zipSync(files, { level: 6 });
}

/** What stood in the way of reading something in a package: the file, and a sentence. */
export interface PackageProblem {
  readonly file: string;
  readonly message: string;
}
export type Unpacked = { readonly ok: true; readonly value: Package; readonly problems: readonly PackageProblem[] } | { readonly ok: false; readonly message: string };

const MEDIUM = /^media\/([0-9a-f]{64})\.([a-z0-9]{1,5})$/;

/** Reads a package that may come from anywhere: nothing is taken by its name but what a package has, and no more is unpacked than there may be. */
export function unpack(bytes: Uint8Array): Unpacked {
  let files: Unzipped;
  let size = 0;
  let count = 0;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        const known = name === 'package.json' || /^(?:questions|sets)\/\d{1,6}\.json$/.test(name) || MEDIUM.test(name);
        if (!known) return false;
        if (name.endsWith('.json') && originalSize > MOST_JSON) return false;
        size += originalSize;
        count++;
        if (size > MOST_BYTES || count > MOST_FILES) throw new TooMuch();
        return true;
      },
    });
  } catch (error) {
    return { ok: false, message: error instanceof TooMuch ? 'There is more in this file than may be taken at once.' : 'This file cannot be read: it is no zip, or it is broken.' };
  }
  const manifest = jsonIn(files, 'package.json');
  if (!isRecord(manifest) || manifest.format !== PACKAGE_FORMAT) return { ok: false, message: 'This file is no package of questions.' };
  if (manifest.version !== PACKAGE_VERSION) return { ok: false, message: 'This package is of a newer version than is known here.' };
  const problems: PackageProblem[] = [];
  const parts = (name: 'questions' | 'sets') => (Array.isArray(manifest[name]) ? manifest[name] : []).filter(isRecord);
  const read = (file: unknown): unknown => {
    const value = typeof file === 'string' ? jsonIn(files, file) : undefined;
    if (value === undefined) problems.push({ file: String(file).slice(0, 100), message: 'It is missing, or not JSON.' });
    return value;
  };
  const text = (value: unknown) => (typeof value === 'string' ? value.slice(0, 100) : null);
  const shelves = (Array.isArray(manifest.shelves) ? manifest.shelves : []).filter(isRecord).flatMap((one) => {
    const [id, title] = [text(one.id), text(one.title)?.trim()];
    return id && title ? [{ id, title, parentId: text(one.parentId) }] : [];
  });
  const questions = parts('questions').flatMap((one) => {
    const document = read(one.file);
    const tags = (Array.isArray(one.tags) ? one.tags : []).flatMap((tag) => (typeof tag === 'string' && tag.trim() !== '' ? [tag.trim().slice(0, 60)] : [])).slice(0, 20);
    return document === undefined ? [] : [{ document, shelfId: text(one.shelfId), tags }];
  });
  const sets = parts('sets').flatMap((one) => {
    const content = read(one.file);
    return content === undefined ? [] : [{ id: text(one.id) ?? '', content }];
  });
  const media = new Map<string, { bytes: Uint8Array; ending: string }>();
  for (const [name, of] of Object.entries(files)) {
    const [, hash, ending] = MEDIUM.exec(name) ?? [];
    if (hash && ending) media.set(hash, { bytes: of, ending });
  }
  return { ok: true, value: { shelves, questions, sets, media }, problems };
}

class TooMuch extends Error {}

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);

function jsonIn(files: Unzipped, name: string): unknown {
  const bytes = Object.hasOwn(files, name) ? files[name] : undefined;
  if (!bytes) return undefined;
  try {
    return JSON.parse(strFromU8(bytes));
  } catch {
    return undefined;
  }
}
