import { eq, inArray, sql } from 'drizzle-orm';
import type { AnalysisView, FiguresBefore, TrialAndError } from '../../contract';
import { DIGEST_VERSION } from '../../core';
import type { As, Context, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { user } from '../database/accountTables';
import { figures, type KeptFigures, release, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { addDigests, workOutDigests } from '../sittings/digests';
import { closeOverdue } from '../sittings/finish';
import { figuresOf } from './figures';

/** Part of the stamp: figures that an earlier program worked out are worked out again. */
const FIGURES_VERSION = 2;
/** Figures that took longer than this, in milliseconds, are left alone for ten times as long as they took. */
const QUICK_MS = 1000;
const REST = 10;

/**
 * How a release was answered, as a job has worked it out. Where answers have come since, the job is added again, and
 * the older figures are told meanwhile.
 */
export async function analysisOf(as: As<Teacher>, releaseId: string): Promise<Result<AnalysisView>> {
  const { db } = as;
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  await closeOverdue(as, [releaseId]);
  const { row, course } = found;
  const kept = await db.query.figures.findFirst({
    columns: { edition: true, body: true, before: true },
    where: eq(figures.releaseId, releaseId),
  });
  const isCurrent = await areFiguresCurrent(as, releaseId, row.edition);
  // Of an edition before, questions may have been struck or changed since: their figures would not be of what is shown.
  const { body, before } = kept?.edition === row.edition ? kept : { body: null, before: null };
  return ok({
    release: { id: releaseId, title: row.title, course: course.title, courseId: row.courseId, edition: row.edition },
    isCurrent,
    figures: body && { ...body, sweepers: await named(as, body.sweepers) },
    before,
  });
}

/** Whether the figures are of what has come in by now; where they are not, the job is added that works them out. */
export async function areFiguresCurrent(as: As<Teacher>, releaseId: string, edition: number): Promise<boolean> {
  const kept = await as.db.query.figures.findFirst({
    columns: { stamp: true },
    where: eq(figures.releaseId, releaseId),
  });
  if (kept?.stamp === (await stampOf(as, releaseId, edition))) return true;
  await addDigests(as, as.person.id, releaseId);
  return false;
}

/** What the figures of a release rest on: while it is the same, they are. */
async function stampOf({ db }: Pick<Context, 'db'>, releaseId: string, edition: number): Promise<string> {
  const [all] = await db
    .select({
      count: sql<number>`count(*)`,
      moves: sql<number>`sum(${sitting.moves})`,
      editions: sql<number>`sum(${sitting.edition})`,
      // Milliseconds of many attempts add up to more than a number holds.
      finished: sql<number>`sum(coalesce(${sitting.finishedAt}, 0) % 1000003)`,
      points: sql<number>`sum(${sitting.points})`,
      tries: sql<number>`sum(${sitting.tries})`,
    })
    .from(sitting)
    .where(eq(sitting.releaseId, releaseId));
  return JSON.stringify([FIGURES_VERSION, DIGEST_VERSION, edition, ...Object.values(all ?? {})]);
}

/** The names are read anew: they are not kept with the figures. */
async function named({ db }: As<Teacher>, sweepers: KeptFigures['sweepers']): Promise<TrialAndError[]> {
  const ids = [...new Set(sweepers.map(({ sittingId }) => sittingId))];
  const rows = await db
    .select({ id: sitting.id, name: user.name })
    .from(sitting)
    .innerJoin(user, eq(user.id, sitting.learnerId))
    .where(inArray(sitting.id, ids));
  const names = new Map(rows.map(({ id, name }) => [id, name]));
  return sweepers
    .map((sweeper) => ({ ...sweeper, name: names.get(sweeper.sittingId) ?? '' }))
    .toSorted((a, b) => a.name.localeCompare(b.name));
}

/** The work of the job: the digests that are waiting, then the figures they come to, if these have had their rest. */
export async function workOutResults(context: Context, releaseId: string): Promise<void> {
  const { db } = context;
  if (!(await workOutDigests(context, releaseId))) return;
  const found = await db.query.release.findFirst({ columns: { edition: true }, where: eq(release.id, releaseId) });
  const kept = await db.query.figures.findFirst({
    columns: { stamp: true, edition: true, tookMs: true, at: true },
    where: eq(figures.releaseId, releaseId),
  });
  if (!found) return;
  const { edition } = found;
  // What comes while they are worked out makes them figures of before.
  const stamp = await stampOf(context, releaseId, edition);
  const rests =
    kept?.edition === edition &&
    kept.tookMs > QUICK_MS &&
    kept.at.getTime() + REST * kept.tookMs > context.now().getTime();
  if (kept?.stamp === stamp || rests) return;
  const began = performance.now();
  const { body, marks } = await figuresOf(context, releaseId, edition);
  const tookMs = Math.round(performance.now() - began);
  const row = {
    releaseId,
    stamp,
    edition,
    body,
    marks,
    before: await beforeOf(context, releaseId, edition),
    at: context.now(),
    tookMs,
  };
  await db.insert(figures).values(row).onConflictDoUpdate({ target: figures.releaseId, set: row });
}

/** What the figures were under the edition before this one, from those that are kept. */
async function beforeOf({ db }: Context, releaseId: string, edition: number): Promise<FiguresBefore | null> {
  const kept = await db.query.figures.findFirst({
    columns: { edition: true, body: true, before: true },
    where: eq(figures.releaseId, releaseId),
  });
  if (!kept || kept.edition === edition) return kept?.before ?? null;
  const { alpha, questions } = kept.body;
  return {
    ...{ edition: kept.edition, alpha },
    questions: questions.map(({ asked, full, fullShare, facility, discrimination, alphaWithout }) => ({
      ...{ asked, full, fullShare, facility, discrimination, alphaWithout },
    })),
  };
}
