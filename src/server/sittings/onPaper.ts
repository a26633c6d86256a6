import { randomUUID } from 'node:crypto';
import { and, asc, eq, isNotNull, sql } from 'drizzle-orm';
import type { SheetEntered, SheetLearner, SheetView } from '../../contract';
import {
  homesFor,
  learnerEdition,
  type QuestionModel,
  readSheet,
  roundMark,
  type SheetAnswer,
  sheetNames,
} from '../../core';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { record } from '../courses/audit';
import { everybodyOn, peopleIn } from '../courses/roster';
import { checkpoint, digest, sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf, type OpenEdition } from '../releases/editions';
import { additionOf } from './addition';
import { type Addition, appendMoves } from './appendMoves';
import { addDigestsOf } from './digests';
import { drawer } from './draw';
import { drawnFor } from './drawn';
import { recall } from './recent';
import { sumStandings } from './scores';
import { atOf, type OpenSitting, recordOf, sittingOf } from './standing';

/** Everything that is drawn for a variant comes from it, on the sheet as in the attempt. */
const seedOf = (releaseId: string, variant: number): string => `paper/${releaseId}/${variant}`;
/** Sheets that are printed already stay as they are: what is asked is drawn by the first edition. */
const FIRST = 1;

interface OnSheet {
  readonly question: number;
  readonly model: QuestionModel;
  readonly homes: readonly { readonly x: number; readonly y: number }[];
}

/** The questions of a variant in their order, as they stand on its sheet. */
function onSheet(first: OpenEdition, edition: OpenEdition, seed: string): OnSheet[] {
  return first.asked(drawer(seed, 'questions')).flatMap((question) => {
    const whole = edition.models[question];
    if (!whole) return [];
    const model = drawnFor(whole, seed, question);
    return [{ question, model, homes: homesFor(model, learnerEdition(model.question, drawer(seed, question))) }];
  });
}

/** A variant of a release on paper. */
export async function sheetOf(as: As<Teacher>, releaseId: string, variant: number): Promise<Result<SheetView>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const { row, course } = found;
  const [first, edition] = await Promise.all([
    editionOf(as.db, releaseId, FIRST),
    editionOf(as.db, releaseId, row.edition),
  ]);
  const sheet = onSheet(first, edition, seedOf(releaseId, variant));
  const sectionOf = (question: number | undefined) =>
    first.sections.find(({ questions }) => questions.includes(question ?? -1));
  return ok({
    release: { id: releaseId, title: row.title, course: course.title, courseId: row.courseId },
    variant,
    questions: sheet.map(({ question, model, homes }, i) => {
      const section = sectionOf(question);
      return {
        document: model.question,
        homes,
        ...sheetNames(model.question, homes),
        points: roundMark(edition.points[question] ?? 0),
        struck: edition.struck[question] ?? false,
        begins: section && section !== sectionOf(sheet[i - 1]?.question) && section.title ? section.title : null,
      };
    }),
    sources: edition.sources.flatMap(({ title, text, medium, questions }) => {
      const before = sheet.findIndex(({ question }) => questions.includes(question));
      return before === -1 ? [] : [{ title, text, medium, before }];
    }),
  });
}

/** The course's learners, with what was typed in for each last. */
export async function sheetLearners(as: As<Teacher>, releaseId: string): Promise<Result<SheetLearner[]>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const entered = await as.db
    .select({
      learnerId: sitting.learnerId,
      ...{ sittingId: sitting.id, variant: sql<number>`${sitting.paperVariant}`, points: sitting.points },
    })
    .from(sitting)
    .where(and(eq(sitting.releaseId, releaseId), isNotNull(sitting.paperVariant)))
    .orderBy(asc(sitting.number));
  const last = new Map(
    entered.map(({ learnerId, points, ...rest }) => [learnerId, { ...rest, points: roundMark(points) }]),
  );
  const everybody = await everybodyOn(as, found.row.courseId);
  return ok(everybody.map(({ id, name }) => ({ learnerId: id, name, entered: last.get(id) ?? null })));
}

interface Entry {
  readonly id: string;
  readonly learnerId: string;
  readonly variant: number;
  readonly writtenAt: Date | null;
  readonly answers: readonly SheetAnswer[];
}

/**
 * Types in a sheet: an attempt that has ended, judged by the core as any other. Sent again it is the same; with other
 * answers under the same id it is written anew, since a typing error is not the learner's.
 */
