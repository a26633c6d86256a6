import { type Board, emptyBoard, settle } from '../../judge/board';
import { type Copy, copyOf } from '../../judge/model';
import type { Random } from '../../random/random';
import type { Budget } from '../budget';
import { together, type Ways, waysInZone } from './free';
import { choose, ratio } from './numbers';
import type { Setting } from './setting';

/** Draws one arrangement, each as likely as any other. */
export type Draw = (next: Random) => Board;

/** A row of places, and behind each how many ways the rest of the row has. The tray is place −1. */
interface Row {
  readonly places: readonly number[];
  readonly from: readonly Ways[];
}

function rowOf(setting: Setting, places: readonly number[], most: number, budget: Budget): Row {
  const from: Ways[] = [Array.from({ length: most + 1 }, (_, n) => (n === 0 ? 1n : 0n))];
  for (const place of [...places].reverse()) {
    const mine = place < 0 ? new Array<bigint>(most + 1).fill(1n) : waysInZone(setting, place, most);
    from.unshift(together(from[0] as Ways, mine, most, budget));
  }
  return { places, from };
}

/** What weights are of their sum. */
function sharesOf(weights: readonly bigint[]): number[] {
  const total = weights.reduce((sum, w) => sum + w, 0n);
  return weights.map((weight) => ratio(weight, total));
}

/** An index, each as likely as its share is large. */
function pick(shares: readonly number[], next: Random): number {
  let at = next();
  for (let i = 0; i < shares.length; i++) {
    at -= shares[i] as number;
    if (at < 0 && (shares[i] as number) > 0) return i;
  }
  return shares.findLastIndex((share) => share > 0);
}

/** Takes `n` of the copies out, at random and in random order. */
function takeOut(copies: Copy[], n: number, next: Random): Copy[] {
  return Array.from({ length: n }, () => {
    const i = Math.floor(next() * copies.length);
    const taken = copies[i] as Copy;
    copies[i] = copies.at(-1) as Copy;
    copies.pop();
    return taken;
  });
}

/** Prepares drawing: chooses how many go where by how many ways each choice leaves, then which, then their order. */
export function drawer(setting: Setting, budget: Budget): Draw {
  const { model, counts, open } = setting;
  const all = counts.reduce((sum, n) => sum + n, 0);
  const zones = model.zones.map((_, z) => z);
  const toAll = zones.filter((z) => (open[z] as boolean[]).every(Boolean));
  const common = rowOf(setting, setting.tray ? [...toAll, -1] : toAll, all, budget);
  const own = counts.map((n, type) =>
    rowOf(
      setting,
      zones.filter((z) => !toAll.includes(z) && open[z]?.[type]),
      n,
      budget,
    ),
  );
  // By type: the ways of it and all types after it, by how many went to the common places before.
  const after: bigint[][] = [[...(common.from[0] as Ways)]];
  for (let type = counts.length - 1; type >= 0; type--) {
    const n = counts[type] as number;
    const later = after[0] as bigint[];
    after.unshift(
      later.map((_, before) => {
        let sum = 0n;
        for (let m = 0; m <= n && before + m < later.length; m++)
          sum += choose(n, m) * ((own[type] as Row).from[0]?.[n - m] ?? 0n) * (later[before + m] as bigint);
        return sum;
      }),
    );
    budget.spend(4 * later.length * (n + 1));
  }

  // How many go to a place, by how many are left: worked out once, drawn from often.
  const known = new Map<Row, (number[] | undefined)[][]>();
  const sharesAt = (row: Row, i: number, left: number): number[] => {
    const ofRow = known.get(row) ?? row.places.map(() => []);
    known.set(row, ofRow);
    const ofPlace = ofRow[i] as (number[] | undefined)[];
    const found = ofPlace[left];
    if (found) return found;
    const place = row.places[i] as number;
    const behind = row.from[i + 1] as Ways;
    const mine = place < 0 ? null : waysInZone(setting, place, left);
    const shares = sharesOf(
      Array.from(
        { length: left + 1 },
        (_, k) => choose(left, k) * (mine ? (mine[k] ?? 0n) : 1n) * (behind[left - k] ?? 0n),
      ),
    );
    ofPlace[left] = shares;
    return shares;
  };
  const lay = (board: Board, row: Row, copies: Copy[], next: Random) => {
    row.places.forEach((place, i) => {
      const taken = takeOut(copies, pick(sharesAt(row, i, copies.length), next), next);
      if (place >= 0) for (const copy of taken) settle(board, copy, place, (board.zones[place] as Copy[]).length);
    });
  };

  const ofType = counts.map((_, type) =>
    model.items.flatMap((_i, item) =>
      setting.typeOf[item] === type
        ? Array.from({ length: setting.copies[item] as number }, (_c, copy) => copyOf(item, copy))
        : [],
    ),
  );
  const sharesOfType = counts.map((): (number[] | undefined)[] => []);
  const sharesBefore = (type: number, before: number): number[] => {
    const mine = sharesOfType[type] as (number[] | undefined)[];
    const n = counts[type] as number;
    const found =
      mine[before] ??
      sharesOf(
        Array.from(
          { length: n + 1 },
          (_, m) => choose(n, m) * ((own[type] as Row).from[0]?.[n - m] ?? 0n) * (after[type + 1]?.[before + m] ?? 0n),
        ),
      );
    mine[before] = found;
    return found;
  };
  return (next) => {
    const board = emptyBoard(model);
    const shared: Copy[] = [];
    let before = 0;
    counts.forEach((_, type) => {
      const copies = [...(ofType[type] as Copy[])];
      const m = pick(sharesBefore(type, before), next);
      before += m;
      shared.push(...takeOut(copies, m, next));
      lay(board, own[type] as Row, copies, next);
    });
    lay(board, common, shared, next);
    return board;
  };
}
