import { isDeepStrictEqual } from 'node:util';
import { and, eq, isNull, sql } from 'drizzle-orm';
import { array, object, string } from 'yup';
import type { GradeCell, Sending } from '../../contract';
import type { As, Context, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { ltiContext, ltiLine, ltiLinePerson, outbox, platform, release } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { type OutboxRow, type Outcome, sendingOf } from '../outbox/outbox';
import { NotReached, type Reply } from '../outside/ask';
import { jsonOf, under, waitOf, withQuery } from '../outside/replies';
import { cellsIn, withMaxima } from '../results/gradeCells';
import { SCOPE } from './claims';
import type { Platform } from './platforms';
import { askService } from './services';

const SCORE = 'application/vnd.ims.lis.v1.score+json';
const LINE = 'application/vnd.ims.lis.v2.lineitem+json';
const LINES = 'application/vnd.ims.lis.v2.lineitemcontainer+json';

/** A score (Assignment and Grade Services 2.0, 3.4), without whose it is and when it came about. */
interface Score {
  readonly activityProgress: 'Initialized' | 'InProgress' | 'Completed';
  readonly gradingProgress: 'NotReady' | 'FullyGraded';
  readonly scoreGiven?: number;
  readonly scoreMaximum?: number;
  readonly comment?: string;
}

/**
 * What a gradebook's cell is as a score; null: there is none to send. `before`: something has arrived already, so that
 * a mark that was taken back is told.
 */
export function scoreOf(cell: GradeCell, before: boolean): Score | null {
  if (cell.state === 'running') return { activityProgress: 'InProgress', gradingProgress: 'NotReady' };
  if (cell.points !== null && cell.state !== 'excused' && cell.outOf > 0) {
    const comment = [
      ...(cell.byHand === null ? [] : ['Set by a teacher.']),
      ...(cell.late ? ['Finished late.'] : []),
    ].join(' ');
    return {
      ...{ activityProgress: 'Completed', gradingProgress: 'FullyGraded' },
      ...{ scoreGiven: cell.points, scoreMaximum: cell.outOf },
      ...(comment === '' ? {} : { comment }),
    };
  }
  if (!before) return null;
  return {
    ...{ activityProgress: 'Initialized', gradingProgress: 'NotReady' },
    ...(cell.state === 'excused' ? { comment: 'Excused.' } : {}),
  };
}

/** A line with whose it is. */
async function lineOf({ db }: Pick<Context, 'db'>, lineId: string, learnerId: string) {
  const [found] = await db
    .select({ line: ltiLine, sub: ltiLinePerson.sub, platform, release })
    .from(ltiLine)
    .innerJoin(ltiLinePerson, and(eq(ltiLinePerson.lineId, ltiLine.id), eq(ltiLinePerson.learnerId, learnerId)))
    .innerJoin(ltiContext, eq(ltiContext.id, ltiLine.contextId))
    .innerJoin(platform, eq(platform.id, ltiContext.platformId))
    .innerJoin(release, eq(release.id, ltiLine.releaseId))
    .where(and(eq(ltiLine.id, lineId), eq(release.practice, false), isNull(release.withdrawnAt)));
  return found ?? null;
}

/** Sends the mark that counts now to the platform, unless the same has arrived there already. */
export async function sendScore(context: Context, row: OutboxRow): Promise<Outcome> {
  const found = await lineOf(context, row.place, row.subject);
  if (!found?.line.takesScores) return { arrived: true };
  const [one] = await withMaxima(context, [found.release]);
  const [cell] = one ? ((await cellsIn(context, [one], [row.subject]))(row.subject) ?? []) : [];
  const score = cell ? scoreOf(cell, row.body !== null) : null;
  if (!one || !score || isDeepStrictEqual(score, row.body)) return { arrived: true };
  try {
    const url = found.line.url ?? (await lineAt(context, found.platform, found.line, one));
    if (url === null) return { arrived: false, reason: 'The platform gives it no line.', again: true };
    const reply = await askService(context, found.platform, [SCOPE.score], under(url, 'scores'), {
      method: 'POST',
      headers: { 'content-type': SCORE },
      body: JSON.stringify({ userId: found.sub, timestamp: row.at.toISOString(), ...score }),
    });
    return outcomeOf(reply, row.tries, score, context.now());
  } catch (error) {
    if (error instanceof NotReached) return { arrived: false, reason: error.message, again: true };
    throw error;
  }
}

/** Refused so often for a reason of ours, a score is given up. */
const MAX_REFUSED = 8;

/** What an answer to a score means. */
export function outcomeOf(reply: Reply, tries: number, score: unknown, now: Date): Outcome {
  const { status } = reply;
  // 409: the platform has a newer one, so that this one has done its work.
  if ((status >= 200 && status < 300) || status === 409) return { arrived: true, body: score };
  const reason = `The platform answers with status ${status}.`;
  if (status === 404 || status === 410)
    return { arrived: false, again: false, reason: 'The platform does not have its line any more.' };
  const after = waitOf(reply.headers.get('retry-after'), now);
  const isOurs = status >= 400 && status < 500 && status !== 401 && status !== 429;
  return { arrived: false, reason, again: !isOurs || tries < MAX_REFUSED, ...(after === null ? {} : { after }) };
}

const linesRead = array(
  object({ id: string().required(), resourceId: string().nullable(), resourceLinkId: string().nullable() }).required(),
).required();
const lineMade = object({ id: string().required() });

/** Lines that are being found or made, so that thirty learners who begin at once make one. */
const beingMade = new Map<string, Promise<string | null>>();

type Line = typeof ltiLine.$inferSelect;
type Worth = { readonly id: string; readonly title: string; readonly outOf: number };

/** Finds the line of a link that came without one, or makes it. */
async function lineAt(context: Context, of: Platform, line: Line, worth: Worth): Promise<string | null> {
  const making = beingMade.get(line.id) ?? findOrMake(context, of, line, worth);
  beingMade.set(line.id, making);
  try {
    return await making;
  } finally {
    beingMade.delete(line.id);
  }
}

async function findOrMake(context: Context, of: Platform, line: Line, worth: Worth): Promise<string | null> {
  const { linesUrl, linkId } = line;
  if (linesUrl === null) return null;
  const found = await askService(
    context,
    of,
    [SCOPE.lines],
    withQuery(linesUrl, { resource_link_id: linkId, resource_id: worth.id }),
    { headers: { accept: LINES } },
  );
  const read = jsonOf(found);
  const there = linesRead.isValidSync(read, { strict: true })
    ? read.find(({ resourceId, resourceLinkId }) => resourceId === worth.id && resourceLinkId === linkId)
    : undefined;
  const url = there?.id ?? (await makeLine(context, of, linesUrl, linkId, worth));
  if (url !== null)
    await context.db
      .update(ltiLine)
      .set({ url })
      .where(and(eq(ltiLine.id, line.id), isNull(ltiLine.url)));
  return url;
}

async function makeLine(
  context: Context,
  of: Platform,
  linesUrl: string,
  linkId: string,
  { id, title, outOf }: Worth,
): Promise<string | null> {
  const made = await askService(context, of, [SCOPE.lines], linesUrl, {
    method: 'POST',
    headers: { 'content-type': LINE, accept: LINE },
    body: JSON.stringify({ label: title, scoreMaximum: outOf, resourceId: id, resourceLinkId: linkId }),
  });
  const read = jsonOf(made);
  return made.status < 300 && lineMade.isValidSync(read, { strict: true }) ? read.id : null;
}

/** Sends a learner's mark of a release again, even if the same has arrived. */
export async function sendAgain(
  as: As<Teacher>,
  releaseId: string,
  learnerId: string,
): Promise<Result<{ sending: Sending }>> {
  if (!(await releaseOf(as, releaseId))) return fail('notFound');
  return as.db.transaction(async (tx) => {
    const lines = tx.select({ id: ltiLine.id }).from(ltiLine).where(eq(ltiLine.releaseId, releaseId));
    // By the trigger that every changed mark goes through.
    await tx.run(sql`insert into mark_changed values (${releaseId}, ${learnerId})`);
    const [row] = await tx
      .update(outbox)
      .set({ body: null })
      .where(and(eq(outbox.kind, 'score'), eq(outbox.subject, learnerId), sql`${outbox.place} in (${lines})`))
      .returning();
    return row ? ok({ sending: sendingOf(row) }) : fail('notFound');
  });
}