export async function enterSheet(as: As<Teacher>, releaseId: string, entry: Entry): Promise<Result<SheetEntered>> {
  const { db, now } = as;
  const { id, learnerId, variant } = entry;
  const found = await releaseOf(as, releaseId);
  const [person] = found ? await peopleIn(as, found.row.courseId, [learnerId]) : [];
  if (!found || !person) return fail('notFound');
  const known = await db.query.sitting.findFirst({ where: eq(sitting.id, id) });
  if (known && (known.releaseId !== releaseId || known.learnerId !== learnerId || known.paperVariant === null))
    return fail('notFound');
  const at = entry.writtenAt ?? now();
  if (at > now())
    return fail('invalid', {
      problems: [{ path: 'writtenAt', message: 'It cannot have been written in the future.' }],
    });
  const seed = seedOf(releaseId, variant);
  const [first, edition] = await Promise.all([
    editionOf(db, releaseId, FIRST),
    editionOf(db, releaseId, found.row.edition),
  ]);
  const sheet = onSheet(first, edition, seed);
  const read = sheet.map(({ model, homes }, i) =>
    readSheet(model, sheetNames(model.question, homes), entry.answers[i] ?? { places: [], marks: [] }),
  );
  const problems = read.flatMap((one, i) =>
    one.ok
      ? []
      : one.problems.map(({ number, message }) => ({
          path: `answers[${i}]${number === null ? '.marks' : `.places.${number}`}`,
          message,
        })),
  );
  if (problems.length > 0) return fail('invalid', { problems });
  const outOf = roundMark(sheet.reduce((sum, { question }) => sum + (edition.points[question] ?? 0), 0));
  await openOnPaper(as, { ...entry, releaseId, seed, at, outOf, edition: edition.number });
  const open = await sittingOf(as, id, learnerId);
  if (!open) return fail('unexpected');
  for (const addition of await additionsOf(
    as,
    open,
    read.flatMap((one) => (one.ok ? [one] : [])),
    at,
  ))
    if ((await appendMoves(db, addition)) !== 'stored') return fail('sittingMovedOn');
  await db.update(sitting).set({ finishedAt: at }).where(eq(sitting.id, id));
  recall(id);
  await addDigestsOf(as, releaseId);
  const [row] = await db
    .select({ points: sitting.points, number: sitting.number })
    .from(sitting)
    .where(eq(sitting.id, id));
  if (!row) return fail('unexpected');
  await record(as, {
    ...{ courseId: found.course.id, releaseId, learnerId, what: 'paperEntered' },
    detail: { number: row.number, points: roundMark(row.points), outOf },
  });
  return ok({ points: roundMark(row.points), outOf, number: row.number });
}

interface Opening extends Entry {
  readonly releaseId: string;
  readonly seed: string;
  readonly at: Date;
  readonly outOf: number;
  readonly edition: number;
}

/** Begins the attempt, or takes back what was typed in before under its id. */
async function openOnPaper(
  { db }: As<Teacher>,
  { id, learnerId, variant, releaseId, seed, at, outOf, edition }: Opening,
): Promise<void> {
  await db.transaction(async (tx) => {
    const [last] = await tx
      .select({ number: sql<number>`coalesce(max(${sitting.number}), 0)` })
      .from(sitting)
      .where(and(eq(sitting.releaseId, releaseId), eq(sitting.learnerId, learnerId)));
    const written = { seed, outOf, edition, began: FIRST, paperVariant: variant, startedAt: at };
    await tx
      .insert(sitting)
      .values({ ...written, id, releaseId, learnerId, number: (last?.number ?? 0) + 1, usedMs: 0 })
      .onConflictDoUpdate({
        target: sitting.id,
        set: { ...written, finishedAt: null, reopenedAfter: sql`${sitting.moves}` },
      });
    for (const table of [standing, checkpoint, digest]) await tx.delete(table).where(eq(table.sittingId, id));
    await sumStandings(tx, eq(sitting.id, id));
  });
  recall(id);
}

/** The moves of each question that something was written to. */
async function additionsOf(
  { db }: As<Teacher>,
  open: OpenSitting,
  read: readonly Extract<ReturnType<typeof readSheet>, { ok: true }>[],
  at: Date,
): Promise<Addition[]> {
  const record = await recordOf(db, open);
  let n = open.last;
  return read.flatMap(({ moves, standing: reached }, place): Addition[] => {
    const now = atOf(open, record, place, { feedbackLevel: 'modelAnswer', standing: reached });
    if (!now || moves.length === 0) return [];
    const taken = moves.map((move) => ({ id: randomUUID(), move }));
    const first = n + 1;
    n += moves.length;
    return [additionOf(now, { taken, first, at, tried: reached.tries.count > 0, by: 'ending' })];
  });
}
