import { boardFromPlacements } from '../../judge/placements';
import { judge } from '../../marks/mark';
import type { Budget } from '../budget';
import { largestFlow } from './flow';
import type { Puzzle, PuzzleEntry } from './rules';
import { splits } from './splits';
import { dealSums } from './sums';

/** One of the answers with full marks: how many copies of which item each entry's zone holds. */
export type Answer = readonly {
  readonly entry: number;
  readonly item: number;
  readonly n: number;
  /** Of an either entry: the zone; left out: the entry's. */
  readonly zone?: number;
}[];

/** A copy in a zone, as `grade` takes it. */
export interface ModelPlacement {
  readonly item: string;
  readonly copy: number;
  readonly zone: string;
}

/**
 * Some answer that keeps every rule of the puzzle, or null: there is none. Copies of either entries are shared out among
 * their zones first, in every way that could make a difference; each way is a puzzle of entries alone. Throws when time
 * is up or too much would have to be remembered.
 */
export function solve(puzzle: Puzzle, budget: Budget): Answer | null {
  if (puzzle.either.length === 0) return solveEntries(puzzle, budget);
  for (const entries of splits(puzzle, budget)) {
    const answer = solveEntries({ ...puzzle, entries, either: [] }, budget);
    if (answer) return answer.map((part) => ({ ...part, zone: zoneOf(entries[part.entry] as PuzzleEntry, part.item) }));
  }
  return null;
}

const zoneOf = ({ entry, zoneFor }: PuzzleEntry, item: number): number => zoneFor?.(item) ?? entry.zone;

/**
 * The same without either entries. What stands in a sequence has to stand there; sums are dealt out by search; the rest
 * is a flow from items to entries that has to fill every lower bound.
 */
function solveEntries(puzzle: Puzzle, budget: Budget): Answer | null {
  const { entries } = puzzle;
  if (entries.some(({ lo, hi }) => lo > hi)) return null;
  const left = [...puzzle.copies];
  const sequences: { entry: number; item: number; n: number }[] = [];
  for (const [e, { entry, lo, items }] of entries.entries()) {
    if (!entry.sequence || lo === 0) continue;
    if (items.length < entry.order.length) return null;
    for (const item of entry.order) {
      left[item] = (left[item] as number) - 1;
      if ((left[item] as number) < 0) return null;
      sequences.push({ entry: e, item, n: 1 });
    }
  }
  const summed = entries.map((_, e) => e).filter((e) => entries[e]?.sum && !entries[e]?.entry.sequence);
  const plain = entries
    .map((_, e) => e)
    .filter((e) => !summed.includes(e) && !entries[e]?.entry.sequence && (entries[e]?.lo ?? 0) > 0);
  if (summed.length === 0) return withFlow(puzzle, plain, left, sequences, budget);

  const wanting = (item: number) => plain.filter((e) => entries[e]?.items.includes(item)).join();
  const dealt = dealSums(
    summed.map((e) => entries[e] as PuzzleEntry),
    puzzle.model.values,
    left,
    wanting,
    (rest) => plain.length === 0 || flowOf(puzzle, plain, rest) !== null,
    budget,
  );
  if (!dealt) return null;
  const sums: { entry: number; item: number; n: number }[] = [];
  for (const [item, shares] of dealt)
    shares.forEach((n, i) => {
      if (n > 0) sums.push({ entry: summed[i] as number, item, n });
      left[item] = (left[item] as number) - n;
    });
  return withFlow(puzzle, plain, left, [...sequences, ...sums], budget);
}

function withFlow(
  puzzle: Puzzle,
  plain: readonly number[],
  left: readonly number[],
  before: Answer,
  budget: Budget,
): Answer | null {
  budget.spend(100);
  const rest = flowOf(puzzle, plain, left);
  return rest && [...before, ...rest];
}

