import { and, eq } from 'drizzle-orm';
import { learnerEdition } from '../../core';
import type { As, Learner } from '../context';
import { medium, release, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import type { MediumType } from '../media/kinds';
import { inWidth } from '../media/widths';
import { drawer } from './draw';
import { recordOf, sittingOf } from './standing';

/** A picture, sound or film of a learner's sitting, by the name drawn for it there. What belongs to feedback and hints is not there before the first try. `width`: of a picture, in pixels, as wide as it is shown. */
export async function sittingMedium(
  as: As<Learner>,
  sittingId: string,
  question: number,
  name: string,
  width: number | null,
): Promise<Result<{ bytes: Uint8Array; type: MediumType }>> {
  const { db, files, person } = as;
  const open = await sittingOf(as, sittingId, person.id);
  if (!open || question > open.reached) return fail('notFound');
  const { edition } = await recordOf(db, open);
  const document = edition.models[question]?.question;
  if (!document) return fail('notFound');
  const { names, question: sent } = learnerEdition(document, drawer(open.seed, question));
  const hash = document.media[names.mediumId.get(name) ?? '']?.hash;
  if (!hash) return fail('notFound');
  if (!Object.hasOwn(sent.media, name) && !(await db.query.standing.findFirst({ where: and(eq(standing.sittingId, sittingId), eq(standing.question, question)) })))
    return fail('notFound');
  const [row] = await db
    .select({ type: medium.type })
    .from(release)
    .innerJoin(medium, and(eq(medium.ownerId, release.releasedBy), eq(medium.hash, hash)))
    .where(eq(release.id, open.releaseId));
  const bytes = row && (await inWidth(files, hash, row.type, width));
  return row && bytes ? ok({ bytes, type: row.type }) : fail('notFound');
}
