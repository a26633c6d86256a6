import { describe, expect, it } from 'vitest';
import { solvableByListing } from '../../../../tests/support/listing';
import { randomQuestion } from '../../../../tests/support/randomQuestion';
import { seeds } from '../../../../tests/support/seeds';
import type { Question } from '../../document/schema';
import { type QuestionModel, questionModel } from '../../judge/model';
import { random, seedOf } from '../../random/random';
import { budget, OutOfTime, unlimited } from '../budget';
import { reachability } from '../reachable';
import { conflict } from './conflict';
import { nameOf, puzzleOf, rulesOf } from './rules';
import { earnsFullMarks, placementsOf, solveUpright } from './solve';

const everything = (model: QuestionModel) => puzzleOf(model, reachability(model), () => true);
const solvable = (model: QuestionModel) => solveUpright(everything(model), unlimited) !== null;

describe('an answer', () => {
  it('is found where listing finds one, and earns full marks: 800 random questions', () => {
    const seen = { yes: 0, no: 0 };
    for (let i = 0; i < 800; i++) {
      const seed = `solve-${i}`;
      const model = questionModel(randomQuestion(seed));
      if (model.entries.length === 0) continue;
      const reachable = reachability(model);
      const endless = model.question.items.some(({ copies }) => copies === 'endless');
      const found = endless
        ? null
        : solvableByListing(model, (item, zone) => reachable(item, zone).can === 'wins', 30_000);
      const puzzle = puzzleOf(model, reachable, () => true);
      const answer = solveUpright(puzzle, unlimited);
      if (answer) expect(earnsFullMarks(puzzle, placementsOf(puzzle, answer)), seed).toBe(true);
      if (found === null) continue;
      expect(answer !== null, seed).toBe(found);
      seen[found ? 'yes' : 'no']++;
    }
    expect(Math.min(seen.yes, seen.no)).toBeGreaterThan(150);
  }, 120_000);

  it('is found to a sum of 24 odd values, which no two ways of adding reach alike', () => {
    const next = random(seedOf('sachets'));
    const values = Array.from({ length: 24 }, () => Math.round(next() * 1e6) / 1e4);
    const target = values.filter((_, i) => i % 3 === 0).reduce((a, b) => a + b, 0);
    const items = values.map((value, i) => ({
      id: `sachet-${i}`,
      label: `${value} g`,
      size: { w: 30, h: 20 },
      home: { x: 30 * i, y: 480 },
      value,
    }));
    const question = seeds({ items, key: [{ zone: 'dry', sum: { target, tolerance: 0 } }] });
    const puzzle = everything(questionModel(question));
    const answer = solveUpright(puzzle, unlimited);
    expect(answer && earnsFullMarks(puzzle, placementsOf(puzzle, answer))).toBe(true);
  }, 60_000);

  it('uses as many of an endless item as a sum takes', () => {
    const weights = (target: number) =>
      seeds({
        items: [
          { id: 'five', size: { w: 9, h: 9 }, copies: 'endless', value: 5 },
          { id: 'seven', size: { w: 9, h: 9 }, copies: 'endless', value: 7 },
        ],
        key: [{ zone: 'dry', sum: { target } }],
      });
    expect(solvable(questionModel(weights(23)))).toBe(false);
    expect(solvable(questionModel(weights(250)))).toBe(true);
  });

  it('does not let carriers rest in one another', () => {
    const piece = (id: string, x: number) => ({ id, size: { w: 100, h: 100 }, home: { x, y: 400 } });
    const socket = (id: string, ridesOn: string) => ({
      id,
      shape: { type: 'rect', x: 10, y: 10, w: 90, h: 90 },
      ridesOn,
      reach: { rule: 'touch' },
    });
    const build = (key: unknown) =>
      seeds({
        items: [piece('husk', 0), piece('germ', 200)],
        zones: [socket('in-husk', 'husk'), socket('in-germ', 'germ')],
        key,
      });
    const needs = (zone: string, item: string) => ({ zone, belongs: [item], need: { rule: 'all' } });
    expect(solvable(questionModel(build([needs('in-husk', 'germ')])))).toBe(true);
    expect(solvable(questionModel(build([needs('in-husk', 'germ'), needs('in-germ', 'husk')])))).toBe(false);
  });
});

describe('what contradicts', () => {
  const names = (question: Question) => {
    const model = questionModel(question);
    return conflict(model, reachability(model), unlimited).map(nameOf).sort();
  };
  it('is a need above the capacity', () => {
    const zone = { id: 'dry', shape: { type: 'rect', x: 0, y: 0, w: 400, h: 300 }, capacity: 1 };
    expect(
      names(seeds({ zones: [zone], key: [{ zone: 'dry', belongs: ['barley', 'poppy'], need: { rule: 'all' } }] })),
    ).toEqual(['capacity:0', 'need:0']);
  });
  it('is two zones that need one item', () => {
    const both = ['dry', 'moist'].map((zone) => ({ zone, belongs: ['barley'], need: { rule: 'all' } }));
    expect(names(seeds({ key: both }))).toEqual(['copies:0', 'need:0', 'need:1']);
  });
  it('is a sum that nothing adds up to', () => {
    const items = [{ id: 'barley', size: { w: 9, h: 9 }, value: 4 }];
    expect(names(seeds({ items, key: [{ zone: 'dry', sum: { target: 6 } }] }))).toEqual(['sum:0']);
  });
  it('cannot do with one rule less, on random questions', () => {
    let looked = 0;
    for (let i = 0; looked < 60; i++) {
      const model = questionModel(randomQuestion(`conflict-${i}`));
      const reachable = reachability(model);
      if (model.entries.length === 0 || solvable(model)) continue;
      looked++;
      const rules = conflict(model, reachable, unlimited);
      const without = (left: readonly string[]) =>
        solveUpright(
          puzzleOf(model, reachable, (rule) => left.includes(nameOf(rule))),
          unlimited,
        );
      expect(without(rules.map(nameOf))).toBeNull();
      for (const rule of rules) expect(without(rules.filter((other) => other !== rule).map(nameOf))).not.toBeNull();
      expect(rulesOf(model).length).toBeGreaterThanOrEqual(rules.length);
    }
  }, 60_000);
});

it('stops when time is up', () => {
  const items = Array.from({ length: 60 }, (_, i) => ({ id: `i${i}`, size: { w: 9, h: 9 }, value: Math.sqrt(i + 2) }));
  const key = ['dry', 'moist'].map((zone) => ({ zone, sum: { target: 100.123456 } }));
  let looks = 0;
  expect(() =>
    solveUpright(
      everything(questionModel(seeds({ items, key }))),
      budget(() => ++looks > 3),
    ),
  ).toThrow(OutOfTime);
});
