import { and, asc, eq, inArray, notInArray, sql } from 'drizzle-orm';
import type {
  Applied,
  Correction,
  CorrectionPreview,
  CorrectionView,
  MarkChange,
  NamedChange,
  Right,
} from '../../contract';
import {
  acceptSpelling,
  applyAll,
  correction,
  falls,
  type Problem,
  type Question,
  type Spelling,
  widen,
} from '../../core';
import { namesOf } from '../accounts/people';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { record } from '../courses/audit';
import type { Queries } from '../database/open';
import { type EditionContent, edition, markOverride, regrade, release, sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf, openContent } from '../releases/editions';
import { findModelAnswer, publishProblems } from '../releases/publish';
import { type Regraded, type Regrading, regraded } from '../sittings/regrade';
import { sumStandings } from '../sittings/scores';
import { accessToMany } from '../vault/access';
import { examined } from '../vault/examine';
import { attemptScores } from './attemptScores';

const newestOf = async ({ db }: As<Teacher>, releaseId: string) => {
  const [row] = await db
    .select()
    .from(edition)
    .where(eq(edition.releaseId, releaseId))
    .orderBy(sql`${edition.number} desc`)
    .limit(1);
  return row ?? null;
};

/** The editions of a release, and what can be corrected in the newest. */
export async function openCorrections(as: As<Teacher>, releaseId: string): Promise<Result<CorrectionView>> {
  const { db } = as;
  const found = await releaseOf(as, releaseId);
  const newest = found && (await newestOf(as, releaseId));
  if (!found || !newest) return fail('notFound');
  const rows = await db
    .select({
      number: edition.number,
      createdAt: edition.createdAt,
      reason: edition.reason,
      madeBy: edition.madeBy,
      at: regrade.at,
      appliedBy: regrade.by,
      changes: regrade.changes,
      spared: regrade.spared,
    })
    .from(edition)
    .leftJoin(regrade, and(eq(regrade.releaseId, edition.releaseId), eq(regrade.edition, edition.number)))
    .where(eq(edition.releaseId, releaseId))
    .orderBy(asc(edition.number));
  const names = await namesOf(as, [
    found.row.releasedBy,
    ...rows.flatMap(({ madeBy, appliedBy, changes }) =>
      [madeBy ?? [], appliedBy ?? [], (changes ?? []).map(({ learnerId }) => learnerId)].flat(),
    ),
  ]);
  const { points } = openContent(newest.number, newest.content);
  const inVault = await documentsNow(as, newest.content, 'see');
  const questions = newest.content.questions.map((document, i) => {
    const now = inVault.get(document.id) ?? null;
    const differs = now ? correction(document, now) : null;
    const step = differs ? (differs.ok ? differs.step : differs.inTheWay) : [];
    return {
      title: document.title,
      struck: newest.content.struck?.[i] ?? false,
      points: points[i] ?? 0,
      document,
      vault: now && step.length > 0 ? { document: now, step, fits: differs?.ok ?? false } : null,
    };
  });
  return ok({
    release: { id: releaseId, title: found.row.title, course: found.course.title, courseId: found.course.id },
    number: newest.number,
    questions,
    editions: rows.map(({ at, appliedBy, changes, spared, madeBy, ...row }) => ({
      ...row,
      by: names.get(madeBy ?? found.row.releasedBy) ?? '',
      applied:
        at && appliedBy
          ? { at, by: names.get(appliedBy) ?? '', changes: named(changes ?? [], names), spared: spared ?? 0 }
          : null,
    })),
  });
}

/** The documents of an edition's questions as they are in the Vault now, where the teacher has the right; by id. */
async function documentsNow(
  as: As<Teacher>,
  { questions }: EditionContent,
  right: Right,
): Promise<ReadonlyMap<string, Question>> {
  const found = await accessToMany(
    as,
    questions.map(({ id }) => id),
    right,
  );
  return new Map([...found].flatMap(([id, { row }]) => (row.deletedAt ? [] : [[id, row.document] as const])));
}

