import type { EntryModel } from '../../judge/model';
import { sumHolds } from '../../judge/tally';
import type { Budget } from '../budget';
import { TooMany } from '../budget';
import { compositions } from './compositions';
import { freeWays } from './free';
import { choose, factorial, ratio } from './numbers';
import { orderings, unitOf } from './sequences';
import type { Setting } from './setting';
import { sumName } from './sums';

/**
 * One entry by itself, over all arrangements: in how many its zone is satisfied, and the mean of c, the placements that
 * are right.
 */
export interface Marginal {
  readonly satisfied: bigint;
  readonly right: number;
}

/** Exact, however many zones there are: what is in one zone leaves the rest free. */
export function marginal(setting: Setting, entry: EntryModel, total: bigint, budget: Budget): Marginal {
  const { model, counts, open, room } = setting;
  const here = open[entry.zone] as readonly boolean[];
  const others = freeWays(
    setting,
    model.zones.map((_, z) => z).filter((z) => z !== entry.zone),
    budget,
  );
  const belonging = counts.map(() => 0);
  for (const item of entry.order) {
    const type = setting.typeOf[item] as number;
    if (type >= 0 && here[type]) belonging[type] = (belonging[type] as number) + (setting.copies[item] as number);
  }
  const strange = counts.map((n, type) => (here[type] ? n - (belonging[type] as number) : 0));
  const space = {
    belonging,
    strange,
    room: room[entry.zone] as number,
    rest: (taken: readonly number[]) => others(counts.map((n, type) => n - (taken[type] as number))),
  };
  if (entry.sequence) return ofSequence(setting, entry, space, total, budget);
  return entry.sum ? ofSum(setting, entry, space, total, budget) : ofCount(entry, space, total, budget);
}

interface Space {
  /** By type: copies that belong, and others that could be there. */
  readonly belonging: readonly number[];
  readonly strange: readonly number[];
  readonly room: number;
  readonly rest: (taken: readonly number[]) => bigint;
}

const product = (from: readonly number[], taken: readonly number[]) =>
  taken.reduce((ways, k, type) => ways * choose(from[type] as number, k), 1n);
const size = (taken: readonly number[]) => taken.reduce((sum, k) => sum + k, 0);

function ofCount(
  { lo, hi }: EntryModel,
  { belonging, strange, room, rest }: Space,
  total: bigint,
  budget: Budget,
): Marginal {
  let satisfied = 0n;
  let right = 0n;
  for (const taken of compositions(belonging, room)) {
    const r = size(taken);
    const ways = product(belonging, taken);
    if (r >= lo && r <= hi) satisfied += ways * rest(taken);
    const c = BigInt(Math.min(r, lo));
    if (c === 0n) continue;
    let around = 0n;
    for (const wrong of compositions(strange, room - r)) {
      around += product(strange, wrong) * rest(taken.map((k, type) => k + (wrong[type] as number)));
      budget.spend(20);
    }
    right += c * ways * around;
  }
  return { satisfied, right: ratio(right, total) };
}

const MAX_SUMS = 400_000;

function ofSum(
  setting: Setting,
  entry: EntryModel,
  { belonging, room, rest }: Space,
  total: bigint,
  budget: Budget,
): Marginal {
  const { model, copies, typeOf, open } = setting;
  let sums = new Map<string, { taken: number[]; sum: number; ways: bigint }>([
    ['', { taken: belonging.map(() => 0), sum: 0, ways: 1n }],
  ]);
  for (const item of entry.order) {
    const type = typeOf[item] as number;
    if (type < 0 || !open[entry.zone]?.[type]) continue;
    const next: typeof sums = new Map();
    for (const { taken, sum, ways } of sums.values())
      for (let k = 0; k <= (copies[item] as number) && size(taken) + k <= room; k++) {
        const more = taken.with(type, (taken[type] as number) + k);
        const value = sum + k * (model.values[item] as number);
        const name = `${more.join()}|${sumName(value)}`;
        const found = next.get(name);
        const added = ways * choose(copies[item] as number, k);
        if (found) found.ways += added;
        else next.set(name, { taken: more, sum: value, ways: added });
        budget.spend(20);
      }
    if (next.size > MAX_SUMS) throw new TooMany('too many sums');
    sums = next;
  }
  let satisfied = 0n;
  for (const { taken, sum, ways } of sums.values()) {
    const r = size(taken);
    if (r >= entry.lo && r <= entry.hi && sumHolds(entry.sum, sum)) satisfied += ways * rest(taken);
  }
  return { satisfied, right: ratio(satisfied, total) };
}

function ofSequence(
  setting: Setting,
  entry: EntryModel,
  { belonging, strange, room, rest }: Space,
  total: bigint,
  budget: Budget,
): Marginal {
  const { sequenceRule } = setting.model.question.marks;
  const { order } = entry;
  const n = order.length;
  const types = order.map((item) => setting.typeOf[item] as number);
  const fitsIn = (type: number) => setting.open[entry.zone]?.[type] === true;
  const fits = types.every(fitsIn);
  const satisfied = fits && n <= room ? rest(belonging) : 0n;
  if (sequenceRule === 'allOrNothing') return { satisfied, right: n * ratio(satisfied, total) };

  // How many lists of a composition hold certain items of the key: the others are chosen by type.
  const all = belonging.map((b, type) => b + (strange[type] as number));
  const holding = (taken: readonly number[], items: readonly number[]) => {
    const left = [...all];
    const more = [...taken];
    for (const item of items) {
      const type = types[item] as number;
      if (!fitsIn(type)) return 0n;
      left[type] = (left[type] as number) - 1;
      more[type] = (more[type] as number) - 1;
    }
    return more.some((k) => k < 0) ? 0n : product(left, more);
  };
  let counted = 0n;
  for (const taken of compositions(all, room)) {
    const k = size(taken);
    const around = rest(taken);
    budget.spend(30 * n);
    if (around === 0n) continue;
    let here = 0n;
    if (sequenceRule === 'exactPosition' || (n === 1 && sequenceRule !== 'longestRun')) {
      for (let i = 0; i < Math.min(n, k); i++) here += holding(taken, [i]) * factorial(k - 1);
    } else if (sequenceRule === 'adjacentPairs') {
      for (let i = 0; i + 1 < n && k >= 2; i++) here += holding(taken, [i, i + 1]) * factorial(k - 1);
    } else if (sequenceRule === 'pairsInOrder') {
      budget.spend(30 * n * n);
      for (let i = 0; i < n; i++)
        for (let j = i + 1; j < n && k >= 2; j++) here += holding(taken, [i, j]) * (factorial(k) / 2n);
    } else {
      for (const ofKey of compositions(
        belonging.map((b, type) => Math.min(b, taken[type] as number)),
        k,
      )) {
        const r = size(ofKey);
        const others = product(
          strange,
          taken.map((t, type) => t - (ofKey[type] as number)),
        );
        const runs = orderings('longestRun', n, { k, r, low: 0, pairs: 0, complete: false }, budget);
        here +=
          product(belonging, ofKey) * others * runs.reduce((sum, ways, length) => sum + BigInt(length) * ways, 0n);
        budget.spend(20);
      }
    }
    counted += here * around;
  }
  return { satisfied, right: unitOf(sequenceRule, n) * ratio(counted, total) };
}
