import { type EntryModel, itemOf, type QuestionModel } from '../../judge/model';
import type { Digest } from '../digest';

/** How many learners had each number of something. */
export type Spread = readonly (readonly [amount: number, learners: number])[];

/** How much was put into a zone that asks for a number of copies, or a sum. */
export interface AmountAnswers {
  readonly zone: number;
  /** Of each item that somebody put there. */
  readonly items: readonly { readonly item: number; readonly amounts: Spread }[];
  /** Of all values together; null: the zone asks for no sum. */
  readonly sums: Spread | null;
  readonly target: number | null;
  readonly tolerance: number;
}

/** Zones that ask for a sum, or into which several copies of an item may go. */
export const amountsOf = (model: QuestionModel, digests: readonly Digest[]): AmountAnswers[] =>
  model.entries.filter((entry) => isCounted(model, entry)).map((entry) => amountOf(model, entry, digests));

function isCounted({ items, hides, zones, question }: QuestionModel, { sum, order, zone, hi }: EntryModel): boolean {
  if (hides || zones[zone]?.hidden || question.zones[zone]?.typed) return false;
  return sum !== null || (hi > 1 && order.some((item) => (items[item]?.copies ?? 1) > 1));
}

/** Sums of decimals are the same to so many places. */
const PLACES = 1e6;
const spread = (amounts: readonly number[]): Spread => {
  const counts = new Map<number, number>();
  for (const amount of amounts) counts.set(amount, (counts.get(amount) ?? 0) + 1);
  return [...counts].sort(([a], [b]) => a - b);
};

function amountOf({ values }: QuestionModel, { zone, sum }: EntryModel, digests: readonly Digest[]): AmountAnswers {
  const held = digests.map(({ put }) => put.flatMap(([copy, , last]) => (last === zone ? [itemOf(copy)] : [])));
  const items = [...new Set(held.flat())].sort((a, b) => a - b);
  const sumOf = (all: readonly number[]) =>
    Math.round(all.reduce((total, item) => total + (values[item] ?? 0), 0) * PLACES) / PLACES;
  return {
    zone,
    items: items.map((item) => ({
      item,
      amounts: spread(held.map((all) => all.filter((one) => one === item).length)),
    })),
    sums: sum ? spread(held.map(sumOf)) : null,
    target: sum?.target ?? null,
    tolerance: sum?.tolerance ?? 0,
  };
}