const byName = new Intl.Collator('en', { numeric: true });
const named = (changes: readonly MarkChange[], names: ReadonlyMap<string, string>): NamedChange[] =>
  changes
    .map((change) => ({ ...change, name: names.get(change.learnerId) ?? 'somebody who is not here any more' }))
    .sort((a, b) => byName.compare(a.name, b.name));

/** The content of the corrected edition, or the problems of the correction. */
async function corrected(
  as: As<Teacher>,
  content: EditionContent,
  { changes }: Correction,
): Promise<Result<EditionContent>> {
  const problems: Problem[] = [];
  const questions = [...content.questions];
  const struck = content.questions.map((_, i) => content.struck?.[i] ?? false);
  const inVault = await documentsNow(as, content, 'use');
  for (const { question: at, strike, fromVault, accept, spellings = [] } of changes) {
    const path = `changes.${at}`;
    const before = questions[at];
    if (!before) {
      problems.push({ path, message: 'There is no such question.' });
      continue;
    }
    struck[at] = strike;
    let after = before;
    if (fromVault) {
      const now = inVault.get(before.id);
      const fits = now ? correction(before, now) : null;
      if (!now || !fits) problems.push({ path, message: `“${before.title}” is not in your Vault any more.` });
      else if (!fits.ok)
        problems.push({
          path,
          message: `“${before.title}”: items, zones or how they take were changed. Moves that were made cannot be judged by that: publish it again.`,
        });
      else after = now;
    }
    for (const cell of accept) {
      const step = widen(after, cell as Parameters<typeof widen>[1]);
      if (step) after = applyAll(after, step);
      else
        problems.push({
          path,
          message: `“${before.title}”: this item is right there already, or the zone wants an order or a sum.`,
        });
    }
    for (const spelling of spellings) {
      const step = acceptSpelling(after, spelling as Spelling);
      if (step) after = applyAll(after, step);
      else
        problems.push({
          path,
          message: `“${before.title}”: “${spelling.text}” is accepted there already, or nothing is typed there.`,
        });
    }
    problems.push(...publishProblems(after).map(({ message }) => ({ path, message: `“${after.title}”: ${message}` })));
    if (after !== before && !(await examined(as, after)).ok)
      problems.push({ path, message: `“${after.title}” would be no valid question.` });
    questions[at] = after;
  }
  if (struck.every(Boolean)) problems.push({ path: 'changes', message: 'Every question would be struck.' });
  if (problems.length > 0) return fail('invalid', { problems });
  const changed =
    questions.some((question, i) => question !== content.questions[i]) ||
    struck.some((candidate, i) => candidate !== (content.struck?.[i] ?? false));
  if (!changed) return fail('invalid', { problems: [{ path: 'changes', message: 'Nothing would be changed.' }] });
  const modelAnswers = await Promise.all(
    questions.map((question, i) =>
      question === content.questions[i] ? (content.modelAnswers?.[i] ?? null) : findModelAnswer(as.work, question),
    ),
  );
  return ok({ ...content, questions, struck, modelAnswers });
}

/** A preview: what a correction would change, and its effect on marks already given. */
export async function previewCorrection(
  as: As<Teacher>,
  releaseId: string,
  given: Correction,
): Promise<Result<CorrectionPreview>> {
  const found = await releaseOf(as, releaseId);
  const newest = found && (await newestOf(as, releaseId));
  if (!found || !newest) return fail('notFound');
  const made = await corrected(as, newest.content, given);
  if (!made.ok) return made;
  return ok(await previewOf(as, releaseId, newest.number + 1, newest.content, made.value));
}

