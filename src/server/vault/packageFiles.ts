import { createHash } from 'node:crypto';
import { appendFileSync, closeSync, openSync, readFileSync, writeFileSync, writeSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { v5 as uuidV5 } from 'uuid';
import { type CarriedQuestion, type SetContent, setContent } from '../../contract';
import { modelAnswerOf, type Question, questionModel } from '../../core';
import { parseQuestion } from '../../core/document';
import {
  PACKAGE_LIMITS,
  type Package,
  type PackageProblem,
  type PackedSet,
  type PackedShelf,
  pack,
  type UnpackedMedium,
  unpack,
} from '../../formats/package';
import { itemOut } from '../../formats/qti/item';
import { idInPackage, packageIn } from '../../formats/qti/packageIn';
import { MANIFEST, type OutcomeOut, type PackedItem, type PackedTest, packageOut } from '../../formats/qti/packageOut';
import { testOut } from '../../formats/qti/testOut';
import { readZip } from '../../formats/zip';
import { tooLong } from '../http/gate';
import { fileChunks } from '../work/fileChunks';
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
  readonly form: 'own' | 'qti';
  readonly shelves: readonly PackedShelf[];
  readonly questions: readonly {
    /** What it is called in the package. */
    readonly name: string;
    readonly file: string;
    /** The hashes of the media it shows. */
    readonly media: readonly string[];
    readonly shelfId: string | null;
    readonly tags: readonly string[];
    /** What of it came in otherwise than it was. */
    readonly approximations: readonly string[];
  }[];
  readonly sets: readonly {
    /** What it is called in the package. */
    readonly name: string;
    readonly file: string;
    readonly media: readonly string[];
    readonly id: string;
    readonly approximations: readonly string[];
  }[];
  readonly media: readonly (UnpackedMedium & { readonly file: string })[];
  readonly problems: readonly PackageProblem[];
}

type Read = { readonly ok: true; readonly value: ReadPackage } | { readonly ok: false; readonly message: string };

/** Reads a package out of a file into a folder: one of ours, or one of QTI, as its parts say. */
export function readPackage({ file, folder }: { readonly file: string; readonly folder: string }): Read {
  let isQti = false;
  const refused = readZip(fileChunks(file), { bytes: 0, files: PACKAGE_LIMITS.files }, (name) => {
    isQti ||= name === MANIFEST || name.endsWith(`/${MANIFEST}`);
    return null;
  });
  if (refused !== null) return { ok: false, message: refused };
  return isQti ? readQtiPackage(file, folder) : readOwnPackage(file, folder);
}

/** Writes a document into the folder; `media`: the hashes that it names. */
const writtenIn = (folder: string, name: string, value: unknown): { file: string; media: string[] } => {
  const file = join(folder, name);
  const text = JSON.stringify(value);
  writeFileSync(file, text, { mode: 0o600 });
  return { file, media: [...text.matchAll(/"([0-9a-f]{64})"/g)].flatMap(([, hash]) => hash ?? []) };
};
const mediumIn = (folder: string, hash: string) => join(folder, `medium-${hash}`);

function readOwnPackage(file: string, folder: string): Read {
  const read = unpack(fileChunks(file), ({ hash }, bytes) =>
    appendFileSync(mediumIn(folder, hash), bytes, { mode: 0o600 }),
  );
  if (!read.ok) return read;
  const { shelves, questions, sets } = read.value;
  return {
    ok: true,
    value: {
      form: 'own',
      shelves,
      questions: questions.map(({ document, ...one }, i) => ({
        ...one,
        name: `questions/${i + 1}.json`,
        ...writtenIn(folder, `question-${i}`, document),
        approximations: [],
      })),
      sets: sets.map(({ content, id }, i) => ({
        id,
        name: `sets/${i + 1}.json`,
        ...writtenIn(folder, `set-${i}`, content),
        approximations: [],
      })),
      media: read.media.map((medium) => ({ ...medium, file: mediumIn(folder, medium.hash) })),
      problems: read.problems,
    },
  };
}

