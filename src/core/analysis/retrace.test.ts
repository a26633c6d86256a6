import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { copyOf, questionModel } from '../judge/model';
import { type Move, replay } from '../judge/replay';
import { retrace } from './retrace';

const put = (item: string, zone: string | null): Move => ({ kind: 'put', item, copy: 0, zone });

describe('a sitting played back', () => {
  const model = questionModel(seeds({ tries: 2, afterMiss: 'sendWrongHome' }));
  const moves = [
    put('barley', 'moist'),
    { kind: 'check' } as const,
    put('barley', 'dry'),
    put('poppy', 'dry'),
    put('acorn', 'moist'),
    { kind: 'check' } as const,
  ];
  const frames = retrace(
    model,
    moves.map((move, i) => ({ move, at: 1000 * i })),
  );

  it('has a frame before the first move and one after each, which later ones leave alone', () => {
    expect(frames).toHaveLength(moves.length + 1);
    const barley = copyOf(0, 0);
    expect(frames.map(({ board }) => board.zoneOf.get(barley) ?? null)).toEqual([null, 1, 1, 0, 0, 0, 0]);
    expect(frames.map(({ tries }) => tries)).toEqual([0, 0, 1, 1, 1, 1, 2]);
    expect(frames.map(({ tried }) => tried?.judged.mark ?? null)).toEqual([null, null, 0, null, null, null, 3]);
    expect(frames.map(({ ended }) => ended)).toEqual([false, false, false, false, false, false, true]);
    expect(frames[2]?.judged?.verdicts.get(barley)).toBe('wrong');
    expect(frames[3]?.judged).toBeNull();
  });

  it('ends where replaying ends', () => {
    const { board, tries } = replay(model, moves);
    expect([...(frames.at(-1)?.board.zoneOf ?? [])]).toEqual([...board.zoneOf]);
    expect(frames.at(-1)?.tries).toBe(tries.count);
  });

  it('passes over what cannot be taken any more, and says so', () => {
    const more = retrace(
      model,
      [...moves, put('gravel', 'dry')].map((move, i) => ({ move, at: i })),
    );
    expect(more.at(-1)).toMatchObject({ passedOver: true, ended: true });
    expect(more.at(-1)?.board.zoneOf.get(copyOf(3, 0))).toBeUndefined();
  });
});
