import { inArray, sql } from 'drizzle-orm';
import type { Corrected } from '../../contract';
import type { Context } from '../context';
import { edition, regrade } from '../database/tables';

/**
 * By attempt of a learner: what corrections did to its mark since it was made, from the first to the last, and why.
 * Nothing is said where it came out as it was.
 */
export async function correctedAttempts(
  { db }: Pick<Context, 'db'>,
  learnerId: string,
  releases: readonly string[],
): Promise<Map<string, Corrected>> {
  const found = new Map<string, Corrected>();
  if (releases.length === 0) return found;
  const rows = await db.all<
    Record<'attempt' | 'reason', string> & Record<'was' | 'wasOutOf' | 'is' | 'isOutOf', number>
  >(
    sql`
    select json_extract(change.value, '$.sittingId') as attempt, ${edition.reason} as reason,
      json_extract(change.value, '$.before.points') as was, json_extract(change.value, '$.before.outOf') as wasOutOf,
      json_extract(change.value, '$.after.points') as "is", json_extract(change.value, '$.after.outOf') as isOutOf
    from ${regrade} join ${edition} on ${edition.releaseId} = ${regrade.releaseId} and ${edition.number} = ${regrade.edition},
      json_each(${regrade.changes}) change
    where ${inArray(regrade.releaseId, [...releases])}
      and json_extract(change.value, '$.learnerId') = ${learnerId}
    order by ${regrade.at}`,
  );
  for (const { attempt, reason, was, wasOutOf, is, isOutOf } of rows) {
    const { before = { points: was, outOf: wasOutOf }, reasons = [] } = found.get(attempt) ?? {};
    found.set(attempt, {
      before,
      after: { points: is, outOf: isOutOf },
      reasons: reason === '' ? reasons : [...reasons, reason],
    });
  }
  for (const [attempt, { before, after }] of found)
    if (before.points === after.points && before.outOf === after.outOf) found.delete(attempt);
  return found;
}
