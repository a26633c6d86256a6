import type { EntryModel } from '../../judge/model';
import type { Budget } from '../budget';
import type { Puzzle, PuzzleEither, PuzzleEntry } from './rules';

/**
 * Copies of one either entry that go to the same place: into one zone whose room or sum they change (`zone`), or into
 * any of those where they are in nobody's way (null). `value`: of each of them, where a sum counts it.
 */
interface Share {
  readonly zone: number | null;
  readonly entry: number;
  readonly value: number;
  readonly items: readonly number[];
  readonly zoneFor: (item: number) => number;
  readonly most: number;
}

/**
 * Every way of sharing out the copies of either entries among their zones, as entries that need exactly so many: in
 * front the puzzle's own, with the room and the sums that are left.
 */
export function* splits(puzzle: Puzzle, budget: Budget): Generator<PuzzleEntry[]> {
  const shares = puzzle.either.map((either) => sharesOf(puzzle, either));
  yield* splitFrom(puzzle, shares, 0, puzzle.entries, [], budget);
}

function* splitFrom(
  puzzle: Puzzle,
  shares: readonly (readonly Share[])[],
  k: number,
  own: readonly PuzzleEntry[],
  made: readonly PuzzleEntry[],
  budget: Budget,
): Generator<PuzzleEntry[]> {
  const either = puzzle.either[k];
  if (!either) {
    yield [...own, ...made];
    return;
  }
  const some = shares[k] as readonly Share[];
  // More than are needed are of use only where a sum counts them.
  const summed = some.some(({ entry }) => puzzle.entries[entry]?.sum);
  const there = some.reduce((sum, { most }) => sum + most, 0);
  const most = summed ? Math.min(either.hi, there) : either.lo;
  for (let total = either.lo; total <= most; total++)
    for (const counts of sharings(some, total)) {
      budget.spend(50);
      const [left, added] = applied(own, either, some, counts);
      if (left.every(({ lo, hi, room }) => lo <= hi && room >= 0))
        yield* splitFrom(puzzle, shares, k + 1, left, [...made, ...added], budget);
    }
}

function sharesOf({ model, entries, copies }: Puzzle, { zones }: PuzzleEither): Share[] {
  const all = (items: readonly number[]) => items.reduce((sum, item) => sum + (copies[item] as number), 0);
  const inTheWay = ({ entry }: PuzzleEither['zones'][number]) =>
    entries[entry]?.sum !== null || Number.isFinite(entries[entry]?.room ?? Infinity);
  const free = zones.filter((there) => !inTheWay(there));
  const items = [...new Set(free.flatMap((there) => there.items))];
  const shares: Share[] = [];
  if (items.length > 0)
    shares.push({
      zone: null,
      entry: free[0]?.entry ?? -1,
      value: 0,
      items,
      zoneFor: (item) => free.find((there) => there.items.includes(item))?.zone ?? -1,
      most: all(items),
    });
  for (const there of zones.filter(inTheWay)) {
    const summed = entries[there.entry]?.sum;
    const values = summed ? [...new Set(there.items.map((item) => model.values[item] as number))] : [0];
    for (const value of values) {
      const alike = summed ? there.items.filter((item) => model.values[item] === value) : there.items;
      const room = entries[there.entry]?.room ?? Infinity;
      shares.push({
        zone: there.zone,
        entry: there.entry,
        value,
        items: alike,
        zoneFor: () => there.zone,
        most: Math.min(all(alike), room, MAX_ENDLESS),
      });
    }
  }
  return shares;
}

/** So many copies of an endless item are tried where a sum counts them. */
const MAX_ENDLESS = 200;

/** Every list of whole numbers, one a share and none above its most, with a given sum. */
function* sharings(shares: readonly Share[], total: number, at = 0): Generator<number[]> {
  const share = shares[at];
  if (!share) {
    if (total === 0) yield [];
    return;
  }
  for (let n = Math.min(total, share.most); n >= 0; n--)
    for (const rest of sharings(shares, total - n, at + 1)) yield [n, ...rest];
}

function applied(
  own: readonly PuzzleEntry[],
  { entry: either }: PuzzleEither,
  shares: readonly Share[],
  counts: readonly number[],
): [left: PuzzleEntry[], added: PuzzleEntry[]] {
  const left = [...own];
  const added: PuzzleEntry[] = [];
  shares.forEach((share, i) => {
    const n = counts[i] as number;
    if (n === 0) return;
    const before = left[share.entry] as PuzzleEntry;
    added.push({
      entry: needing(before.entry, either.order),
      lo: n,
      hi: n,
      sum: null,
      items: share.items,
      room: Infinity,
      zoneFor: share.zoneFor,
    });
    if (share.zone === null) return;
    const room = before.room - n;
    const sum = before.sum && { ...before.sum, target: before.sum.target - n * share.value };
    left[share.entry] = { ...before, room, hi: Math.min(before.hi, room), sum };
  });
  return [left, added];
}

const needing = (entry: EntryModel, order: readonly number[]): EntryModel => ({
  ...entry,
  order,
  belongs: new Set(order),
  sequence: false,
  sum: null,
});