async function previewOf(
  as: As<Teacher>,
  releaseId: string,
  number: number,
  before: EditionContent,
  after: EditionContent,
): Promise<CorrectionPreview> {
  const { changes, sittings } = await changesBy(as, releaseId, number, after);
  const hands = await as.db.select().from(markOverride).where(eq(markOverride.releaseId, releaseId));
  const names = await namesOf(
    as,
    [...changes, ...hands].map(({ learnerId }) => learnerId),
  );
  return {
    number,
    questions: after.questions.flatMap((question, i) => {
      const was = before.questions[i] as Question;
      const struck = after.struck?.[i] ?? false;
      const step = question === was ? [] : correction(was, question);
      if (question === was && struck === (before.struck?.[i] ?? false)) return [];
      return [
        {
          title: question.title,
          struck,
          before: was,
          after: question,
          step: Array.isArray(step) ? step : step.ok ? step.step : step.inTheWay,
        },
      ];
    }),
    changes: named(changes, names),
    sittings,
    byHand: hands
      .map(({ learnerId, points, outOf }) => ({
        learnerId,
        name: names.get(learnerId) ?? '',
        points,
        outOf: outOf ?? openContent(number, before).outOf,
      }))
      .sort((a, b) => byName.compare(a.name, b.name)),
  };
}

/** The effect of an edition on one attempt's mark; null: none. */
function changeOf(
  { sittingId, learnerId, points, outOf }: Regraded,
  was: Pick<MarkChange['before'], 'points' | 'outOf'> | undefined,
): MarkChange[] {
  const before = { points: was?.points ?? 0, outOf: was?.outOf ?? 0 };
  return before.points === points && before.outOf === outOf
    ? []
    : [{ sittingId, learnerId, before, after: { points, outOf } }];
}

const regradingBy = ({ db, work }: As<Teacher>, content: EditionContent): Regrading => {
  let text: string | null = null;
  return { db, work, content: () => (text ??= JSON.stringify(content)) };
};

/** The effect of an edition on every mark. */
async function changesBy(
  as: As<Teacher>,
  releaseId: string,
  number: number,
  content: EditionContent,
): Promise<{ changes: MarkChange[]; sittings: number }> {
  const { db } = as;
  const now = new Map(
    (await attemptScores(db, eq(sitting.releaseId, releaseId))).map((attemptScore) => [attemptScore.id, attemptScore]),
  );
  const changes: MarkChange[] = [];
  for await (const one of regraded(regradingBy(as, content), releaseId, openContent(number, content)))
    changes.push(...changeOf(one, now.get(one.sittingId)));
  return { changes, sittings: now.size };
}

/**
 * Makes the next edition, which attempts from now on are asked. `number` is the number the teacher expects, so that a
 * repeated request makes one edition.
 */
export async function makeEdition(
  as: As<Teacher>,
  releaseId: string,
  number: number,
  given: Correction,
): Promise<Result<{ number: number }>> {
  const { db, person, now } = as;
  const found = await releaseOf(as, releaseId);
  const newest = found && (await newestOf(as, releaseId));
  if (!found || !newest) return fail('notFound');
  if (newest.number === number && newest.madeBy === person.id && newest.reason === given.reason) return ok({ number });
  if (newest.number + 1 !== number) return fail('editionMovedOn');
  const made = await corrected(as, newest.content, given);
  if (!made.ok) return made;
  await db.transaction(async (tx) => {
    await tx
      .insert(edition)
      .values({ releaseId, number, content: made.value, createdAt: now(), reason: given.reason, madeBy: person.id });
    await tx.update(release).set({ edition: number }).where(eq(release.id, releaseId));
    await record(
      { ...as, db: tx },
      { courseId: found.course.id, releaseId, what: 'editionMade', detail: { number, reason: given.reason } },
    );
  });
  return ok({ number });
}

/** A preview: the effect on marks already given if an existing edition is applied. */
export async function previewEdition(
  as: As<Teacher>,
  releaseId: string,
  number: number,
): Promise<Result<CorrectionPreview>> {
  const found = await releaseOf(as, releaseId);
  const rows = found ? await as.db.select().from(edition).where(eq(edition.releaseId, releaseId)) : [];
  const [before, after] = [rows.find((row) => row.number === number - 1), rows.find((row) => row.number === number)];
  if (!before || !after) return fail('notFound');
  return ok(await previewOf(as, releaseId, number, before.content, after.content));
}

const MAX_PASSES = 5;

