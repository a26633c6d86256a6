import type { EntryModel } from '../../judge/model';
import { type Budget, TooMany } from '../budget';
import { byType, type Class, classesOf } from './classes';
import { freeWays } from './free';
import { choose } from './numbers';
import type { Outcomes } from './outcomes';
import { neutralZones, type Setting } from './setting';
import { sumName } from './sums';

/**
 * The last resort for few copies that are all unlike: every share of them that a zone could hold is a place in an
 * array, and two zones are put together by going through every way of splitting a share in two (some 3ⁿ of them).
 * Numbers stay whole and below 2⁵³, so that doubles hold them exactly.
 */
interface Shares {
  readonly setting: Setting;
  readonly classes: readonly Class[];
  readonly size: number;
  /** By share: how many of each class. */
  readonly counts: readonly (readonly number[])[];
  readonly steps: readonly number[];
  readonly budget: Budget;
}

const MAX_SHARES = 8192;
const MAX_CELLS = 16_000_000;
const MAX_EXACT = 2n ** 53n;

/** Throws {@link TooMany} where there are too many shares, or numbers that doubles do not hold. */
export function sharesOf(setting: Setting, total: bigint, budget: Budget): Shares {
  const classes = classesOf(setting);
  const steps: number[] = [];
  let size = 1;
  for (const { n } of classes) {
    steps.push(size);
    size *= n + 1;
    if (size > MAX_SHARES) throw new TooMany('too many shares');
  }
  if (total >= MAX_EXACT) throw new TooMany('numbers too large');
  const counts = Array.from({ length: size }, (_, share) =>
    classes.map(({ n }, i) => Math.floor(share / (steps[i] as number)) % (n + 1)),
  );
  return { setting, classes, size, counts, steps, budget };
}

/** Goes through every part of a share, with the number of ways of choosing its copies. */
function parts({ counts, steps, budget }: Shares, share: number, visit: (part: number, ways: number) => void): void {
  const whole = counts[share] as readonly number[];
  const go = (i: number, part: number, ways: number): void => {
    if (i === whole.length) {
      visit(part, ways);
      return;
    }
    const n = whole[i] as number;
    for (let k = 0; k <= n; k++)
      go(i + 1, part + k * (steps[i] as number), k === 0 || k === n ? ways : ways * Number(choose(n, k)));
  };
  budget.spend(
    2 **
      Math.min(
        20,
        whole.reduce((sum, n) => sum + n, 0),
      ),
  );
  go(0, 0, 1);
}

/** Ways by share and by score: `ways[share * scores.length + i]` at `scores[i]`. */
interface Scored {
  readonly scores: readonly number[];
  readonly ways: Float64Array;
}

function scoredZone(shares: Shares, entry: EntryModel, e: number, outcomes: Outcomes): Scored {
  const found = shares.counts.map((taken) =>
    fitsIn(shares, entry, taken) ? outcomes(entry, e, shares.classes, taken) : [],
  );
  const at = new Map<string, number>();
  const scores: number[] = [];
  for (const match of found)
    for (const { score } of match)
      if (!at.has(sumName(score))) {
        at.set(sumName(score), scores.length);
        scores.push(score);
      }
  const ways = new Float64Array(shares.size * scores.length);
  for (const [share, one] of found.entries())
    for (const { score, ways: n } of one) {
      const cell = share * scores.length + (at.get(sumName(score)) as number);
      ways[cell] = (ways[cell] as number) + Number(n);
    }
  return { scores, ways };
}

function fitsIn({ setting, classes }: Shares, { zone }: EntryModel, taken: readonly number[]): boolean {
  const open = setting.open[zone] as readonly boolean[];
  return (
    taken.every((n, i) => n === 0 || open[(classes[i] as Class).type]) &&
    taken.reduce((sum, n) => sum + n, 0) <= (setting.room[zone] as number)
  );
}

function together(shares: Shares, a: Scored, b: Scored): Scored {
  const at = new Map<string, number>();
  const scores: number[] = [];
  const sum = a.scores.map((x) =>
    b.scores.map((y) => {
      const name = sumName(x + y);
      const known = at.get(name);
      if (known !== undefined) return known;
      at.set(name, scores.length);
      return scores.push(x + y) - 1;
    }),
  );
  if (shares.size * scores.length > MAX_CELLS) throw new TooMany('too many scores');
  const ways = new Float64Array(shares.size * scores.length);
  const [filledA, filledB] = [filled(shares, a), filled(shares, b)];
  for (let share = 0; share < shares.size; share++)
    parts(shares, share, (part, chosen) => {
      for (const i of filledA[part] as number[])
        for (const j of filledB[share - part] as number[]) {
          const cell = share * scores.length + ((sum[i] as number[])[j] as number);
          ways[cell] =
            (ways[cell] as number) +
            chosen *
              (a.ways[part * a.scores.length + i] as number) *
              (b.ways[(share - part) * b.scores.length + j] as number);
        }
    });
  return { scores, ways };
}

/** By share: the scores that it has ways for. */
const filled = ({ size }: Shares, { scores, ways }: Scored): number[][] =>
  Array.from({ length: size }, (_, share) =>
    scores.map((_s, i) => i).filter((i) => (ways[share * scores.length + i] as number) > 0),
  );

/** What is left for zones without a key, and for the tray: one score, 0. */
function unscored(shares: Shares): Scored {
  const { setting, classes, counts, budget } = shares;
  const free = freeWays(setting, neutralZones(setting.model), budget);
  return { scores: [0], ways: Float64Array.from(counts, (share) => Number(free(byType(setting, classes, share)))) };
}

/** The sum of a measure of the score over all arrangements. */
export function sumOver(shares: Shares, outcomes: Outcomes, measure: (score: number) => number): number {
  const { size } = shares;
  const zones = shares.setting.model.entries.map((entry, e) => scoredZone(shares, entry, e, outcomes));
  // In two halves, which are then laid against one another.
  const half = Math.floor(zones.length / 2);
  const [one, other] = [zones.slice(half), [unscored(shares), ...zones.slice(0, half)]].map((some) =>
    some.reduce((a, b) => together(shares, a, b)),
  ) as [Scored, Scored];
  const [filledOne, filledOther] = [filled(shares, one), filled(shares, other)];
  const value = one.scores.map((x) => other.scores.map((y) => measure(x + y)));
  let sum = 0;
  parts(shares, size - 1, (part, chosen) => {
    const rest = size - 1 - part;
    for (const i of filledOne[part] as number[]) {
      let inner = 0;
      for (const j of filledOther[rest] as number[])
        inner += (other.ways[rest * other.scores.length + j] as number) * ((value[i] as number[])[j] as number);
      sum += chosen * (one.ways[part * one.scores.length + i] as number) * inner;
    }
  });
  return sum;
}
