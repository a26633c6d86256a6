import { describe, expect, it } from 'vitest';
import { random } from '../random/random';
import { wilson } from './intervals';
import { masteryOf, type OutcomeAnswer, whoNeeds } from './mastery';

const answer = (
  learnerId: string,
  question: string,
  outcomes: string[],
  earned: number,
  points = 1,
): OutcomeAnswer => ({
  ...{ learnerId, question, outcomes, earned, points },
});
const TREE = new Map<string, string | null>([
  ['seeds', null],
  ['dry', 'seeds'],
  ['moist', 'seeds'],
  ['circle', 'circle'],
]);

describe('the marks of an outcome', () => {
  it('are what was earned of what could be, by learner too, with Wilson’s interval', () => {
    const { all, learners } = masteryOf(
      [answer('wren', 'q1', ['dry'], 1), answer('wren', 'q2', ['dry'], 0.5), answer('ash', 'q1', ['dry'], 0)],
      TREE,
    );
    expect(all.get('dry')).toEqual({ ...wilson(0.5, 3), answers: 3, questions: 2 });
    expect(learners.get('dry')?.get('wren')).toEqual({ ...wilson(0.75, 2), answers: 2 });
    expect(all.has('moist')).toBe(false);
  });

  it('count for what stands above too, once, even if a question has two below it', () => {
    const { all } = masteryOf([answer('wren', 'q1', ['dry', 'moist'], 4, 4), answer('ash', 'q2', ['circle'], 1)], TREE);
    expect(all.get('seeds')).toMatchObject({ value: 1, answers: 1, questions: 1 });
    expect(all.get('circle')).toMatchObject({ value: 1, answers: 1 });
  });

  it('weigh by points, which are fewer answers than there are', () => {
    const { all } = masteryOf([answer('wren', 'q1', ['dry'], 9, 9), answer('wren', 'q2', ['dry'], 0, 1)], TREE);
    expect(all.get('dry')?.value).toBe(0.9);
    expect(all.get('dry')?.low).toBeCloseTo(wilson(0.9, 100 / 82)?.low ?? 0, 12);
  });

  it('come to the same whatever the order, and lie within their bounds: 200 random classes', () => {
    for (let seed = 0; seed < 200; seed++) {
      const next = random(seed);
      const some = Array.from({ length: 1 + Math.floor(next() * 20) }, (_, i) => {
        const points = 1 + Math.floor(next() * 5);
        return answer(
          `l${Math.floor(next() * 4)}`,
          `q${i % 6}`,
          [['dry', 'moist'][i % 2] as string],
          next() * points,
          points,
        );
      });
      const { all, learners } = masteryOf(some, TREE);
      const back = masteryOf([...some].reverse(), TREE);
      for (const [outcome, { value, low, high, answers }] of all) {
        expect(low).toBeLessThanOrEqual(value);
        expect(high).toBeGreaterThanOrEqual(value);
        expect(back.all.get(outcome)?.value).toBeCloseTo(value, 12);
        expect([...(learners.get(outcome)?.values() ?? [])].reduce((n, one) => n + one.answers, 0)).toBe(answers);
      }
    }
  });

  it('tell who needs it: under half, and not from one answer', () => {
    const { learners } = masteryOf(
      [
        ...[answer('once', 'q1', ['dry'], 0)],
        ...[answer('low', 'q1', ['dry'], 0), answer('low', 'q2', ['dry'], 0.2)],
        ...[answer('half', 'q1', ['dry'], 0), answer('half', 'q2', ['dry'], 1)],
        ...[answer('under', 'q1', ['dry'], 0.4), answer('under', 'q2', ['dry'], 0.5)],
      ],
      TREE,
    );
    expect(whoNeeds(learners.get('dry') ?? new Map()).map(([who]) => who)).toEqual(['low', 'under']);
  });
});
