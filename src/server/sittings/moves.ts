import { and, eq } from 'drizzle-orm';
import { type Move, markSoFar, type QuestionModel, type Standing, takeMove } from '../../core';
import type { Context } from '../context';
import { move, sitting, standing as standingTable } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { type At, standingOf } from './standing';
import { namer, type TryView, tryView, viewOf } from './view';

/** A move as a learner's browser sends it: drawn names, and an id it made. */
export type SentMove =
  | {
      readonly id: string;
      readonly kind: 'drop';
      readonly item: string;
      readonly copy: number;
      readonly x: number;
      readonly y: number;
      readonly px: number;
      readonly py: number;
      readonly at?: number | undefined;
    }
  | { readonly id: string; readonly kind: 'put'; readonly item: string; readonly copy: number; readonly zone: string | null; readonly at?: number | undefined }
  | { readonly id: string; readonly kind: 'reset' }
  | { readonly id: string; readonly kind: 'check' };

export interface Sent {
  readonly question: number;
  /** The number of the last move the browser knows the server to have. */
  readonly after: number;
  readonly moves: readonly SentMove[];
}

export interface Answer {
  last: number;
  /** What the last of the checks sent came to; null when none was sent. */
  lastTry: TryView | null;
  best: { mark: number; max: number } | null;
  tries: number;
  ended: boolean;
}

/** Keeps a learner's moves, in order and each once, and judges the checks among them. */
export async function takeMoves(context: Context, sittingId: string, learnerId: string, sent: Sent): Promise<Result<Answer>> {
  const { db } = context;
  return db.transaction(async (tx): Promise<Result<Answer>> => {
    const [mine] = await tx
      .select({ id: sitting.id, releaseId: sitting.releaseId, seed: sitting.seed })
      .from(sitting)
      .where(and(eq(sitting.id, sittingId), eq(sitting.learnerId, learnerId)));
    if (!mine || sent.question !== 0) return fail('notFound');
    const at = await standingOf({ db: tx as unknown as Context['db'] }, mine, sent.question);
    const model = at.edition.models[sent.question] as QuestionModel;

    const fresh = sent.moves.filter((m) => !at.known.has(m.id));
    const seen = sent.moves.reduce((most, m) => Math.max(most, at.known.get(m.id) ?? 0), sent.after);
    // Moves the browser does not know of lie between: another window went on. Nothing is taken; the page is told where it stands.
    if (fresh.length > 0 && seen !== at.last) return fail('sittingMovedOn', { detail: viewOf(mine, at) });

    const taken = takeAll(model, at, fresh);
    if (!taken.ok) return taken;
    const { standing, bodies } = taken.value;
    const checked = bodies.some((body) => body.kind === 'check');
    if (bodies.length > 0)
      await tx
        .insert(move)
        .values(
          bodies.map((body, i) => ({ sittingId, n: at.last + 1 + i, id: (fresh[i] as SentMove).id, edition: at.edition.number, question: sent.question, body, at: context.now() })),
        );
    const best = markSoFar(model, standing.tries);
    if (best && checked) {
      const cache = { tries: standing.tries.length, mark: best.mark, max: best.max, fullMarks: best.fullMarks, ended: standing.ended, checkedAt: context.now() };
      await tx
        .insert(standingTable)
        .values({ sittingId, question: sent.question, ...cache })
        .onConflictDoUpdate({ target: [standingTable.sittingId, standingTable.question], set: cache });
    }
    return ok({
      last: at.last + bodies.length,
      lastTry: sent.moves.some((m) => m.kind === 'check') ? tryView(standing, namer(model, at.names.item)) : null,
      best: best ? { mark: best.mark, max: best.max } : null,
      tries: standing.tries.length,
      ended: standing.ended,
    });
  });
}

function takeAll(model: QuestionModel, at: At, fresh: readonly SentMove[]): Result<{ standing: Standing; bodies: Move[] }> {
  let standing = at.standing;
  const bodies: Move[] = [];
  for (const [i, sent] of fresh.entries()) {
    const body = inOwnNames(sent, at);
    const taken = takeMove(model, standing, body);
    if (!taken.ok && taken.reason === 'ended') return fail('alreadyEnded');
    if (!taken.ok) return fail('invalid', { problems: [{ path: `moves[${i}].${taken.path}`, message: 'This move cannot be taken.' }] });
    standing = taken.standing;
    bodies.push(body);
  }
  return ok({ standing, bodies });
}

/** A drawn name that is not of this sitting becomes a name no item has, and is refused with its place like any other. */
function inOwnNames(sent: SentMove, { names }: At): Move {
  switch (sent.kind) {
    case 'reset':
    case 'check':
      return { kind: sent.kind };
    case 'drop': {
      const { id: _, item, ...rest } = sent;
      return { ...rest, item: names.itemId.get(item) ?? '' };
    }
    case 'put': {
      const { id: _, item, zone, ...rest } = sent;
      return { ...rest, item: names.itemId.get(item) ?? '', zone: zone === null ? null : (names.zoneId.get(zone) ?? '') };
    }
  }
}
