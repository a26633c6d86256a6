import { and, asc, eq, inArray, isNotNull, isNull } from 'drizzle-orm';
import {
  type CarriedQuestion,
  type Imported,
  isTicked,
  type LookedAtPackage,
  type PACKAGE_FORMATS,
  type SetSource,
  type WholeSet,
} from '../../contract';
import type { Question } from '../../core';
import type { Package, PackedSet } from '../../formats/package';
import type { As, Teacher } from '../context';
import { isAmong } from '../database/manyRows';
import { framework, medium, outcome, question, questionOutcome, questionTag } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { withFolder } from '../media/incoming';
import { TYPES } from '../media/kinds';
import { storeMedium } from '../media/media';
import { accessToMany } from './access';
import { type Importing, type MediumToPack, type ReadPackage, renewedId } from './packageFiles';
import { changeMany, openWith, storeNew } from './questions';
import { makeSet, openSet, saveSet } from './sets';
import { makeShelf, shelvesSeen } from './shelves';

/** What to pack: questions, a shelf with its questions and shelves, or a set with its questions. */
export type ToPack = { readonly questions: readonly string[] } | { readonly shelf: string } | { readonly set: string };

const MAX_QUESTIONS = 2000;
/** Questions read from the database at once. */
const AT_ONCE = 50;

/** Writes what the teacher may use, with its media, into one zip file: our own documents, or items of QTI. */
export async function exportPackage(
  as: As<Teacher>,
  what: ToPack,
  to: string,
  format: (typeof PACKAGE_FORMATS)[number] = 'own',
): Promise<Result<{ name: string }>> {
  const gathered = await gather(as, what);
  if (!gathered.ok) return gathered;
  const { name, content, media } = gathered.value;
  if (format === 'own') {
    const packed = await as.work.run('packInto', { file: to, content, media }, PACK_MS);
    return packed.ok ? ok({ name }) : fail('busy');
  }
  const packed = await as.work.run(
    'packQti',
    {
      ...{ file: to, questions: documentsIn(content), sets: content.sets, media },
      outcomes: await caseOutcomes(as, documentsIn(content)),
    },
    PACK_MS,
  );
  if (!packed.ok) return fail('busy');
  return packed.value.some(({ carried }) => carried)
    ? ok({ name: `${name} QTI` })
    : fail('invalid', { problems: [{ path: 'questions', message: 'None of these can go out as QTI.' }] });
}

/** What becomes of questions as items of QTI, before any of them leaves. */
export async function carriedQuestions(as: As<Teacher>, what: ToPack): Promise<Result<CarriedQuestion[]>> {
  const gathered = await gather(as, what);
  if (!gathered.ok) return gathered;
  const { content, media } = gathered.value;
  const looked = await as.work.run(
    'packQti',
    { file: null, questions: documentsIn(content), sets: [], media },
    PACK_MS,
  );
  return looked.ok ? ok(looked.value) : fail('busy');
}

/** The outcomes of questions that came by CASE, by question. */
async function caseOutcomes(
  { db }: As<Teacher>,
  questions: readonly Question[],
): Promise<Record<string, { identifier: string; code: string }[]>> {
  const rows = await db
    .select({ id: questionOutcome.questionId, identifier: outcome.key, code: outcome.code })
    .from(questionOutcome)
    .innerJoin(outcome, eq(outcome.id, questionOutcome.outcomeId))
    .innerJoin(framework, and(eq(framework.id, outcome.frameworkId), isNotNull(framework.identifier)))
    .where(
      isAmong(
        questionOutcome.questionId,
        questions.map(({ id }) => id),
      ),
    )
    .orderBy(asc(outcome.position));
  const found: Record<string, { identifier: string; code: string }[]> = {};
  for (const { id, ...row } of rows) found[id] = [...(found[id] ?? []), row];
  return found;
}

/** The most questions of one print. */
const MAX_PRINTED = 200;

