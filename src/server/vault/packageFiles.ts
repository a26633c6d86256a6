import { appendFileSync, closeSync, openSync, readFileSync, readSync, writeFileSync, writeSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { v5 as uuidV5 } from 'uuid';
import { type SetContent, setContent } from '../../contract';
import { parseQuestion } from '../../core/document';
import {
  type Package,
  type PackageProblem,
  type PackedShelf,
  pack,
  type UnpackedMedium,
  unpack,
} from '../../formats/package';
import { tooLong } from '../http/gate';
import { type Examined, examineQuestion } from './examine';

// Work on packages in a worker thread: from files to files, without a database.

/** A medium to be packed, with the path of its bytes. */
export interface MediumToPack {
  readonly hash: string;
  readonly ending: string;
  readonly file: string;
}

/** Writes a package into a file. */
export async function packInto({
  file,
  content,
  media,
}: {
  readonly file: string;
  readonly content: Package;
  readonly media: readonly MediumToPack[];
}): Promise<void> {
  async function* bytes() {
    for (const { file: from, ...medium } of media) yield { ...medium, bytes: await readFile(from) };
  }
  const handle = openSync(file, 'wx', 0o600);
  try {
    await pack(content, bytes(), (piece) => writeSync(handle, piece));
  } finally {
    closeSync(handle);
  }
}

/** The content of a package, unpacked: its questions, sets and media are files in a folder. */
export interface ReadPackage {
  readonly shelves: readonly PackedShelf[];
  readonly questions: readonly {
    readonly file: string;
    readonly shelfId: string | null;
    readonly tags: readonly string[];
  }[];
  readonly sets: readonly { readonly file: string; readonly id: string }[];
  readonly media: readonly (UnpackedMedium & { readonly file: string })[];
  readonly problems: readonly PackageProblem[];
}

const CHUNK = 64 * 1024;
function* chunksOf(file: string): Generator<Uint8Array> {
  const handle = openSync(file, 'r');
  try {
    for (;;) {
      const chunk = new Uint8Array(CHUNK);
      const read = readSync(handle, chunk);
      if (read === 0) return;
      yield chunk.subarray(0, read);
    }
  } finally {
    closeSync(handle);
  }
}

/** Reads a package out of a file into a folder. */
export function readPackage({
  file,
  folder,
}: {
  readonly file: string;
  readonly folder: string;
}): { readonly ok: true; readonly value: ReadPackage } | { readonly ok: false; readonly message: string } {
  const mediumIn = (hash: string) => join(folder, `medium-${hash}`);
  const read = unpack(chunksOf(file), ({ hash }, bytes) => appendFileSync(mediumIn(hash), bytes, { mode: 0o600 }));
  if (!read.ok) return read;
  const { shelves, questions, sets } = read.value;
  const written = (name: string, value: unknown) => {
    const path = join(folder, name);
    writeFileSync(path, JSON.stringify(value), { mode: 0o600 });
    return path;
  };
  return {
    ok: true,
    value: {
      shelves,
      questions: questions.map(({ document, ...one }, i) => ({ ...one, file: written(`question-${i}`, document) })),
      sets: sets.map(({ content, id }, i) => ({ id, file: written(`set-${i}`, content) })),
      media: read.media.map((medium) => ({ ...medium, file: mediumIn(medium.hash) })),
      problems: read.problems,
    },
  };
}

/**
 * The ids of imported things: UUIDs in the namespace of the import's id, so that the same package imported again makes
 * the same ids.
 */
export interface Importing {
  readonly importId: string;
  readonly personId: string;
  /** Media: the hash in the package, and the hash after import. */
  readonly media: ReadonlyMap<string, string>;
}
export const renewedId = (
  { importId, personId }: Pick<Importing, 'importId' | 'personId'>,
  kind: string,
  id: string,
): string =>
  // As bytes: as a text `uuid` would refuse ids that the contract takes.
  uuidV5(`${personId} ${kind} ${id}`, Buffer.from(importId.replaceAll('-', ''), 'hex'));

export type ExaminedPart =
  | { readonly ok: true; readonly was: string; readonly value: Examined }
  | { readonly ok: false; readonly message: string };

/** A question of a package with its new id and the imported media. */
export function examinePacked({
  file,
  importing,
}: {
  readonly file: string;
  readonly importing: Importing;
}): ExaminedPart {
  const parsed = parseQuestion(JSON.parse(readFileSync(file, 'utf8')));
  if (!parsed.ok) {
    const [first] = parsed.problems;
    return { ok: false, message: first ? `${first.path}: ${first.message}` : 'It is no question.' };
  }
  const { question } = parsed;
  const missing = Object.entries(question.media).find(([, { hash }]) => !importing.media.has(hash));
  if (missing) return { ok: false, message: `“${question.title}” shows “${missing[0]}”, which did not come in.` };
  const media = Object.fromEntries(
    Object.entries(question.media).map(([name, medium]) => [
      name,
      { ...medium, hash: importing.media.get(medium.hash) },
    ]),
  );
  const whole = examineQuestion({
    document: { ...question, id: renewedId(importing, 'question', question.id), media },
  });
  return whole.ok
    ? { ok: true, was: question.id, value: whole.value }
    : { ok: false, message: whole.problems[0]?.message ?? 'It is no question.' };
}

/**
 * A set of a package with the new ids and the imported media; else the reason for a refusal. `questions`: by their ids
 * in the package.
 */
export function readPackedSet({
  file,
  importing,
  questions,
}: {
  readonly file: string;
  readonly importing: Importing;
  readonly questions: ReadonlyMap<string, string>;
}): SetContent | string {
  const content: unknown = JSON.parse(readFileSync(file, 'utf8'));
  if (typeof content !== 'object' || content === null) return 'It is no set.';
  const long = tooLong(setContent, content);
  if (long) return `${long.path}: ${long.message}.`;
  const given = content as { sections?: unknown; sources?: unknown };
  const list = (value: unknown) =>
    (Array.isArray(value) ? value : []).filter(
      (candidate): candidate is Record<string, unknown> => typeof candidate === 'object' && candidate !== null,
    );
  const here = (ids: unknown) => (Array.isArray(ids) ? ids : []).flatMap((id) => questions.get(String(id)) ?? []);
  const sections = list(given.sections).map((section) => ({
    ...section,
    questions: list(section.questions).flatMap((entry) => {
      const id = questions.get(String(entry.id));
      return id ? [{ ...entry, id }] : [];
    }),
  }));
  const sources = list(given.sources).map(
    (source: Record<string, unknown> & { medium?: { hash?: unknown } | null }) => ({
      ...source,
      id: renewedId(importing, 'source', String(source.id)),
      questions: here(source.questions),
      medium: source.medium ? { ...source.medium, hash: importing.media.get(String(source.medium.hash)) ?? '' } : null,
    }),
  );
  try {
    const set = setContent.validateSync({ ...given, sections, sources }, { strict: true });
    return setContent.cast(set, { stripUnknown: true }) as SetContent;
  } catch (error) {
    return error instanceof Error ? `${error.message}.` : 'It is no set.';
  }
}
