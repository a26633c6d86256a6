import { type MovesView, movesView, type SentMove, takeSent } from '../../core';
import type { Context } from '../context';
import { fail, ok, type Result } from '../errors';
import { additionOf } from './addition';
import { closedIfOver } from './finish';
import { keep } from './keep';
import { recall, remember } from './recent';
import { type At, sittingOf, standingOf } from './standing';
import { viewOf } from './view';

export interface Sent {
  /** The question's place in the sitting. */
  readonly question: number;
  /** The number of the last move the browser knows the server to have. */
  readonly after: number;
  readonly moves: readonly SentMove[];
}

export interface Answer extends MovesView {
  last: number;
}

/** How often another process may get in between before that is taken for something worse. */
const MOST_ATTEMPTS = 4;

/** Keeps a learner's moves, in order and each once, and judges what is to be judged among them. */
export async function takeMoves(context: Context, sittingId: string, learnerId: string, sent: Sent): Promise<Result<Answer>> {
  for (let attempt = 1; ; attempt++) {
    const recalled = attempt === 1 ? recall(sittingId) : null;
    const current = recalled?.sitting.learnerId === learnerId && recalled.place === sent.question && !isOver(recalled, context) ? recalled : null;
    const at = current ?? (await lookUp(context, sittingId, learnerId, sent.question));
    if (!at) return fail('notFound');
    if (at.sitting.finishedAt) return fail('sittingFinished');
    if (!at.goBack && sent.question < at.sitting.reached) return fail('alreadyEnded');

    if (at.quiet && sent.moves.some(({ kind }) => kind === 'check' || kind === 'hint'))
      return fail('invalid', { problems: [{ path: 'moves', message: 'This is checked at the end.' }] });
    const { fresh, seen } = unknownOf(at, sent);
    if (fresh.length > 0 && seen !== at.last) {
      // Either this process remembers an older state, or another window went on. Then nothing is taken, and the page is told where it stands.
      if (current) continue;
      return fail('sittingMovedOn', { detail: viewOf(at) });
    }
    const before = at.standing.tries.length;
    // Of moves sent again, those after the one that ended the question were passed over then, and are now.
    const beforeEnd = fresh.length < sent.moves.length && at.standing.ended ? [] : fresh;
    const took = beforeEnd.length === 0 ? { ...NOTHING, standing: at.standing, passedOver: fresh.length } : takeSent(at.model, at.edition.names, at.standing, fresh);
    if (!took.ok) {
      if (took.reason === 'ended') return fail('alreadyEnded');
      return fail('invalid', { problems: [{ path: `moves${took.path}`, message: 'This is not in the question.' }] });
    }
    const next: At = { ...at, standing: took.standing, last: at.last + took.taken.length };
    took.taken.forEach(({ id }, i) => {
      at.known.set(id, at.last + i + 1);
    });
    if (took.taken.length > 0) {
      const kept = await keep(context.db, additionOf(next, took.taken, at.last + 1, context.now(), next.standing.tries.length > before));
      if (kept === 'finished') return fail('sittingFinished');
      if (kept === 'taken') {
        if (attempt < MOST_ATTEMPTS) continue;
        return fail('unavailable');
      }
    }
    remember(next);
    return ok({ last: next.last, ...movesView(next, next.standing, took) });
  }
}

const NOTHING = { ok: true, taken: [], turnedAway: [] } as const;

const isOver = ({ sitting: { endsAt } }: At, { now }: Context) => endsAt !== null && endsAt <= now();

/** The moves that come after the last one that is known, and up to which number the browser knows the sitting. A move before a known one was passed over when that one was taken. */
function unknownOf({ known }: At, { after, moves }: Sent): { fresh: readonly SentMove[]; seen: number } {
  const lastKnown = moves.findLastIndex(({ id }) => known.has(id));
  return { fresh: moves.slice(lastKnown + 1), seen: moves.reduce((most, { id }) => Math.max(most, known.get(id) ?? 0), after) };
}

async function lookUp(context: Context, sittingId: string, learnerId: string, place: number): Promise<At | null> {
  const mine = await sittingOf(context, sittingId, learnerId);
  if (!mine || place > mine.reached) return null;
  return standingOf(context, await closedIfOver(context, mine), place);
}
