import type { EntryModel } from '../../judge/model';
import { sumHolds } from '../../judge/tally';
import type { Budget } from '../budget';
import type { Class } from './classes';
import { factorial } from './numbers';
import { orderings, unitOf } from './sequences';
import type { Setting } from './setting';

/** A score, and in how many orders of the zone it comes about. */
export interface Outcome {
  readonly score: number;
  readonly ways: bigint;
}
/** What a zone can come to with some of each class in it. */
export type Outcomes = (
  entry: EntryModel,
  e: number,
  classes: readonly Class[],
  taken: readonly number[],
) => readonly Outcome[];

interface Content {
  readonly k: number;
  readonly r: number;
  readonly wrong: number;
  readonly surplus: number;
  readonly complete: boolean;
  readonly satisfied: boolean;
}

function contentOf(entry: EntryModel, e: number, classes: readonly Class[], taken: readonly number[]): Content {
  let r = 0;
  let k = 0;
  let sum = 0;
  taken.forEach((n, i) => {
    k += n;
    const one = classes[i] as Class;
    if (n === 0 || !one.entries.includes(e)) return;
    r += n;
    sum += n * one.value;
  });
  const wrong = k - r;
  const surplus = Math.max(0, r - entry.hi);
  return {
    k,
    r,
    wrong,
    surplus,
    complete: wrong === 0 && r === entry.order.length,
    satisfied: wrong === 0 && r >= entry.lo && surplus === 0 && sumHolds(entry.sum, sum),
  };
}

/** Is the zone satisfied? 1 in as many orders as satisfy it, else nothing at all. */
export const satisfying: Outcomes = (entry, e, classes, taken) => {
  const { satisfied, complete } = contentOf(entry, e, classes, taken);
  return satisfied && (!entry.sequence || complete) ? [{ score: 1, ways: 1n }] : [];
};

/** c less what wrong ones and those too many cost. */
export function outcomesOf(setting: Setting, wrongCosts: number, budget: Budget): Outcomes {
  const known = new Map<string, readonly bigint[]>();
  return (entry, e, classes, taken) => {
    const content = contentOf(entry, e, classes, taken);
    const { k, r, wrong, surplus, complete, satisfied } = content;
    if (!entry.sequence) {
      const c = entry.sum ? (satisfied ? 1 : 0) : Math.min(r, entry.lo);
      return [{ score: c - wrongCosts * (wrong + surplus), ways: 1n }];
    }
    const costs = wrongCosts * wrong;
    if (r === 0) return [{ score: -costs, ways: factorial(k) }];
    const { sequenceRule } = setting.model.question.marks;
    const there = entry.order.map((item) =>
      classes.some(
        (candidate, i) => (taken[i] as number) > 0 && candidate.item === item && candidate.entries.includes(e),
      ),
    );
    const present = {
      k,
      r,
      low: there.slice(0, k).filter(Boolean).length,
      pairs: there.filter((here, i) => here && there[i + 1]).length,
      complete,
    };
    const unit = unitOf(sequenceRule, entry.order.length);
    const name = `${entry.order.length}|${Object.values(present).join()}`;
    const ways = known.get(name) ?? orderings(sequenceRule, entry.order.length, present, budget);
    known.set(name, ways);
    return ways.flatMap((n, counted) => (n === 0n ? [] : [{ score: counted * unit - costs, ways: n }]));
  };
}
