import { randomUUID } from 'node:crypto';
import type { MovesAnswer, SittingView } from '../../src/contract';
import type { SentMove } from '../../src/core';
import type { As, Learner } from '../../src/server/context';
import type { Result } from '../../src/server/errors';
import { receiveMoves } from '../../src/server/sittings/moves';
import { goTo, openRelease } from '../../src/server/sittings/openRelease';
import { must } from './app';

/** A move as a page makes it, without the id. */
type Bare<Move = SentMove> = Move extends SentMove ? Omit<Move, 'id'> : never;

/** A learner at a question, who names things by their labels. */
export interface Sitter {
  readonly view: SittingView;
  readonly put: (item: string, zone: string | null, more?: { copy?: number; at?: number }) => SentMove;
  readonly drop: (item: string, x: number, y: number) => SentMove;
  readonly move: (move: Bare) => SentMove;
  readonly send: (after: number, ...moves: SentMove[]) => Promise<Result<MovesAnswer>>;
  /** Sends one move, after the last, which has to be taken. */
  readonly take: (move: SentMove) => Promise<MovesAnswer>;
}

export async function sitter(as: As<Learner>, releaseId: string, question?: number): Promise<Sitter> {
  const opened = must(await openRelease(as, releaseId));
  if (!opened.open) throw new Error('The sitting is finished');
  const view = question === undefined ? opened.open : must(await goTo(as, opened.open.id, question));
  const item = (label: string) => view.question.items.find((item) => item.label === label)?.id ?? '';
  const zone = (label: string) => view.question.zones.find((zone) => zone.label === label)?.id ?? '';
  let { last } = view;
  const move = (bare: Bare): SentMove => ({ id: randomUUID(), ...bare }) as SentMove;
  const send = async (after: number, ...moves: SentMove[]) => {
    const answer = await receiveMoves(as, view.id, as.person.id, { question: view.place.at, after, moves });
    if (answer.ok) ({ last } = answer.value);
    return answer;
  };
  return {
    view,
    move,
    send,
    put: (label, into, { copy = 0, at } = {}) =>
      move({
        kind: 'put',
        item: item(label),
        copy,
        zone: into === null ? null : zone(into),
        ...(at === undefined ? {} : { at }),
      }),
    drop: (label, x, y) => move({ kind: 'drop', item: item(label), copy: 0, x, y, px: x + 5, py: y + 5 }),
    take: async (sentMove) => must(await send(last, sentMove)),
  };
}
