import { inOwnNames, type Move, markSoFar, namer, type SentMove, type TryView, takeMove, tryView } from '../../core';
import type { Context } from '../context';
import { fail, ok, type Result } from '../errors';
import { type Addition, keep } from './keep';
import { recall, remember } from './recent';
import { type At, sittingOf, standingOf } from './standing';
import { viewOf } from './view';

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

/** How often another process may get in between before that is taken for something worse. */
const MOST_ATTEMPTS = 4;

/** Keeps a learner's moves, in order and each once, and judges the checks among them. */
export async function takeMoves(context: Context, sittingId: string, learnerId: string, sent: Sent): Promise<Result<Answer>> {
  for (let attempt = 1; ; attempt++) {
    const recalled = attempt === 1 ? recall(sittingId) : null;
    const current = recalled?.sitting.learnerId === learnerId && recalled.question === sent.question ? recalled : null;
    const at = current ?? (await lookUp(context, sittingId, learnerId, sent.question));
    if (!at) return fail('notFound');

    const fresh = sent.moves.filter((m) => !at.known.has(m.id));
    const seen = sent.moves.reduce((most, m) => Math.max(most, at.known.get(m.id) ?? 0), sent.after);
    if (fresh.length > 0 && seen !== at.last) {
      // Either this process remembers an older state, or another window went on. Then nothing is taken, and the page is told where it stands.
      if (current) continue;
      return fail('sittingMovedOn', { detail: viewOf(at) });
    }
    const taken = takeAll(at, fresh);
    if (!taken.ok) return taken;
    const { bodies, next } = taken.value;
    if (bodies.length > 0 && !(await keep(context.db, additionOf(next, fresh, bodies, context.now())))) {
      if (attempt < MOST_ATTEMPTS) continue;
      return fail('unavailable');
    }
    remember(next);
    return ok(answerOf(next, sent));
  }
}

async function lookUp(context: Context, sittingId: string, learnerId: string, question: number): Promise<At | null> {
  const mine = await sittingOf(context, sittingId, learnerId);
  return mine && standingOf(context, mine, question);
}

function additionOf(at: At, fresh: readonly SentMove[], bodies: readonly Move[], when: Date): Addition {
  const { sitting, question, edition, model, standing } = at;
  const first = at.last - bodies.length + 1;
  const best = bodies.some(({ kind }) => kind === 'check') ? markSoFar(model, standing.tries) : null;
  return {
    moves: bodies.map((body, i) => ({ sittingId: sitting.id, n: first + i, id: (fresh[i] as SentMove).id, edition, question, body, at: when })),
    standing: best && {
      sittingId: sitting.id,
      question,
      tries: standing.tries.length,
      mark: best.mark,
      max: best.max,
      fullMarks: best.fullMarks,
      ended: standing.ended,
      checkedAt: when,
    },
  };
}

function answerOf({ model, names, standing, last }: At, sent: Sent): Answer {
  const best = markSoFar(model, standing.tries);
  return {
    last,
    lastTry: sent.moves.some((m) => m.kind === 'check') ? tryView(model, standing, namer(model, names.item)) : null,
    best: best ? { mark: best.mark, max: best.max } : null,
    tries: standing.tries.length,
    ended: standing.ended,
  };
}

/** Takes the moves one after another; `at` is used up, `next` is where they lead. */
function takeAll(at: At, fresh: readonly SentMove[]): Result<{ next: At; bodies: Move[] }> {
  let { standing } = at;
  const bodies: Move[] = [];
  for (const [i, sent] of fresh.entries()) {
    const body = inOwnNames(sent, at.names);
    const taken = takeMove(at.model, standing, body);
    if (!taken.ok && taken.reason === 'ended') return fail('alreadyEnded');
    if (!taken.ok) return fail('invalid', { problems: [{ path: `moves[${i}].${taken.path}`, message: 'This move cannot be taken.' }] });
    standing = taken.standing;
    bodies.push(body);
    at.known.set(sent.id, at.last + bodies.length);
  }
  return ok({ next: { ...at, standing, last: at.last + bodies.length }, bodies });
}
