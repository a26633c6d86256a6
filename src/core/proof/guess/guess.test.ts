import { describe, expect, it } from 'vitest';
import { listed } from '../../../../tests/support/listing';
import { randomQuestion } from '../../../../tests/support/randomQuestion';
import { seeds } from '../../../../tests/support/seeds';
import { questionModel } from '../../judge/model';
import { budget, unlimited } from '../budget';
import { scoresApart } from './apart';
import { sharesOf, sumOver } from './dense';
import { arrangements, guessing } from './guess';
import { meanHeld } from './joint';
import { outcomesOf, satisfying } from './outcomes';

describe('counting agrees with listing', () => {
  it('on 600 random questions', () => {
    let compared = 0;
    for (let i = 0; i < 600; i++) {
      const seed = `guess-${i}`;
      const model = questionModel(randomQuestion(seed));
      const byListing = model.entries.length > 0 ? listed(model, 20_000) : null;
      if (!byListing) continue;
      compared++;
      const { arrangements: n, full, fraction, satisfied } = byListing;
      expect(Number(arrangements(model, unlimited).total), seed).toBe(n);
      const guess = guessing(model, seed, unlimited, unlimited);
      expect(guess.method, seed).toBe('exact');
      expect(guess.fullMarkArrangements, seed).toBe(String(full));
      expect(guess.chanceOfFullMarks, seed).toBeCloseTo(full / n, 12);
      expect(guess.expectedFraction, seed).toBeCloseTo(fraction / n, 11);
      expect(guess.neverMissed, seed).toEqual(satisfied.flatMap((count, e) => (count === n ? [e] : [])));
    }
    expect(compared).toBeGreaterThan(400);
  }, 120_000);
});

describe('where wrong ones cost and copies do not get in one another’s way', () => {
  it('the quick way says what the general one says', () => {
    let compared = 0;
    for (let i = 0; compared < 120; i++) {
      const question = randomQuestion(`apart-${i}`, {
        items: 6,
        zones: 3,
        copies: 2,
        sums: false,
        sequences: false,
        either: false,
      });
      const wide = {
        ...question,
        marks: { ...question.marks, rule: 'perPlacement' as const, extraCosts: 0.5, misplacedCosts: 0.5 },
        zones: question.zones.map((zone) => ({ ...zone, capacity: null })),
      };
      const model = questionModel(wide);
      if (model.entries.length === 0) continue;
      const { setting, total } = arrangements(model, unlimited);
      if (!scoresApart(setting, unlimited)) continue;
      const byListing = listed(model, 20_000);
      if (!byListing || model.entries.every(({ lo }) => lo === 0)) continue;
      compared++;
      expect(meanHeld(setting, total, 0.5, unlimited), `apart-${i}`).toBeCloseTo(
        byListing.fraction / byListing.arrangements,
        11,
      );
    }
  });
});

describe('the last resort for few copies all unlike', () => {
  it('says what listing says, of full marks and of the mean', () => {
    let compared = 0;
    for (let i = 0; compared < 150; i++) {
      const question = randomQuestion(`dense-${i}`, { items: 5, zones: 3, copies: 2, either: false });
      const model = questionModel({
        ...question,
        marks: { ...question.marks, rule: 'perPlacement', extraCosts: 0.5, misplacedCosts: 0.5 },
      });
      const byListing = model.entries.length > 0 ? listed(model, 5000) : null;
      const needed = model.entries.reduce(
        (sum, { sum: total, sequence, order, lo }) => sum + (total ? 1 : sequence ? order.length : lo),
        0,
      );
      if (!byListing || needed === 0) continue;
      compared++;
      const { setting, total } = arrangements(model, unlimited);
      const shares = sharesOf(setting, total, unlimited);
      expect(
        sumOver(shares, satisfying, () => 1),
        `dense-${i}`,
      ).toBe(byListing.full);
      const mean =
        sumOver(shares, outcomesOf(setting, 0.5, unlimited), (score) => Math.min(1, Math.max(0, score / needed))) /
        Number(total);
      expect(mean, `dense-${i}`).toBeCloseTo(byListing.fraction / byListing.arrangements, 11);
    }
  });

  const unlike = Array.from({ length: 12 }, (_, i) => ({
    id: `i${i}`,
    size: { w: 30, h: 20 },
    home: { x: 40 * i, y: 480 },
    value: Math.round(1000 * Math.sqrt(i + 2)) / 100,
  }));
  const racks = ['a', 'b', 'c'].map((id, i) => ({
    id,
    shape: { type: 'rect', x: 20 + 300 * i, y: 20, w: 280, h: 300 },
  }));
  const turned = (n: number) => [...unlike.slice(n), ...unlike.slice(0, n)].map(({ id }) => id);
  it.each(['exactPosition', 'adjacentPairs', 'longestRun', 'pairsInOrder', 'allOrNothing'])(
    'counts three sequences of the same twelve items, by %s',
    (sequenceRule) => {
      const key = racks.map(({ id }, i) => ({ zone: id, belongs: turned(4 * i), sequence: true }));
      const model = questionModel(
        seeds({
          items: unlike,
          zones: racks,
          key,
          marks: { max: 4, rule: 'perPlacement', extraCosts: 0.5, misplacedCosts: 0.5, sequenceRule },
        }),
      );
      expect(guessing(model, '', unlimited, unlimited)).toMatchObject({ method: 'exact', fullMarkArrangements: '0' });
    },
    60_000,
  );
  it('counts three sums of the same twelve odd values', () => {
    const key = racks.map(({ id }) => ({ zone: id, sum: { target: 33.3, tolerance: 2 } }));
    const model = questionModel(
      seeds({
        items: unlike,
        zones: racks,
        key,
        marks: { max: 4, rule: 'perPlacement', extraCosts: 0.5, misplacedCosts: 0.5 },
      }),
    );
    expect(guessing(model, '', unlimited, unlimited).method).toBe('exact');
  }, 60_000);
});

describe('sampling', () => {
  it('agrees with counting to within four standard errors, in 39 of 40 cases or more', () => {
    const noTime = budget(() => true);
    let within = 0;
    let cases = 0;
    for (let i = 0; cases < 40; i++) {
      const model = questionModel(randomQuestion(`sample-${i}`));
      const exact = guessing(model, 'x', unlimited, unlimited);
      if (exact.expectedFraction === null) continue;
      let draws = 0;
      const some = budget(() => ++draws > 4);
      const guess = guessing(model, `sample-${i}`, { spend: () => noTime.spend(1e9) }, some);
      // Some are so small that they are counted before anybody looks at the clock.
      if (guess.method !== 'sampled') continue;
      cases++;
      const { chance, expected } = guess.standardError as { chance: number; expected: number };
      const near = (a: number | null, b: number | null, error: number) =>
        Math.abs((a ?? 0) - (b ?? 0)) <= 4 * error + 0.02;
      if (
        near(guess.expectedFraction, exact.expectedFraction, expected) &&
        near(guess.chanceOfFullMarks, exact.chanceOfFullMarks, chance)
      )
        within++;
    }
    expect(within).toBeGreaterThanOrEqual(39);
  }, 60_000);

  it('says nothing rather than guess when there was no time at all', () => {
    const none = budget(() => true);
    expect(
      guessing(
        questionModel(randomQuestion('guess-1')),
        'x',
        { spend: () => none.spend(1e9) },
        { spend: () => none.spend(1e9) },
      ).method,
    ).toBeNull();
  });
});
