import { describe, expect, it } from 'vitest';
import { randomQuestion } from '../../../tests/support/randomQuestion';
import { seeds } from '../../../tests/support/seeds';
import { questionModel } from '../judge/model';
import { respond } from '../judge/response';
import { random, seedOf } from '../random/random';
import { account } from './account';

const judged = (changes: Record<string, unknown>, placements: [string, string][], attempt = 1) => {
  const model = questionModel(seeds({ tries: 4, ...changes }));
  const responded = respond(model, { try: attempt, placements: placements.map(([item, zone]) => ({ item, zone })) });
  if (!responded.ok) throw new Error(responded.fault);
  return {
    mark: responded.judged.mark,
    lines: account(model, responded.judged, attempt).map(({ code, zone, count, amount }) => [
      code,
      zone,
      count,
      Math.round(amount * 1000) / 1000,
    ]),
  };
};

describe('the account of a mark', () => {
  it('says what each zone gave, what wrong ones and earlier tries cost, and what rounding did', () => {
    const marks = { max: 4, rule: 'perPlacement', extraCosts: 0.5, misplacedCosts: 0.5, tryCosts: 0.1, places: 0 };
    expect(
      judged(
        { marks },
        [
          ['barley', 'dry'],
          ['poppy', 'dry'],
          ['gravel', 'moist'],
        ],
        2,
      ),
    ).toEqual({
      mark: 2,
      lines: [
        ['placements', 0, 2, 2.667],
        ['extra', null, 1, -0.667],
        ['earlierTries', null, 1, -0.4],
        ['rounded', null, 1, 0.4],
      ],
    });
  });

  it('says where it was held to nothing, and what came by zone or at once', () => {
    const marks = { max: 4, rule: 'perPlacement', extraCosts: 2, misplacedCosts: 2 };
    expect(
      judged({ marks }, [
        ['gravel', 'dry'],
        ['barley', 'moist'],
      ]).lines.map(([code]) => code),
    ).toEqual(['misplaced', 'extra', 'heldToRange']);
    expect(judged({ marks: { max: 4, rule: 'perZone' } }, [['acorn', 'moist']])).toEqual({
      mark: 2,
      lines: [['zone', 1, 1, 2]],
    });
    const full: [string, string][] = [
      ['barley', 'dry'],
      ['poppy', 'dry'],
      ['acorn', 'moist'],
    ];
    expect(judged({ marks: { max: 4, rule: 'allOrNothing' } }, full)).toEqual({
      mark: 4,
      lines: [['allOfIt', null, 2, 4]],
    });
    expect(judged({ marks: { max: 4, rule: 'allOrNothing' } }, full.slice(1))).toEqual({ mark: 0, lines: [] });
  });

  it('adds up to the mark, on 400 random answers', () => {
    let compared = 0;
    for (let i = 0; i < 400; i++) {
      const question = randomQuestion(`account-${i}`);
      const model = questionModel(question);
      const next = random(seedOf(`account-${i}`));
      const attempt = 1 + Math.floor(next() * 3);
      const responded = respond(model, {
        try: attempt,
        drops: question.items.map(({ id }) => ({ item: id, x: next() * 900, y: next() * 400 })),
      });
      if (model.entries.length === 0 || !responded.ok) continue;
      compared++;
      const total = account(model, responded.judged, attempt).reduce((sum, { amount }) => sum + amount, 0);
      expect(total, `account-${i}`).toBeCloseTo(responded.judged.mark, 9);
    }
    expect(compared).toBeGreaterThan(300);
  });
});
