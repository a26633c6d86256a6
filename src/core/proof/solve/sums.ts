import { SLACK } from '../../geometry/space';
import { type Budget, TooMany } from '../budget';
import { sumName } from '../guess/sums';
import type { PuzzleEntry } from './rules';

/** How many of an item go to each of the entries with a sum. */
export type Dealt = ReadonlyMap<number, readonly number[]>;

const MAX_DEAD_ENDS = 3_000_000;
/** Where values of both signs cancel there is no telling how many copies of an endless item could be of use. */
const MAX_OF_MIXED = 40;

interface Dealing {
  readonly items: readonly number[];
  readonly values: readonly number[];
  readonly copies: readonly number[];
  readonly entries: readonly PuzzleEntry[];
  /** By item, by entry: may it go there? */
  readonly open: readonly (readonly boolean[])[];
  /**
   * By position in `items`, by entry: the least and the most that the items from there on can add to the sum, and how
   * many there are of them.
   */
  readonly least: readonly (readonly number[])[];
  readonly most: readonly (readonly number[])[];
  readonly count: readonly (readonly number[])[];
}

/**
 * Deals copies out to entries with a sum so that every sum and every bound holds and `rest` (what is left, by item) is
 * enough for the other entries. Depth first over the items, from the largest value down; a state that led nowhere is
 * not entered twice. Null: there is no such dealing. Throws {@link TooMany} where that cannot be said for certain.
 */
export function dealSums(
  entries: readonly PuzzleEntry[],
  values: readonly number[],
  copies: readonly number[],
  shared: (item: number) => string,
  rest: (left: readonly number[]) => boolean,
  budget: Budget,
): Dealt | null {
  const items = [...new Set(entries.flatMap((entry) => entry.items))].sort(
    (a, b) => Math.abs(values[b] as number) - Math.abs(values[a] as number),
  );
  let certain = true;
  const bounded = items.map((item) => {
    if (Number.isFinite(copies[item] as number)) return copies[item] as number;
    const useful = entries
      .filter((entry) => entry.items.includes(item))
      .map((entry) => mostUseful(entry, values, item));
    if (useful.includes(null)) certain = false;
    return useful.reduce<number>((sum, n) => sum + (n ?? MAX_OF_MIXED), 0);
  });
  const dealing = {
    items,
    values,
    copies: bounded,
    entries,
    open: items.map((item) => entries.map((entry) => entry.items.includes(item))),
  };
  const found = deal({ ...dealing, ...ranges(dealing) }, copies, shared, rest, budget);
  if (!found && !certain) throw new TooMany('values of both signs, without end');
  return found;
}

function mostUseful({ sum, hi, lo, items }: PuzzleEntry, values: readonly number[], item: number): number | null {
  if (Number.isFinite(hi)) return hi;
  const value = values[item] as number;
  if (value === 0) return lo;
  const oneSign = items.every((other) => Math.sign(values[other] as number) !== -Math.sign(value));
  if (!oneSign || !sum) return null;
  const far = value > 0 ? sum.target + sum.tolerance : sum.tolerance - sum.target;
  return Math.max(0, Math.floor((far + SLACK) / Math.abs(value)));
}

function ranges({
  items,
  values,
  copies,
  entries,
  open,
}: Omit<Dealing, 'least' | 'most' | 'count'>): Pick<Dealing, 'least' | 'most' | 'count'> {
  const [least, most, count] = [[], [], []].map(() => [entries.map(() => 0)]) as [number[][], number[][], number[][]];
  for (let i = items.length - 1; i >= 0; i--) {
    const all = (values[items[i] as number] as number) * (copies[i] as number);
    const add = (later: readonly number[], more: number) => later.map((n, e) => n + (open[i]?.[e] ? more : 0));
    least.unshift(add(least[0] as number[], Math.min(0, all)));
    most.unshift(add(most[0] as number[], Math.max(0, all)));
    count.unshift(add(count[0] as number[], copies[i] as number));
  }
  return { least, most, count };
}

function deal(
  dealing: Dealing,
  all: readonly number[],
  shared: (item: number) => string,
  rest: (left: readonly number[]) => boolean,
  budget: Budget,
): Dealt | null {
  const { items, values, copies, entries, open, least, most, count } = dealing;
  const dead = new Set<string>();
  const held = entries.map(() => 0);
  const sums = entries.map(() => 0);
  const left = [...all];
  const dealt = items.map(() => entries.map(() => 0));
  // Items that other entries want too: those wanted by the same ones are as good as one another.
  const kins = [...new Set(items.map(shared))].filter((kin) => kin !== '');
  const kinOf = items.map((item) => kins.indexOf(shared(item)));
  const used = kins.map(() => 0);

  const hopeless = (at: number) =>
    entries.some(({ lo, hi, sum }, e) => {
      const [r, s] = [held[e] as number, sums[e] as number];
      if (r > hi || r + (count[at]?.[e] as number) < lo) return true;
      if (!sum) return false;
      return (
        s + (most[at]?.[e] as number) < sum.target - sum.tolerance - SLACK ||
        s + (least[at]?.[e] as number) > sum.target + sum.tolerance + SLACK
      );
    });

  const visit = (at: number): boolean => {
    budget.spend(20);
    if (hopeless(at)) return false;
    if (at === items.length) return rest(left);
    const name = `${at}|${held.map((r, e) => (Number.isFinite(entries[e]?.hi) || r < (entries[e]?.lo ?? 0) ? r : '-')).join()}|${sums.map(sumName).join()}|${used.join()}`;
    if (dead.has(name)) return false;
    if (share(at, 0, copies[at] as number)) return true;
    if (dead.size >= MAX_DEAD_ENDS) throw new TooMany('too many dead ends to remember');
    dead.add(name);
    return false;
  };

  const share = (at: number, e: number, free: number): boolean => {
    if (e === entries.length) return visit(at + 1);
    const item = items[at] as number;
    const value = values[item] as number;
    const room = open[at]?.[e] ? Math.min(free, (entries[e] as PuzzleEntry).hi - (held[e] as number)) : 0;
    const kin = kinOf[at] as number;
    const move = (k: number) => {
      held[e] = (held[e] as number) + k;
      sums[e] = (sums[e] as number) + k * value;
      left[item] = (left[item] as number) - k;
      (dealt[at] as number[])[e] = ((dealt[at] as number[])[e] as number) + k;
      if (kin >= 0) used[kin] = (used[kin] as number) + k;
    };
    const before = sums[e] as number;
    for (let k = room; k >= 0; k--) {
      move(k);
      if (share(at, e + 1, free - k)) return true;
      move(-k);
      sums[e] = before;
    }
    return false;
  };
  return visit(0) ? new Map(items.map((item, i) => [item, dealt[i] as number[]])) : null;
}
