import type { EntryModel } from '../../judge/model';
import { sumHolds } from '../../judge/tally';
import type { Budget } from '../budget';
import { TooMany } from '../budget';
import { type Class, classesOf, mostIn } from './classes';
import { compositions } from './compositions';
import { freeWays } from './free';
import { choose } from './numbers';
import { neutralZones, type Setting } from './setting';
import { sumName } from './sums';

/**
 * What the open entries hold so far, and how many copies of each type are left for zones without a key, and for the
 * tray.
 */
interface State {
  readonly held: readonly number[];
  readonly sums: readonly number[];
  readonly left: readonly number[];
  ways: bigint;
}

const MAX_STATES = 150_000;

/**
 * In how many arrangements every entry's zone is satisfied. Class after class is shared out among the entries it
 * belongs to and what is left; of an entry only how many it holds is remembered, from the first class that belongs to
 * it to the last.
 */
export function fullMarkWays(setting: Setting, budget: Budget, mostStates = MAX_STATES): bigint {
  const { model, counts } = setting;
  const { entries } = model;
  const forced = sequencesFilled(setting);
  if (!forced) return 0n;
  const neutral = neutralZones(model);
  const free = freeWays(setting, neutral, budget);
  const plain = neutral.every((z) => setting.room[z] === counts.reduce((sum, n) => sum + n, 0));
  const placesFor = counts.map((_, type) =>
    BigInt(neutral.filter((z) => setting.open[z]?.[type]).length + (setting.tray ? 1 : 0)),
  );

  const classes = inOrder(forced.classes);
  const lastOf = entries.map((_, e) => classes.findLastIndex((candidate) => candidate.entries.includes(e)));
  const counted = entries.map(({ sequence }) => !sequence);
  let states = new Map<string, State>();
  const start: State = { held: entries.map(() => 0), sums: entries.map(() => 0), left: counts.map(() => 0), ways: 1n };
  // An entry that nothing can belong to is decided at once.
  if (!entries.every((_, e) => !counted[e] || (lastOf[e] as number) >= 0 || holds(setting, e, start))) return 0n;
  states.set('', start);

  classes.forEach((one, at) => {
    const next = new Map<string, State>();
    const closing = one.entries.filter((e) => lastOf[e] === at);
    for (const state of states.values())
      for (const share of compositions(roomFor(setting, one, state), one.n)) {
        budget.spend(30);
        const held = [...state.held];
        const sums = [...state.sums];
        let rest = one.n;
        let ways = state.ways;
        one.entries.forEach((e, i) => {
          const k = share[i] as number;
          ways *= choose(rest, k);
          rest -= k;
          held[e] = (held[e] as number) + k;
          sums[e] = (sums[e] as number) + k * one.value;
        });
        if (!closing.every((e) => holds(setting, e, { held, sums }))) continue;
        for (const e of closing) {
          held[e] = 0;
          sums[e] = 0;
        }
        if (plain) ways *= (placesFor[one.type] as bigint) ** BigInt(rest);
        if (ways === 0n) continue;
        const left = plain ? state.left : state.left.with(one.type, (state.left[one.type] as number) + rest);
        const name = `${held.join()}|${sums.map(sumName).join()}|${left.join()}`;
        const same = next.get(name);
        if (same) same.ways += ways;
        else next.set(name, { held, sums, left, ways });
        if (next.size > mostStates) throw new TooMany('too many ways to hold apart');
      }
    states = next;
  });
  let total = 0n;
  for (const { left, ways } of states.values()) total += ways * (plain ? 1n : free(left));
  return total;
}

/** A sequence's zone holds just its items, in one order: they are out of the way. Null: they cannot all be there. */
function sequencesFilled(setting: Setting): { classes: Class[] } | null {
  const { entries } = setting.model;
  const classes: Class[] = [];
  const filled = entries.map(() => 0);
  for (const one of classesOf(setting)) {
    const sequences = one.entries.filter((e) => entries[e]?.sequence);
    const [only] = sequences;
    if (only === undefined) classes.push(one);
    else if (sequences.length > 1) return null;
    else filled[only] = (filled[only] as number) + one.n;
  }
  const complete = entries.every(
    (entry, e) =>
      !entry.sequence ||
      (filled[e] === entry.order.length && entry.order.length <= (setting.room[entry.zone] as number)),
  );
  return complete ? { classes } : null;
}

function holds(setting: Setting, e: number, { held, sums }: Pick<State, 'held' | 'sums'>): boolean {
  const entry = setting.model.entries[e] as Setting['model']['entries'][number];
  const r = held[e] as number;
  return r >= entry.lo && r <= mostIn(setting, entry) && sumHolds(entry.sum, sums[e] as number);
}

/** Classes that share entries one after another, so that few entries are open at a time. */
function inOrder(classes: readonly Class[]): Class[] {
  const waiting = [...classes];
  const open = new Set<number>();
  const order: Class[] = [];
  while (waiting.length > 0) {
    const opens = (one: Class) => one.entries.filter((e) => !open.has(e)).length;
    let best = 0;
    for (let i = 1; i < waiting.length; i++) if (opens(waiting[i] as Class) < opens(waiting[best] as Class)) best = i;
    const [one] = waiting.splice(best, 1) as [Class];
    order.push(one);
    for (const e of one.entries) open.add(e);
    for (const e of [...open]) if (!waiting.some((other) => other.entries.includes(e))) open.delete(e);
  }
  return order;
}

/** How many more of the class each of its entries has room for. */
const roomFor = (setting: Setting, { entries }: Class, { held }: State): number[] =>
  entries.map((e) => mostIn(setting, setting.model.entries[e] as EntryModel) - (held[e] as number));