function readQtiPackage(file: string, folder: string): Read {
  const read = packageIn(fileChunks(file), (bytes) => createHash('sha256').update(bytes).digest('hex'));
  if (!read.ok) return read;
  const arrived = read.items.flatMap((item) => ('reason' in item ? [] : item.questions));
  return {
    ok: true,
    value: {
      form: 'qti',
      shelves: [],
      questions: arrived.map((one, i) => ({
        name: one.name,
        // Two items may have one identifier; their names differ.
        ...writtenIn(folder, `question-${i}`, { ...one.question, id: idInPackage(one) }),
        shelfId: null,
        tags: [],
        approximations: one.approximations.map(({ message }) => message),
      })),
      sets: read.tests.map(({ identifier, approximations, ...test }, i) => ({
        id: identifier,
        name: identifier.slice(0, 100),
        ...writtenIn(folder, `set-${i}`, test),
        approximations,
      })),
      media: [...read.media].map(([hash, { ending, bytes }]) => {
        const path = mediumIn(folder, hash);
        writeFileSync(path, bytes, { mode: 0o600 });
        return { hash, ending, file: path };
      }),
      problems: [...read.items, ...read.unreadTests].flatMap((part) =>
        'reason' in part ? [{ file: part.identifier.slice(0, 100), message: part.reason }] : [],
      ),
    },
  };
}

/** How long model answers of all questions of a package are looked for, and of one, in milliseconds. */
const SOLVE_MS = { all: 20_000, one: 500 };

/**
 * Writes questions as a package of QTI into a file, those that can be carried, and says of each what becomes of it.
 * `file` null: it is only said.
 */
export function packQti({
  file,
  questions,
  sets,
  media,
  outcomes = {},
}: {
  readonly file: string | null;
  readonly questions: readonly Question[];
  readonly sets: readonly PackedSet[];
  readonly media: readonly MediumToPack[];
  /** Outcomes of CASE, by question. */
  readonly outcomes?: Readonly<Record<string, readonly OutcomeOut[]>>;
}): CarriedQuestion[] {
  const byHash = new Map(media.map((medium) => [medium.hash, medium]));
  const began = performance.now();
  const packed: PackedItem[] = [];
  const carried = questions.map((question): CarriedQuestion => {
    const pictures = new Map(
      Object.entries(question.media).flatMap(([id, { hash }]) => {
        const medium = byHash.get(hash);
        if (!medium) return [];
        const bytes = file === null ? new Uint8Array() : readFileSync(medium.file);
        return [[id, { href: `media/${hash}.${medium.ending}`, bytes }] as const];
      }),
    );
    const left = SOLVE_MS.all - (performance.now() - began);
    const modelAnswer =
      file === null || left <= 0
        ? null
        : modelAnswerOf(questionModel(question), Math.min(left, SOLVE_MS.one), { now: () => performance.now() });
    const item = itemOut(question, { media: pictures, modelAnswer });
    const { id, title } = question;
    if (!item.carried) return { id, title, carried: false, said: [...item.reasons] };
    // Our own document, which goes along, may show more than the item does.
    const files = new Map([...pictures.values()].map(({ href, bytes }) => [href, bytes]));
    packed.push({ question, item, files, outcomes: outcomes[id] ?? [] });
    return { id, title, carried: true, said: [...item.notes] };
  });
  if (file !== null && packed.length > 0) {
    const handle = openSync(file, 'wx', 0o600);
    try {
      packageOut(packed, testsOf(sets, packed), (piece) => writeSync(handle, piece));
    } finally {
      closeSync(handle);
    }
  }
  return carried;
}

/** Sets as tests over those of their questions that go out. */
function testsOf(sets: readonly PackedSet[], packed: readonly PackedItem[]): PackedTest[] {
  const itemOf = new Map(packed.map(({ question, item }) => [question.id as string, { question, item }]));
  return sets.map(({ id, content }) => {
    const { title, goBack, sections } = content as SetContent;
    const out = sections.map((section) => ({
      ...section,
      questions: section.questions.flatMap((entry) => {
        const found = itemOf.get(entry.id);
        if (!found) return [];
        const { item, question } = found;
        return [{ identifier: item.identifier, max: question.marks.max, points: entry.points ?? null }];
      }),
    }));
    return testOut({ id, title, goBack }, out);
  });
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

/** A question of a package as it was unpacked; else why it is none. */
export function packedQuestion(text: string): { ok: true; question: Question } | { ok: false; message: string } {
  const parsed = parseQuestion(JSON.parse(text));
  if (parsed.ok) return parsed;
  const [first] = parsed.problems;
  return { ok: false, message: first ? `${first.path}: ${first.message}` : 'It is no question.' };
}

/** A question of a package with its new id and the imported media. */
export function examinePacked({
  file,
  importing,
}: {
  readonly file: string;
  readonly importing: Importing;
}): ExaminedPart {
  const parsed = packedQuestion(readFileSync(file, 'utf8'));
  if (!parsed.ok) return parsed;
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