/** Questions as they are put on paper, each as its author wrote it. */
export async function toPrint(as: As<Teacher>, what: ToPack): Promise<Result<WholeSet>> {
  const chosen = await chosenBy(as, what);
  if (!chosen.ok) return chosen;
  const { name: title, ids } = chosen.value;
  if (ids.length > MAX_PRINTED) return fail('tooLarge');
  const questions: Question[] = [];
  for (const id of ids) {
    // Other requests run in between.
    await new Promise((resolve) => setImmediate(resolve));
    const found = await openWith(as, id, 'use');
    if (found.ok) questions.push(found.value.question);
  }
  if (questions.length === 0) return fail('notFound');
  return ok({
    ...{ title, questions, goBack: true, aids: [], sources: [] },
    points: questions.map(({ marks }) => marks.max),
    sections: [{ title: '', draw: null, count: questions.length }],
  });
}

const documentsIn = ({ questions }: Package) => questions.map(({ document }) => document as Question);

/** What the teacher may use of what is to be packed, with the files of its media. */
async function gather(
  as: As<Teacher>,
  what: ToPack,
): Promise<Result<{ name: string; content: Package; media: MediumToPack[] }>> {
  const chosen = await chosenBy(as, what);
  if (!chosen.ok) return chosen;
  const { name, ids, shelves, sets } = chosen.value;
  if (ids.length > MAX_QUESTIONS)
    return fail('invalid', {
      problems: [{ path: 'questions', message: `At most ${MAX_QUESTIONS} questions are packed at once.` }],
    });
  const media = new Map<string, MediumToPack>();
  const addMedia = async (hashes: readonly string[], ownerId: string) => {
    const wanted = [...new Set(hashes)].filter((hash) => !media.has(hash));
    if (wanted.length === 0) return;
    const rows = await as.db
      .select({ hash: medium.hash, type: medium.type })
      .from(medium)
      .where(and(inArray(medium.hash, wanted), eq(medium.ownerId, ownerId)));
    for (const { hash, type } of rows)
      if (await as.files.has(hash))
        media.set(hash, { hash, ending: TYPES[type].endings[0], file: as.files.fileOf(hash) });
  };
  const onThese = new Set(shelves.map(({ id }) => id));
  const questions: Package['questions'][number][] = [];
  for (let i = 0; i < ids.length; i += AT_ONCE) {
    // Other requests run in between.
    await new Promise((resolve) => setImmediate(resolve));
    const part = ids.slice(i, i + AT_ONCE);
    const found = await accessToMany(as, part, 'use');
    const tags = await as.db.select().from(questionTag).where(inArray(questionTag.questionId, part));
    const hashesOf = new Map<string, string[]>();
    for (const id of part) {
      const row = found.get(id)?.row;
      if (!row || row.deletedAt) continue;
      questions.push({
        document: row.document,
        shelfId: row.shelfId !== null && onThese.has(row.shelfId) ? row.shelfId : null,
        tags: tags.flatMap(({ questionId, tag }) => (questionId === id ? [tag] : [])),
      });
      const hashes = Object.values(row.document.media).map(({ hash }) => hash);
      hashesOf.set(row.ownerId, [...(hashesOf.get(row.ownerId) ?? []), ...hashes]);
    }
    for (const [ownerId, hashes] of hashesOf) await addMedia(hashes, ownerId);
  }
  if (questions.length === 0 && shelves.length === 0 && sets.length === 0) return fail('notFound');
  for (const { content } of sets)
    await addMedia(
      (content as { sources: SetSource[] }).sources.flatMap((source) => source.medium?.hash ?? []),
      as.person.id,
    );
  return ok({ name, content: { shelves, questions, sets }, media: [...media.values()] });
}

interface Chosen {
  readonly name: string;
  readonly ids: readonly string[];
  readonly shelves: Package['shelves'];
  readonly sets: readonly PackedSet[];
}

