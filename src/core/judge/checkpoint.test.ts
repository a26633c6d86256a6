import { describe, expect, it } from 'vitest';
import { randomQuestion } from '../../../tests/support/randomQuestion';
import { seeds } from '../../../tests/support/seeds';
import type { Question } from '../document/schema';
import { random, seedOf } from '../random/random';
import { checkpointOf, standingFrom } from './checkpoint';
import { questionModel } from './model';
import { applyMove, type Move, rejudge, type Standing, untouched } from './replay';

function randomMoves(question: Question, seed: string, n: number): Move[] {
  const next = random(seedOf(seed));
  const oneOf = <T>(values: readonly T[]): T => values[Math.floor(next() * values.length)] as T;
  return Array.from({ length: n }, (): Move => {
    const kind = next();
    if (kind < 0.08) return { kind: 'check' };
    if (kind < 0.1) return { kind: 'reset' };
    const { id, copies } = oneOf(question.items);
    const copy = Math.floor(next() * (copies === 'endless' ? 3 : copies));
    if (kind < 0.5) return { kind: 'put', item: id, copy, zone: next() < 0.1 ? null : oneOf(question.zones).id };
    return { kind: 'drop', item: id, copy, x: next() * 960, y: next() * 540 };
  });
}

/** All that a standing says, as values that can be compared. */
const said = ({ board, tries, judged, ...rest }: Standing) => ({
  ...rest,
  board: {
    ...board,
    zoneOf: [...board.zoneOf],
    settledAt: [...board.settledAt],
    letGo: [...board.letGo],
    texts: [...board.texts],
  },
  judged: judged && { judged: judged.judged, verdicts: [...judged.verdicts] },
  tries: {
    count: tries.count,
    best: tries.best && [tries.best.number, tries.best.judged],
    last: tries.last && [tries.last.number, tries.last.judged],
  },
  judgedByLast: judged !== null && judged === tries.last,
});

describe('a checkpoint', () => {
  it('is where moves led to, whenever it is made, and going on from it is going on', () => {
    let ended = 0;
    for (let seed = 0; seed < 150; seed++) {
      const question = {
        ...randomQuestion(`checkpoint ${seed}`),
        tries: seed % 3 === 0 ? null : 4,
        judging: seed % 4 === 0 ? ('onLand' as const) : ('onCheck' as const),
      };
      if (question.key.length === 0) continue;
      const model = questionModel(question);
      const moves = randomMoves(question, `moves ${seed}`, 40);
      let now = untouched(model);
      for (const [i, move] of moves.entries()) {
        const text = JSON.stringify(checkpointOf(now));
        const from = standingFrom(model, JSON.parse(text));
        expect(said(from)).toEqual(said(now));
        if (i % 10 === 0) expect(said(rejudge(model, moves.slice(i), from))).toEqual(said(rejudge(model, moves)));
        const taken = applyMove(model, now, move);
        if (taken.ok) now = taken.standing;
      }
      if (now.ended) ended++;
    }
    expect(ended).toBeGreaterThan(20);
  });

  it('holds arrangements alone, and grows with the things in them, not with the tries', () => {
    const model = questionModel(seeds({ tries: null, afterMiss: 'leave' }));
    const put: Move = { kind: 'put', item: 'acorn', zone: 'dry' };
    const few = rejudge(model, [put, { kind: 'check' }]);
    const many = rejudge(
      model,
      Array.from({ length: 2000 }, (_, i): Move => (i % 2 === 0 ? put : { kind: 'check' })),
    );
    expect(many.tries.count).toBe(1000);
    expect(JSON.stringify(checkpointOf(many)).length).toBeLessThan(JSON.stringify(checkpointOf(few)).length + 100);
  });
});
