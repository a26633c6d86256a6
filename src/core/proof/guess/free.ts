import type { Budget } from '../budget';
import { choose, factorial } from './numbers';
import type { Setting } from './setting';

/**
 * In how many ways copies, told apart, can be laid into some places: a list by how many there are. Places beside one
 * another combine by the binomial convolution (the product of exponential generating functions).
 */
export type Ways = readonly bigint[];

export function together(a: Ways, b: Ways, most: number, budget: Budget): Ways {
  const ways = new Array<bigint>(most + 1).fill(0n);
  const longest = Math.min(b.length - 1, most);
  for (let n = 0; n <= most; n++) {
    let sum = 0n;
    for (let k = Math.max(0, n - a.length + 1); k <= Math.min(n, longest); k++)
      sum += choose(n, k) * (a[n - k] as bigint) * (b[k] as bigint);
    ways[n] = sum;
    budget.spend(4 * (Math.min(n, longest) + 1));
  }
  return ways;
}

/** In how many ways 0, 1, … copies lie in one zone: in one, or in every order. */
export const waysInZone = (setting: Setting, zone: number, most: number): Ways =>
  Array.from({ length: Math.min(setting.room[zone] as number, most) + 1 }, (_, k) =>
    setting.ordered[zone] ? factorial(k) : 1n,
  );

/** The ways of laying copies into zones that are open to the same types, and into the tray where `tray`. */
function waysInto(setting: Setting, zones: readonly number[], tray: boolean, most: number, budget: Budget): Ways {
  const plain = zones.filter((z) => !setting.ordered[z] && (setting.room[z] as number) >= most).length + (tray ? 1 : 0);
  let ways: Ways = Array.from({ length: most + 1 }, (_, n) => BigInt(plain) ** BigInt(n));
  for (const z of zones) {
    if (!setting.ordered[z] && (setting.room[z] as number) >= most) continue;
    ways = together(ways, waysInZone(setting, z, most), most, budget);
  }
  return ways;
}

/** In how many ways as many copies of each type as given can be laid into the places. */
export type Free = (counts: readonly number[]) => bigint;

/** Laying copies into the zones given (by index), and into the tray where it is open. */
export function freeWays(setting: Setting, zones: readonly number[], budget: Budget): Free {
  const { counts, open } = setting;
  const all = counts.reduce((sum, n) => sum + n, 0);
  const toAll = zones.filter((z) => (open[z] as boolean[]).every(Boolean));
  const own = counts.map((_, type) => zones.filter((z) => !toAll.includes(z) && open[z]?.[type]));
  const common = waysInto(setting, toAll, setting.tray, all, budget);
  const types = own.flatMap((mine, type) =>
    mine.length > 0 ? [{ type, ways: waysInto(setting, mine, false, counts[type] as number, budget) }] : [],
  );
  const known = new Map<string, bigint>();

  return (wanted) => {
    const key = wanted.join();
    const before = known.get(key);
    if (before !== undefined) return before;
    // How many go to the places open to all: a list by that number, in all ways of choosing which.
    let shared: bigint[] = [1n];
    let rest = wanted.reduce((sum, n) => sum + n, 0);
    for (const { type, ways } of types) {
      const n = wanted[type] as number;
      rest -= n;
      const mine = Array.from({ length: n + 1 }, (_, m) => choose(n, m) * (ways[n - m] ?? 0n));
      const next = new Array<bigint>(shared.length + n).fill(0n);
      shared.forEach((a, i) => {
        for (let j = 0; j <= n; j++) next[i + j] = (next[i + j] as bigint) + a * (mine[j] as bigint);
      });
      budget.spend(4 * shared.length * (n + 1));
      shared = next;
    }
    const sum = shared.reduce((total, ways, m) => total + ways * (common[m + rest] ?? 0n), 0n);
    known.set(key, sum);
    return sum;
  };
}