async function chosenBy(as: As<Teacher>, what: ToPack): Promise<Result<Chosen>> {
  if ('questions' in what) return ok({ name: 'questions', ids: what.questions, shelves: [], sets: [] });
  if ('set' in what) {
    const found = await openSet(as, what.set);
    if (!found.ok) return found;
    const { id, title, goBack, aids, sources } = found.value;
    const sections = found.value.sections.map(({ questions, ...section }) => ({
      ...section,
      questions: questions.map((question) => ({ id: question.id, points: question.points })),
    }));
    const ids = sections.flatMap(({ questions }) => questions.map((question) => question.id));
    return ok({ name: title, ids, shelves: [], sets: [{ id, content: { title, goBack, aids, sections, sources } }] });
  }
  const seen = await shelvesSeen(as);
  const top = seen.get(what.shelf);
  if (!top) return fail('notFound');
  const all = [top];
  for (let i = 0; i < all.length; i++)
    all.push(...[...seen.values()].filter(({ parentId }) => parentId === all[i]?.id));
  const rows = await as.db
    .select({ id: question.id })
    .from(question)
    .where(
      and(
        inArray(
          question.shelfId,
          all.map(({ id }) => id),
        ),
        isNull(question.deletedAt),
      ),
    )
    .orderBy(question.title, question.id);
  return ok({
    name: top.title,
    ids: rows.map(({ id }) => id),
    shelves: all.map(({ id, title, parentId }) => ({ id, title, parentId: id === top.id ? null : parentId })),
    sets: [],
  });
}

const ROOM = { width: 1920, height: 1080 };
const MAX_DEPTH = 50;
const PACK_MS = 60_000;
const READ_MS = 30_000;
const LOOK_MS = 45_000;
const EXAMINE_MS = 15_000;

/** Says what is in a package; nothing is taken. */
export function lookIntoPackage(as: As<Teacher>, file: string): Promise<Result<LookedAtPackage>> {
  return withFolder(as.config, async (folder) => {
    const looked = await as.work.run('lookAtPackage', { file, folder }, LOOK_MS);
    if (!looked.ok) return looked.reason === 'busy' ? fail('busy') : notTaken(TOO_HARD);
    return looked.value.ok ? ok(looked.value.value) : notTaken(looked.value.message);
  });
}

/** What is ticked of a package: places in its lists; left out: all of a list. */
export interface Ticked {
  readonly questions?: string | undefined;
  readonly sets?: string | undefined;
}

/**
 * Imports a package, all or what is ticked: validated like all input, under new ids, beside what is there. `importId` is
 * made by the client: the same package imported again under it makes the same ids, so that it is imported once.
 */
export function importPackage(
  as: As<Teacher>,
  importId: string,
  file: string,
  ticked: Ticked = {},
): Promise<Result<Imported>> {
  return withFolder(as.config, async (folder) => {
    const read = await as.work.run('readPackage', { file, folder }, READ_MS);
    if (!read.ok) return read.reason === 'busy' ? fail('busy') : notTaken(TOO_HARD);
    return read.value.ok ? takeIn(as, importId, onlyTicked(read.value.value, ticked)) : notTaken(read.value.message);
  });
}

const TOO_HARD = 'Reading this file takes too long, or too much memory.';

/** The ticked questions and sets of a package, with the media that they show and the shelves that they stand on. */
function onlyTicked(read: ReadPackage, { questions, sets }: Ticked): ReadPackage {
  if (questions === undefined && sets === undefined) return read;
  const [hasQuestion, hasSet] = [isTicked(questions), isTicked(sets)];
  const taken = {
    questions: read.questions.filter((_, place) => hasQuestion(place)),
    sets: read.sets.filter((_, place) => hasSet(place)),
  };
  const onShelf = new Set(taken.questions.map(({ shelfId }) => shelfId));
  // A shelf stays with the shelves that it stands on.
  for (let last = -1; last !== onShelf.size; ) {
    last = onShelf.size;
    for (const { id, parentId } of read.shelves) if (onShelf.has(id) && parentId !== null) onShelf.add(parentId);
  }
  const shown = new Set([...taken.questions, ...taken.sets].flatMap(({ media }) => media));
  return {
    ...read,
    ...taken,
    shelves: read.shelves.filter(({ id }) => onShelf.has(id)),
    media: read.media.filter(({ hash }) => shown.has(hash)),
    problems: [],
  };
}

const notTaken = (message: string) => fail('notTaken', { problems: [{ path: 'file', message }] });