function flowOf({ entries }: Puzzle, plain: readonly number[], left: readonly number[]): Answer | null {
  const items = [...new Set(plain.flatMap((e) => (entries[e] as PuzzleEntry).items))];
  const nodeOf = new Map(items.map((item, i) => [item, 1 + i]));
  const sink = 1 + items.length + plain.length;
  const edges: [number, number, number][] = [];
  const ways: { entry: number; item: number }[] = [];
  plain.forEach((e, i) => {
    for (const item of (entries[e] as PuzzleEntry).items) {
      edges.push([nodeOf.get(item) as number, 1 + items.length + i, Infinity]);
      ways.push({ entry: e, item });
    }
  });
  for (const item of items) edges.push([0, nodeOf.get(item) as number, left[item] as number]);
  for (const [i, e] of plain.entries()) edges.push([1 + items.length + i, sink, (entries[e] as PuzzleEntry).lo]);
  const { total, flow } = largestFlow(sink + 1, edges);
  if (total < plain.reduce((sum, e) => sum + (entries[e] as PuzzleEntry).lo, 0)) return null;
  return ways.flatMap((way, i) => ((flow[i] as number) > 0 ? [{ ...way, n: flow[i] as number }] : []));
}

/**
 * The same with no item resting, through others, in itself: where zones ride, an answer that goes round in a circle is
 * no arrangement.
 */
export function solveUpright(puzzle: Puzzle, budget: Budget): Answer | null {
  const answer = solve(puzzle, budget);
  const circle = answer && circleIn(puzzle, answer);
  if (!circle) return answer;
  for (const { entry, item, zone } of circle) {
    const without = puzzle.entries.map((puzzleEntry, e) =>
      e === entry ? { ...puzzleEntry, items: puzzleEntry.items.filter((other) => other !== item) } : puzzleEntry,
    );
    const either = puzzle.either.map((puzzleEither) => ({
      ...puzzleEither,
      zones: puzzleEither.zones.map((there) =>
        there.zone === zone ? { ...there, items: there.items.filter((other) => other !== item) } : there,
      ),
    }));
    const found = solveUpright({ ...puzzle, entries: without, either }, budget);
    if (found) return found;
  }
  return null;
}

/** The zone that a part of an answer lies in. */
const laidIn = ({ entries }: Puzzle, { zone, entry }: Answer[number]): number =>
  zone ?? entries[entry]?.entry.zone ?? -1;

function circleIn(puzzle: Puzzle, answer: Answer): Answer | null {
  const restsIn = new Map(answer.map((part) => [part.item, part]));
  for (const start of answer) {
    const path: Answer[number][] = [];
    for (let part: Answer[number] | undefined = start; part && path.length <= answer.length; ) {
      path.push(part);
      const carrier: number = puzzle.model.zones[laidIn(puzzle, part)]?.ridesOn ?? -1;
      if (carrier === start.item) return path;
      part = carrier < 0 ? undefined : restsIn.get(carrier);
    }
  }
  return null;
}

/** The answer as placements, in the order of the key, either entries last; a sequence in its order. */
export function placementsOf(puzzle: Puzzle, answer: Answer): ModelPlacement[] {
  const { model, entries } = puzzle;
  const next = model.items.map(() => 0);
  const placed = ({ item, n, zone }: { item: number; n: number; zone: number }) =>
    Array.from({ length: n }, () => {
      const copy = next[item] as number;
      next[item] = copy + 1;
      return { item: model.items[item]?.id ?? '', copy, zone: model.zones[zone]?.id ?? '' };
    });
  const own = entries.flatMap(({ entry }, e) => {
    const parts = answer.filter((part) => part.entry === e);
    return entry.order.flatMap((item) =>
      placed({ item, n: parts.find((part) => part.item === item)?.n ?? 0, zone: entry.zone }),
    );
  });
  const others = answer.filter(({ entry }) => entry >= entries.length);
  return [...own, ...others.flatMap((part) => placed({ ...part, zone: laidIn(puzzle, part) }))];
}

/** Does `grade` accept the placements, and give full marks for them? */
export function earnsFullMarks({ model }: Puzzle, placements: readonly ModelPlacement[]): boolean {
  const placing = boardFromPlacements(model, placements);
  return placing.ok && judge(model, placing.board, 1).fullMarks;
}
