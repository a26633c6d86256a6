import type { QuestionModel } from '../../judge/model';
import { boardFromPlacements } from '../../judge/placements';
import { judge } from '../../marks/mark';
import type { ModelPlacement } from './solve';

/** What is in each zone with full marks: by zone index, item indices, one for each copy. A sequence in its order. */
export type RightOne = readonly (readonly number[])[];

export interface RightOnes {
  readonly found: readonly RightOne[];
  /** There are no others. */
  readonly all: boolean;
}

/** So many steps are taken before what was found has to do. */
const MAX_STEPS = 20_000;
/** The most copies of an endless item that are looked at. */
const MANY = 50;

interface Place {
  readonly zone: number;
  /** The most copies that may be right there. */
  readonly most: number;
  /** How many of an endless item are looked at: what there has to be, where there may be any number. */
  readonly enough: number;
}

/**
 * The arrangements with full marks, up to `most`, without those that differ only in copies of an item, in the order
 * within a zone that has none, or in what lies where nothing is judged. Items are dealt out one after another, to the
 * zones they belong in.
 */
export function rightOnes(model: QuestionModel, most: number): RightOnes {
  const places = model.items.map((_, item) => placesOf(model, item));
  const lacks = lackOf(model, places);
  const found: RightOne[] = [];
  const held: number[][] = model.zones.map(() => []);
  let steps = 0;
  let isCut = false;

  const full = (zone: number) => (held[zone]?.length ?? 0) >= (model.zones[zone]?.capacity ?? Infinity);
  /** Deals out `left` copies of an item to its places from the `at`th on, then the items after it. */
  const deal = (item: number, at: number, left: number): void => {
    if (isCut) return;
    if (++steps > MAX_STEPS) {
      isCut = true;
      return;
    }
    if (item === model.items.length) {
      const right = inOrder(model, held);
      if (!earnsAll(model, right)) return;
      if (found.length === most) isCut = true;
      else found.push(right);
      return;
    }
    const place = places[item]?.[at];
    if (!place) {
      if (!lacks(item, held)) deal(item + 1, 0, copiesOf(model, item + 1, places[item + 1] ?? []));
      return;
    }
    const zone = held[place.zone] as number[];
    let n = 0;
    while (n < Math.min(left, place.most) && !full(place.zone)) {
      zone.push(item);
      n++;
    }
    for (; ; n--) {
      deal(item, at + 1, left - n);
      if (n === 0) return;
      zone.pop();
    }
  };
  deal(0, 0, copiesOf(model, 0, places[0] ?? []));
  const isOpen = places.some(
    (some, item) => model.question.items[item]?.copies === 'endless' && some.some(({ most: may }) => may === Infinity),
  );
  return { found, all: !isCut && !isOpen };
}

/** The zones in which an item may be right. */
function placesOf(model: QuestionModel, item: number): Place[] {
  const family = model.items[item]?.family ?? null;
  const fits = (zone: number) => [null, family].includes(model.zones[zone]?.family ?? null);
  return [
    ...model.entries.flatMap(({ belongs, zone, lo, hi, sum }): Place[] => {
      if (!belongs.has(item) || !fits(zone)) return [];
      const most = Math.min(hi, sum ? summed(model, item, sum) : Infinity);
      return [{ zone, most, enough: Number.isFinite(most) ? most : lo }];
    }),
    ...model.either.flatMap(({ belongs, zones, lo, hi }): Place[] =>
      belongs.has(item)
        ? zones.filter(fits).map((zone) => ({ zone, most: hi, enough: Number.isFinite(hi) ? hi : lo }))
        : [],
    ),
  ];
}

/** How many copies of an item alone would come to a sum. */
function summed(
  model: QuestionModel,
  item: number,
  { target, tolerance }: { target: number; tolerance: number },
): number {
  const value = Math.abs(model.values[item] ?? 0);
  return value === 0 ? Infinity : Math.ceil((Math.abs(target) + tolerance) / value);
}

function copiesOf(model: QuestionModel, item: number, places: readonly Place[]): number {
  if (model.question.items[item]?.copies !== 'endless') return model.items[item]?.copies ?? 0;
  return Math.min(
    MANY,
    Math.max(
      1,
      places.reduce((sum, { enough }) => sum + enough, 0),
    ),
  );
}

/** After an item is dealt out: does an entry lack more by now than the items after it can bring? */
function lackOf(model: QuestionModel, places: readonly (readonly Place[])[]) {
  const lows = [...model.entries, ...model.either].map((entry) => {
    const zones = 'zone' in entry ? [entry.zone] : entry.zones;
    const lastFor = Math.max(-1, ...entry.order.filter((item) => (places[item]?.length ?? 0) > 0));
    return { zones, belongs: entry.belongs, lo: entry.lo, lastFor };
  });
  return (item: number, held: readonly (readonly number[])[]) =>
    lows.some(
      ({ zones, belongs, lo, lastFor }) =>
        lastFor === item &&
        zones.reduce((n, zone) => n + (held[zone] ?? []).filter((there) => belongs.has(there)).length, 0) < lo,
    );
}

/** Sequences in the order of their key; else as the items are listed. */
const inOrder = (model: QuestionModel, held: readonly (readonly number[])[]): RightOne =>
  held.map((items, zone) => {
    const entry = model.entryOf[zone];
    return entry?.sequence ? entry.order.filter((item) => items.includes(item)) : [...items];
  });

/** Does `grade` give full marks for it? */
function earnsAll(model: QuestionModel, right: RightOne): boolean {
  const next = model.items.map(() => 0);
  const placements = right.flatMap((items, zone) =>
    items.map((item): ModelPlacement => {
      const copy = next[item] as number;
      next[item] = copy + 1;
      return { item: model.items[item]?.id ?? '', copy, zone: model.zones[zone]?.id ?? '' };
    }),
  );
  const placing = boardFromPlacements(model, placements);
  return placing.ok && judge(model, placing.board, 1).fullMarks;
}
