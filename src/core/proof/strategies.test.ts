import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { questionModel } from '../judge/model';
import { prove } from './proof';
import { type Earned, type Strategy, strategies, tryingBeatsKnowing } from './strategies';

const clock = { now: () => 0 };
const item = (id: string, more: Record<string, unknown> = {}) => ({ id, label: id, size: { w: 60, h: 30 }, ...more });
const zone = (id: string, x: number, more: Record<string, unknown> = {}) => ({
  id,
  label: id,
  shape: { type: 'rect', x, y: 40, w: 180, h: 300 },
  ...more,
});
const all = (into: string, ...belongs: string[]) => ({ zone: into, belongs, need: { rule: 'all' } });

/** One seed, three shelves. */
const one = (more: Record<string, unknown>) =>
  seeds({
    items: [item('oat')],
    zones: [zone('a', 20), zone('b', 220), zone('c', 420)],
    key: [all('a', 'oat')],
    marks: { max: 4, rule: 'perPlacement' },
    tries: 1,
    afterMiss: 'leave',
    ...more,
  });
function earned(question: ReturnType<typeof seeds>): Record<Strategy, Earned> {
  const model = questionModel(question);
  const full = prove(model, 1000, clock).modelAnswer?.placements ?? null;
  const all = strategies(model, full, 1000, clock);
  if (!all) throw new Error('There are no figures');
  return Object.fromEntries(all.map((found) => [found.strategy, found])) as Record<Strategy, Earned>;
}
/** Within three of the half-widths that hold in 95 of 100 cases. */
const near = (value: number, exact: number, error: number) => Math.abs(value - exact) <= 1.6 * error + 0.004;