/** The attempts with newer moves than those that were replayed. */
async function wentOn(
  db: As<Teacher>['db'],
  releaseId: string,
  looked: readonly Regraded[],
): Promise<ReadonlySet<string>> {
  const rows = await db
    .select({ id: sitting.id, last: sitting.moves })
    .from(sitting)
    .where(eq(sitting.releaseId, releaseId));
  const lasts = new Map(rows.map(({ id, last }) => [id, last]));
  return new Set(looked.flatMap(({ sittingId, last }) => ((lasts.get(sittingId) ?? 0) > last ? [sittingId] : [])));
}

/** Attempts stored by one statement. */
const AT_ONCE = 100;

/** Stores what attempts come to: statements by their number of different totals, not by the number of attempts. */
async function storeRegraded(db: Queries, attempts: readonly Regraded[]): Promise<void> {
  const ids = attempts.map(({ sittingId }) => sittingId);
  for (const outOf of new Set(attempts.map((attempt) => attempt.outOf)))
    await db
      .update(sitting)
      .set({ outOf })
      .where(
        inArray(
          sitting.id,
          attempts.flatMap((attempt) => (attempt.outOf === outOf ? [attempt.sittingId] : [])),
        ),
      );
  await db.delete(standing).where(inArray(standing.sittingId, ids));
  const standings = attempts.flatMap((attempt) => attempt.standings);
  for (let i = 0; i < standings.length; i += AT_ONCE) await db.insert(standing).values(standings.slice(i, i + AT_ONCE));
  await sumStandings(db, inArray(sitting.id, ids));
}

/**
 * Applies the newest edition to marks already given and to running attempts: all or nothing, once, and recorded for
 * each learner. `spare`: an attempt whose mark would fall keeps it, and stays on its own edition.
 */
export async function applyEdition(
  as: As<Teacher>,
  releaseId: string,
  number: number,
  spare = false,
): Promise<Result<Applied>> {
  const { db, person, now } = as;
  const found = await releaseOf(as, releaseId);
  const newest = found && (await newestOf(as, releaseId));
  if (!found || !newest) return fail('notFound');
  const done = await db.query.regrade.findFirst({
    where: and(eq(regrade.releaseId, releaseId), eq(regrade.edition, number)),
  });
  if (done) return ok({ changes: done.changes.length, spared: done.spared });
  if (newest.number !== number || number === 1) return fail('editionMovedOn');
  const open = await editionOf(db, releaseId, number);
  const regrading = regradingBy(as, newest.content);
  const losing = spare
    ? (await changesBy(as, releaseId, number, newest.content)).changes.filter(({ before, after }) =>
        falls(before, after),
      )
    : [];
  const spared = losing.map(({ sittingId }) => sittingId);
  // First the attempts are moved to the edition, so that no move judged by another edition is stored from then on. Then
  // they are replayed from the stored moves.
  const meant = and(eq(sitting.releaseId, releaseId), notInArray(sitting.id, spared));
  await db.update(sitting).set({ edition: number }).where(meant);
  const was = new Map((await attemptScores(db, meant)).map((attemptScore) => [attemptScore.id, attemptScore]));
  const ids = new Set(was.keys());
  const changes: MarkChange[] = [];
  const all: Regraded[] = [];
  for await (const one of regraded(regrading, releaseId, open, ids)) {
    changes.push(...changeOf(one, was.get(one.sittingId)));
    all.push(one);
  }
  // An attempt with new moves is replayed again.
  for (let pass = 0; pass < MAX_PASSES; pass++) {
    const went = await wentOn(db, releaseId, all);
    if (went.size === 0) break;
    for await (const one of regraded(regrading, releaseId, open, went))
      all[all.findIndex(({ sittingId }) => sittingId === one.sittingId)] = one;
  }
  await db.transaction(async (tx) => {
    for (let i = 0; i < all.length; i += AT_ONCE) await storeRegraded(tx, all.slice(i, i + AT_ONCE));
    await tx
      .insert(regrade)
      .values({ releaseId, edition: number, by: person.id, at: now(), changes, spared: spared.length });
    await record(
      { ...as, db: tx },
      {
        courseId: found.course.id,
        releaseId,
        what: 'editionApplied',
        detail: { number, marks: changes.length, spared: spared.length },
      },
    );
  });
  return ok({ changes: changes.length, spared: spared.length });
}
