import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { questionModel } from '../judge/model';
import { prove } from '../proof/proof';
import { typicalAnswers } from './typical';

const clock = { now: () => 0 };
const answers = (changes: Record<string, unknown> = {}) => {
  const model = questionModel(seeds(changes));
  return Object.fromEntries(
    typicalAnswers(model, prove(model, 1000, clock).modelAnswer?.placements ?? null).map(({ typical, judged }) => [
      typical,
      judged.mark,
    ]),
  );
};

describe('typical answers', () => {
  it('are marked by the question’s own rule', () => {
    expect(answers()).toEqual({ allRight: 3, allButOne: 2, oneWrong: 2, allInOneZone: 2, nothing: 0 });
    expect(answers({ marks: { max: 3, rule: 'perPlacement', extraCosts: 1, misplacedCosts: 1 } })).toEqual({
      allRight: 3,
      allButOne: 2,
      oneWrong: 1,
      allInOneZone: 0,
      nothing: 0,
    });
    expect(answers({ marks: { max: 3, rule: 'allOrNothing' } })).toEqual({
      allRight: 3,
      allButOne: 0,
      oneWrong: 0,
      allInOneZone: 0,
      nothing: 0,
    });
  });

  it('that cannot be are left out: nothing is right without a solution, nothing is anything without a key', () => {
    const need = [{ zone: 'dry', belongs: ['barley'], need: { rule: 'exactly', n: 2 } }];
    expect(answers({ key: need })).toEqual({ allInOneZone: expect.any(Number), nothing: 0 });
    expect(answers({ key: [] })).toEqual({});
  });
});