async function takeIn(
  as: As<Teacher>,
  importId: string,
  { shelves, questions, sets, media, problems }: ReadPackage,
): Promise<Result<Imported>> {
  const left = [...problems];
  const approximated: Imported['approximated'] = [];
  const hashes = new Map<string, string>();
  const importing: Importing = { importId, personId: as.person.id, media: hashes };
  for (const { hash, ending, file } of media) {
    const result = await storeMedium(as, { name: `${hash.slice(0, 8)}.${ending}`, claimed: '', file, room: ROOM });
    if (result.ok) hashes.set(hash, result.value.hash);
    else
      left.push({
        file: `media/${hash.slice(0, 8)}….${ending}`,
        message: result.problems?.[0]?.message ?? 'It was not taken.',
      });
  }
  const made = await takeShelves(as, importing, shelves);

  const ids = new Map<string, string>();
  const taken: Imported['questions'] = [];
  for (const { file, shelfId, tags, name, approximations } of questions) {
    const worked = await as.work.run('examinePacked', { file, importing }, EXAMINE_MS);
    if (!worked.ok || !worked.value.ok) {
      left.push({
        file: name,
        message: worked.ok && !worked.value.ok ? worked.value.message : 'Looking through it takes too long.',
      });
      continue;
    }
    const { was, value } = worked.value;
    const result = await storeNew(as, value, made.get(shelfId ?? '') ?? null);
    if (!result.ok) continue;
    if (tags.length > 0) await changeMany(as, { ids: [value.id], addTags: tags });
    ids.set(was, value.id);
    taken.push({ id: value.id, title: value.title });
    approximated.push(...approximations.map((message) => ({ title: value.title, message })));
  }

  const takenSets: Imported['sets'] = [];
  for (const { id: was, file, name, approximations } of sets) {
    const worked = await as.work.run('readPackedSet', { file, importing, questions: ids }, EXAMINE_MS);
    const set = worked.ok ? worked.value : 'Looking through it takes too long.';
    if (typeof set === 'string') {
      left.push({ file: name, message: set });
      continue;
    }
    const id = renewedId(importing, 'set', was);
    const there = await makeSet(as, id, set.title);
    const result = there.ok ? await saveSet(as, id, set) : there;
    if (!result.ok) {
      left.push({ file: name, message: result.problems?.[0]?.message ?? 'It was not taken.' });
      continue;
    }
    takenSets.push({ id, title: set.title });
    approximated.push(...approximations.map((message) => ({ title: set.title, message })));
  }
  return ok({
    shelves: made.size,
    questions: taken,
    sets: takenSets,
    media: new Set(hashes.values()).size,
    left,
    approximated,
  });
}

/**
 * Shelves sorted so that each comes after its parent. A shelf whose parent is missing, in a circle or too deep stands
 * at the top. By their ids in the package.
 */
async function takeShelves(
  as: As<Teacher>,
  importing: Importing,
  shelves: ReadPackage['shelves'],
): Promise<Map<string, string>> {
  const made = new Map<string, string>();
  const byParent = new Map<string | null, ReadPackage['shelves'][number][]>();
  const known = new Set(shelves.map(({ id }) => id));
  for (const shelf of shelves) {
    const under = shelf.parentId !== null && known.has(shelf.parentId) ? shelf.parentId : null;
    byParent.set(under, [...(byParent.get(under) ?? []), shelf]);
  }
  const take = async ({ id, title }: { id: string; title: string }, parentId: string | null) => {
    const shelf = await makeShelf(as, { id: renewedId(importing, 'shelf', id), title, parentId });
    if (shelf.ok) made.set(id, shelf.value.id);
  };
  let level = byParent.get(null) ?? [];
  for (let depth = 0; level.length > 0 && depth < MAX_DEPTH; depth++) {
    for (const shelf of level) await take(shelf, made.get(shelf.parentId ?? '') ?? null);
    level = level.flatMap(({ id }) => byParent.get(id) ?? []).filter(({ id }) => !made.has(id));
  }
  for (const shelf of shelves) if (!made.has(shelf.id)) await take(shelf, null);
  return made;
}
