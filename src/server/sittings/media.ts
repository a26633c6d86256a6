import { and, eq } from 'drizzle-orm';
import type { MediumType } from '../../contract';
import { learnerEdition } from '../../core';
import type { As, Learner } from '../context';
import { medium, release, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { inWidth } from '../media/widths';
import { drawer } from './draw';
import { drawnFor } from './drawn';
import { askedOf, sittingOf } from './standing';

/**
 * A medium of a learner's attempt, by its drawn name. Media of feedback and hints are not available before the first
 * try. `width`: the width in pixels at which a picture is shown.
 */
export async function sittingMedium(
  as: As<Learner>,
  sittingId: string,
  place: number,
  name: string,
  what: What,
  width: number | null,
): Promise<Result<Bytes>> {
  const { db, person } = as;
  const open = await sittingOf(as, sittingId, person.id);
  if (!open || place > open.reached) return fail('notFound');
  const { edition, asked } = await askedOf(db, open);
  const question = asked[place] ?? -1;
  const model = edition.models[question];
  if (!model) return fail('notFound');
  const document = drawnFor(model, open.seed, question).question;
  const { names, question: sent } = learnerEdition(document, drawer(open.seed, question));
  const named = document.media[names.mediumId.get(name) ?? ''];
  if (!named) return fail('notFound');
  if (
    !Object.hasOwn(sent.media, name) &&
    !(await db.query.standing.findFirst({
      where: and(eq(standing.sittingId, sittingId), eq(standing.question, question)),
    }))
  )
    return fail('notFound');
  return what === 'captions' ? captionsOf(named.captions) : bytesOf(as, open.releaseId, named.hash, width);
}

/** A medium itself, or its captions as WebVTT. */
export type What = 'medium' | 'captions';
const captionsOf = (captions: string | null): Result<Bytes> =>
  captions ? ok({ bytes: new TextEncoder().encode(captions), type: 'text/vtt' }) : fail('notFound');

interface Bytes {
  readonly bytes: Uint8Array;
  readonly type: MediumType | 'text/vtt';
}

async function bytesOf(as: As<Learner>, releaseId: string, hash: string, width: number | null): Promise<Result<Bytes>> {
  const [row] = await as.db
    .select({ type: medium.type })
    .from(release)
    .innerJoin(medium, and(eq(medium.ownerId, release.releasedBy), eq(medium.hash, hash)))
    .where(eq(release.id, releaseId));
  const bytes = row && (await inWidth(as, hash, row.type, width));
  return row && bytes ? ok({ bytes, type: row.type }) : fail('notFound');
}

/** The medium or captions of a source, available once the learner has reached a question beside which it stands. */
export async function sittingSource(
  as: As<Learner>,
  sittingId: string,
  n: number,
  what: What,
  width: number | null,
): Promise<Result<Bytes>> {
  const open = await sittingOf(as, sittingId, as.person.id);
  if (!open) return fail('notFound');
  const { edition, asked } = await askedOf(as.db, open);
  const source = edition.sources[n];
  if (!source?.questions.some((question) => asked.slice(0, open.reached + 1).includes(question)))
    return fail('notFound');
  if (what === 'captions') return captionsOf(source.captions);
  return source.medium ? bytesOf(as, open.releaseId, source.medium.hash, width) : fail('notFound');
}