describe('strategies earn what can be worked out by hand', () => {
  it('a guesser earns what Proof says a guess earns', () => {
    for (const question of [
      seeds({ tries: 3 }),
      seeds({ marks: { max: 3, rule: 'perPlacement' } }),
      seeds({ marks: { max: 3, rule: 'allOrNothing' }, tries: null }),
      one({}),
    ]) {
      const { guessing } = prove(questionModel(question), 1000, clock);
      const { guesses } = earned(question);
      expect(guessing?.method).toBe('exact');
      // Marks are rounded, and shares of three are: their mean is off by less than that.
      expect(near(guesses.mark, guessing?.expectedFraction ?? -1, guesses.markError)).toBe(true);
      expect(near(guesses.full, guessing?.chanceOfFullMarks ?? -1, guesses.fullError)).toBe(true);
      expect(guesses.tries).toBe(1);
    }
    // Thousands of guesses at each of four: beside other tests it takes its time.
  }, 120_000);

  it.each<[string, Record<string, unknown>, mark: number, full: number, tries: number]>([
    ['one try', { tries: 1 }, 1 / 3, 1 / 3, 1],
    ['two tries', { tries: 2 }, 2 / 3, 2 / 3, 1 + 2 / 3],
    [
      'two, the second at half the mark',
      { tries: 2, marks: { max: 4, rule: 'perPlacement', tryCosts: 0.5 } },
      0.5,
      2 / 3,
      5 / 3,
    ],
    ['no limit', { tries: null }, 1, 1, 2],
    ['three, wrong ones sent home', { tries: 3, afterMiss: 'sendWrongHome' }, 1, 1, 2],
    ['judged as they land', { tries: null, judging: 'onLand', afterMiss: 'sendWrongHome' }, 1, 1, 2],
    ['judged as they land, two tries', { tries: 2, judging: 'onLand' }, 2 / 3, 2 / 3, 5 / 3],
  ])('who tries everything, with %s', (_, more, mark, full, tries) => {
    const wrong = (id: string) => ({ zone: id, belongs: [], need: { rule: 'exactly', n: 0 } });
    const { triesAll } = earned(one({ key: [all('a', 'oat'), wrong('b'), wrong('c')], ...more }));
    expect(near(triesAll.mark, mark, triesAll.markError)).toBe(true);
    expect(near(triesAll.full, full, triesAll.fullError)).toBe(true);
    expect(Math.abs(triesAll.tries - tries)).toBeLessThan(0.09);
  });

  it('where nothing is said of the other shelves, nothing there is right', () => {
    const { triesAll } = earned(one({ tries: null }));
    expect([triesAll.mark, triesAll.full]).toEqual([1, 1]);
    expect(Math.abs(triesAll.tries - 2)).toBeLessThan(0.09);
  });

  it('who is turned away from every other zone needs one try', () => {
    const question = one({
      tries: 1,
      zones: ['a', 'b', 'c'].map((id, i) => zone(id, 20 + 200 * i, { welcome: 'keyed' })),
    });
    const { triesAll, guesses } = earned(question);
    expect([triesAll.mark, triesAll.tries]).toEqual([1, 1]);
    expect(near(guesses.mark, 1 / 3, guesses.markError)).toBe(true);
  });

  it('half of two seeds known, the other of two shelves guessed', () => {
    const { knowsHalf } = earned(
      seeds({
        items: [item('oat'), item('rye')],
        zones: [zone('a', 20), zone('b', 420)],
        key: [all('a', 'oat'), all('b', 'rye')],
        marks: { max: 2, rule: 'perPlacement' },
        tries: 1,
      }),
    );
    expect(near(knowsHalf.mark, 0.75, knowsHalf.markError)).toBe(true);
    expect(near(knowsHalf.full, 0.5, knowsHalf.fullError)).toBe(true);
  });

  it('one slip costs what a try costs, and all of it where there is no other try', () => {
    const slips = (more: Record<string, unknown>) => earned(one(more)).slipsOnce;
    expect(slips({ tries: 1 })).toMatchObject({ mark: 0, full: 0, tries: 1 });
    expect(slips({ tries: 2 })).toMatchObject({ mark: 1, full: 1, tries: 2 });
    expect(slips({ tries: 2, marks: { max: 4, rule: 'perPlacement', tryCosts: 0.25 } })).toMatchObject({ mark: 0.75 });
  });

  it('an order is tried place by place', () => {
    const order = ['dry', 'weigh', 'seal'];
    const { triesAll, slipsOnce } = earned(
      seeds({
        kind: 'order',
        items: order.map((id) => item(id)),
        zones: [zone('line', 40, { settle: { rule: 'column' } })],
        key: [{ zone: 'line', belongs: order, sequence: true }],
        marks: { max: 3, rule: 'perPlacement' },
        tries: null,
      }),
    );
    expect([triesAll.mark, triesAll.full]).toEqual([1, 1]);
    // A sixth is right at once; two that have changed places are known after one more; of three none of which is
    // right, one of the two other orders is.
    expect(Math.abs(triesAll.tries - (1 / 6 + (3 / 6) * 2 + (2 / 6) * 2.5))).toBeLessThan(0.09);
    expect(slipsOnce).toMatchObject({ mark: 1, tries: 2 });
  });
});

it('is the same for the same question, and known to one in a hundred', () => {
  const [first, second] = [earned(seeds({ id: 'same' })), earned(seeds({ id: 'same' }))];
  expect(first).toEqual(second);
  for (const { markError, fullError } of Object.values(first))
    expect(Math.max(markError, fullError)).toBeLessThanOrEqual(0.01);
});

it('says when trying comes as far as knowing, and not when a try costs', () => {
  const said = (more: Record<string, unknown>) =>
    tryingBeatsKnowing(Object.values(earned(seeds({ marks: { max: 3, rule: 'perPlacement' }, ...more }))));
  expect(said({ tries: null })).not.toBeNull();
  expect(said({ tries: 1 })).toBeNull();
});

it('nobody tries everything where zones are hidden, or typed into, or nothing is keyed', () => {
  const none = (more: Record<string, unknown>) => {
    const model = questionModel(seeds(more));
    return strategies(model, prove(model, 1000, clock).modelAnswer?.placements ?? null, 1000, clock);
  };
  expect(none({ key: [] })).toBeNull();
  expect(none({ zones: [zone('dry', 40, { hidden: true }), zone('moist', 500)] })).toBeNull();
});
