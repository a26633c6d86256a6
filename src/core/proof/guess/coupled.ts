import type { EitherModel, EntryModel } from '../../judge/model';
import { neededBy, sumHolds } from '../../judge/tally';
import { type Budget, TooMany } from '../budget';
import { choose, factorial } from './numbers';
import { orderings, unitOf } from './sequences';
import type { Setting } from './setting';

/*
 * Counting where entries are coupled: by either entries, whose copies lie in several zones, or by costs that differ for
 * misplaced and extra ones. Item after item is laid down; arrangements that what follows cannot tell apart are counted
 * together. A state is one whole number: its digits, each in a base of its own, say what the zones hold.
 */

/** One digit of the state. */
class Digit {
  constructor(
    readonly size: number,
    readonly unit: number,
  ) {}
  of(state: number): number {
    return Math.floor(state / this.unit) % this.size;
  }
  with(state: number, before: number, after: number): number {
    return state + (after - before) * this.unit;
  }
}

const MAX_STATE = 2 ** 52;
/** Digits side by side, as long as they fit into one exact number. */
class Digits {
  #unit = 1;
  add(size: number): Digit {
    const digit = new Digit(size, this.#unit);
    this.#unit *= size;
    if (this.#unit > MAX_STATE) throw new TooMany('too much to remember');
    return digit;
  }
}

/** Different sums of values, numbered as they come up. */
const MAX_SUMS = 4096;
class Sums {
  readonly #numbers = new Map<number, number>([[0, 0]]);
  readonly values: number[] = [0];
  numberOf(sum: number): number {
    const name = Math.round(sum * 1e9);
    const known = this.#numbers.get(name);
    if (known !== undefined) return known;
    if (this.values.length === MAX_SUMS) throw new TooMany('too many sums');
    this.#numbers.set(name, this.values.length);
    return this.values.push(sum) - 1;
  }
}

/** What a copy of an item does to the state where it is laid; null: that cannot be. */
type Effect = (state: number) => number | null;

/** What is looked at: all entries or one of them; and the costs, if they are. */
interface Looked {
  readonly entries: readonly number[];
  readonly either: readonly number[];
  /** Only arrangements in which all that is looked at is satisfied. */
  readonly fullOnly: boolean;
  readonly costs: Costs | null;
}
interface Costs {
  readonly extra: number;
  readonly misplaced: number;
  /** By entry and by either entry: how many copies it lacks; null: it does not matter. */
  readonly lacks: readonly (number | null)[];
  readonly eitherLacks: readonly (number | null)[];
}

interface Held {
  readonly right: Digit | null;
  readonly stranger: Digit | null;
  readonly sum: { readonly digit: Digit; readonly sums: Sums } | null;
  readonly mask: Digit | null;
}

const MAX_SEQUENCE = 14;
const MAX_STATES = 400_000;

class Counter {
  readonly #setting: Setting;
  readonly #looked: Looked;
  readonly #budget: Budget;
  readonly #digits = new Digits();
  readonly #loads: (Digit | null)[];
  readonly #held = new Map<number, Held>();
  readonly #eitherHeld = new Map<number, Digit>();
  readonly #misplaced: Digit | null;
  readonly #extra: Digit | null;

  constructor(setting: Setting, looked: Looked, budget: Budget) {
    this.#setting = setting;
    this.#looked = looked;
    this.#budget = budget;
    const { model, room, ordered, counts } = setting;
    const all = counts.reduce((sum, n) => sum + n, 0);
    this.#loads = model.zones.map((_, z) =>
      ordered[z] || (room[z] as number) < all ? this.#digits.add((room[z] as number) + 1) : null,
    );
    for (const e of looked.entries) this.#held.set(e, this.#holding(model.entries[e] as EntryModel, e, all));
    for (const k of looked.either) {
      const entry = model.either[k] as EitherModel;
      this.#eitherHeld.set(k, this.#digits.add(this.#most(entry, looked.costs?.eitherLacks[k] ?? null, all) + 1));
    }
    const costs = looked.costs;
    const together = costs !== null && costs.extra === costs.misplaced;
    this.#extra = costs && costs.extra > 0 ? this.#digits.add(all + 1) : null;
    this.#misplaced = together ? this.#extra : costs && costs.misplaced > 0 ? this.#digits.add(all + 1) : null;
  }

  /** The most right copies that are told apart: beyond what is needed, or one more than is allowed, they are alike. */
  #most({ lo, hi }: Pick<EntryModel, 'lo' | 'hi'>, lack: number | null, all: number): number {
    if (lack !== null && lack > 0) return Math.min(all, lo - lack);
    return Math.min(all, Number.isFinite(hi) ? hi + 1 : lo);
  }

  #holding(entry: EntryModel, e: number, all: number): Held {
    const { fullOnly, costs } = this.#looked;
    if (entry.sequence) {
      if (entry.order.length > MAX_SEQUENCE) throw new TooMany('too long a sequence');
      return { right: null, stranger: null, sum: null, mask: this.#digits.add(2 ** entry.order.length) };
    }
    return {
      right: this.#digits.add(this.#most(entry, costs?.lacks[e] ?? null, all) + 1),
      stranger: fullOnly || (costs && !entry.sum) ? null : this.#digits.add(2),
      sum: entry.sum ? { digit: this.#digits.add(MAX_SUMS), sums: new Sums() } : null,
      mask: null,
    };
  }

  /** All arrangements, by state: each with the number of its ways, orders within sequences not counted yet. */
  states(): Map<number, number> {
    const { model, copies, typeOf } = this.#setting;
    let states = new Map<number, number>([[0, 1]]);
    const items = model.items.map((_, item) => item).filter((item) => (typeOf[item] as number) >= 0);
    for (const item of items) {
      const ways = this.#waysOf(item, copies[item] as number);
      const next = new Map<number, number>();
      for (const [state, n] of states)
        for (const { effects, weight } of ways) {
          let to: number | null = state;
          for (const effect of effects) {
            to = effect(to);
            if (to === null) break;
          }
          if (to !== null) next.set(to, (next.get(to) ?? 0) + n * weight);
        }
      this.#budget.spend(12 * states.size * ways.length);
      if (next.size > MAX_STATES) throw new TooMany('too many states');
      states = next;
    }
    return states;
  }

  #waysOf(item: number, copies: number): { effects: Effect[]; weight: number }[] {
    const { model, open, typeOf, tray } = this.#setting;
    const zones = model.zones.map((_, z) => z).filter((z) => open[z]?.[typeOf[item] as number]);
    const ways: { effects: Effect[]; weight: number }[] = [];
    const lay = (at: number, left: number, weight: number, laid: readonly (readonly [zone: number, n: number])[]) => {
      if (at === zones.length) {
        if (left === 0 || tray) ways.push({ effects: this.#effectsOf(item, laid), weight });
        return;
      }
      for (let n = 0; n <= left; n++)
        lay(at + 1, left - n, weight * Number(choose(left, n)), n > 0 ? [...laid, [zones[at] as number, n]] : laid);
      this.#budget.spend(left + 1);
    };
    lay(0, copies, 1, []);
    return ways;
  }

  #effectsOf(item: number, laid: readonly (readonly [zone: number, n: number])[]): Effect[] {
    const { model } = this.#setting;
    const { costs, fullOnly } = this.#looked;
    const effects: Effect[] = [];
    let wrong = 0;
    for (const [zone, n] of laid) {
      const load = this.#loads[zone];
      if (load) effects.push(adding(load, n));
      const e = model.entries.findIndex((entry) => entry.zone === zone);
      const entry = model.entries[e];
      if (!entry) continue;
      const isRight = entry.belongs.has(item);
      const isApart = !isRight && entry.apart.has(item);
      if (!isRight && !isApart) wrong += n;
      const held = this.#held.get(e);
      if (held) {
        if (isRight && held.right) effects.push(this.#gaining(held.right, n, entry, costs?.lacks[e] ?? null));
        if (isRight && held.mask) effects.push(marking(held.mask, entry.order.indexOf(item)));
        if (!isRight && !isApart) {
          if (fullOnly) effects.push(() => null);
          else if (held.stranger) effects.push(flagging(held.stranger));
        }
        if (held.sum) effects.push(summing(held.sum, n * (model.values[item] as number)));
      }
    }
    const k = model.eitherOf[item] ?? -1;
    const either = model.either[k];
    const inEither = laid.reduce((sum, [zone, n]) => sum + (either?.zones.includes(zone) ? n : 0), 0);
    const digit = this.#eitherHeld.get(k);
    if (either && digit && inEither > 0)
      effects.push(this.#gaining(digit, inEither, either, costs?.eitherLacks[k] ?? null));
    if (costs && wrong > 0) {
      const misplaced = Math.min(wrong, lackOf(this.#setting, item, costs));
      if (this.#misplaced && misplaced > 0) effects.push(adding(this.#misplaced, misplaced));
      if (this.#extra && wrong > misplaced) effects.push(adding(this.#extra, wrong - misplaced));
    }
    return effects;
  }

  /** More right copies: those beyond what is allowed are a surplus, which costs what an extra one costs. */
  #gaining(digit: Digit, n: number, { lo, hi }: Pick<EntryModel, 'lo' | 'hi'>, lack: number | null): Effect {
    const extra = this.#extra;
    const { fullOnly } = this.#looked;
    const most = digit.size - 1;
    if (lack !== null && lack > 0) {
      const end = lo - lack;
      return (state) => {
        const before = digit.of(state);
        return before + n > end ? null : digit.with(state, before, before + n);
      };
    }
    return (state) => {
      const before = digit.of(state);
      const surplus = before > hi ? n : Math.max(0, before + n - hi);
      if (fullOnly && surplus > 0) return null;
      const after = digit.with(state, before, Math.min(most, before + n));
      if (!extra || surplus === 0) return after;
      const paid = extra.of(after);
      return extra.with(after, paid, paid + surplus);
    };
  }

  /** Orders of the sequence zones that are not looked at: k copies lie in k! of them. */
  around(state: number): number {
    const { model, ordered } = this.#setting;
    let ways = 1;
    model.zones.forEach((_, z) => {
      const load = this.#loads[z];
      const e = model.entries.findIndex((entry) => entry.zone === z);
      if (ordered[z] && load && !this.#held.has(e)) ways *= Number(factorial(load.of(state)));
    });
    return ways;
  }

  /** The number of orders in which what the state holds satisfies the entry; not a sequence: 1 or 0. */
  satisfying(state: number, e: number): number {
    const { model } = this.#setting;
    const entry = model.entries[e] as EntryModel;
    const held = this.#held.get(e) as Held;
    if (held.mask) {
      const complete = held.mask.of(state) === 2 ** entry.order.length - 1;
      return complete && this.#loads[entry.zone]?.of(state) === entry.order.length ? 1 : 0;
    }
    const right = (held.right as Digit).of(state);
    const sum = held.sum ? (held.sum.sums.values[held.sum.digit.of(state)] as number) : 0;
    const strangers = held.stranger?.of(state) ?? 0;
    return strangers === 0 && right >= entry.lo && right <= entry.hi && sumHolds(entry.sum, sum) ? 1 : 0;
  }

  satisfyingEither(state: number, k: number): number {
    const { lo, hi } = this.#setting.model.either[k] as EitherModel;
    const right = (this.#eitherHeld.get(k) as Digit).of(state);
    return right >= lo && right <= hi ? 1 : 0;
  }

  rightIn(state: number, e: number): number {
    const held = this.#held.get(e) as Held;
    return held.mask ? bits(held.mask.of(state)) : (held.right as Digit).of(state);
  }
  rightInEither = (state: number, k: number): number => (this.#eitherHeld.get(k) as Digit).of(state);
  cost(state: number): number {
    const { costs } = this.#looked;
    if (!costs) return 0;
    const extra = this.#extra ? this.#extra.of(state) * costs.extra : 0;
    return this.#misplaced && this.#misplaced !== this.#extra
      ? extra + this.#misplaced.of(state) * costs.misplaced
      : extra;
  }

  /** What a sequence entry's zone comes to, c, by the number of its orders. */
  inOrder(state: number, e: number): { c: number; ways: number }[] {
    const { model } = this.#setting;
    const entry = model.entries[e] as EntryModel;
    const mask = this.#held.get(e)?.mask?.of(state) ?? 0;
    const k = this.#loads[entry.zone]?.of(state) ?? 0;
    const { sequenceRule } = model.question.marks;
    const length = entry.order.length;
    const present = {
      k,
      r: bits(mask),
      low: bits(mask & (2 ** Math.min(k, length) - 1)),
      pairs: bits(mask & (mask >> 1)),
      complete: k === length && bits(mask) === length,
    };
    const unit = unitOf(sequenceRule, length);
    return orderings(sequenceRule, length, present, this.#budget).map((ways, counted) => ({
      c: counted * unit,
      ways: Number(ways),
    }));
  }
}

const adding =
  (digit: Digit, n: number): Effect =>
  (state) => {
    const before = digit.of(state);
    return before + n < digit.size ? digit.with(state, before, before + n) : null;
  };
const flagging =
  (digit: Digit): Effect =>
  (state) =>
    digit.with(state, digit.of(state), 1);
const marking =
  (digit: Digit, place: number): Effect =>
  (state) => {
    const before = digit.of(state);
    return digit.with(state, before, before | (1 << place));
  };
const summing =
  ({ digit, sums }: { digit: Digit; sums: Sums }, value: number): Effect =>
  (state) => {
    const before = digit.of(state);
    return digit.with(state, before, sums.numberOf((sums.values[before] as number) + value));
  };

function bits(mask: number): number {
  let n = 0;
  for (let rest = mask; rest > 0; rest &= rest - 1) n++;
  return n;
}

function lackOf({ model }: Setting, item: number, { lacks, eitherLacks }: Costs): number {
  let lack = 0;
  model.entries.forEach(({ belongs }, e) => {
    if (belongs.has(item)) lack += lacks[e] ?? Infinity;
  });
  model.either.forEach(({ belongs }, k) => {
    if (belongs.has(item)) lack += eitherLacks[k] ?? Infinity;
  });
  return lack;
}

const MAX_EXACT = 2 ** 53;
/** Doubles count exactly as long as no number of ways can outgrow them. */
function mustBeExact(setting: Setting): void {
  const { counts, open, tray, ordered } = setting;
  let most = 1;
  counts.forEach((n, type) => {
    const places = open.filter((zone) => zone[type]).length + (tray ? 1 : 0);
    most *= Math.max(1, places) ** n;
  });
  const all = counts.reduce((sum, n) => sum + n, 0);
  if (ordered.some(Boolean)) most *= Number(factorial(Math.min(all, 100)));
  if (most >= MAX_EXACT) throw new TooMany('numbers too large');
}

const every = (n: number) => Array.from({ length: n }, (_, i) => i);

/** Arrangements in which everything is satisfied. */
export function coupledFullMarks(setting: Setting, budget: Budget): bigint {
  mustBeExact(setting);
  const [entries, either] = [every(setting.model.entries.length), every(setting.model.either.length)];
  const counter = new Counter(setting, { entries, either, fullOnly: true, costs: null }, budget);
  let full = 0;
  for (const [state, ways] of counter.states())
    full +=
      entries.reduce((n, e) => n * counter.satisfying(state, e), ways) *
      +either.every((k) => counter.satisfyingEither(state, k));
  return BigInt(full);
}

/** Arrangements in which one entry is satisfied. */
export function coupledSatisfied(setting: Setting, e: number, budget: Budget): bigint {
  mustBeExact(setting);
  const counter = new Counter(setting, { entries: [e], either: [], fullOnly: false, costs: null }, budget);
  let n = 0;
  for (const [state, ways] of counter.states()) n += ways * counter.around(state) * counter.satisfying(state, e);
  return BigInt(n);
}

export function coupledEitherSatisfied(setting: Setting, k: number, budget: Budget): bigint {
  mustBeExact(setting);
  const counter = new Counter(setting, { entries: [], either: [k], fullOnly: false, costs: null }, budget);
  let n = 0;
  for (const [state, ways] of counter.states()) n += ways * counter.around(state) * counter.satisfyingEither(state, k);
  return BigInt(n);
}

const MAX_LACKS = 20_000;

/** The mean of (R − misplacedCosts·M − extraCosts·X) / N held to 0…1 over all arrangements. */
export function coupledMean(setting: Setting, total: bigint, budget: Budget): number {
  const { model } = setting;
  const { extraCosts, misplacedCosts } = model.question.marks;
  const entries = every(model.entries.length);
  const either = every(model.either.length);
  const needed =
    model.entries.reduce((sum, entry) => sum + neededBy(entry), 0) + model.either.reduce((sum, { lo }) => sum + lo, 0);
  let sum = 0;
  for (const { lacks, eitherLacks } of lacksOf(setting)) {
    const costs = { extra: extraCosts, misplaced: misplacedCosts, lacks, eitherLacks };
    const counter = new Counter(setting, { entries, either, fullOnly: false, costs }, budget);
    for (const [state, ways] of counter.states()) {
      if (!isAsLacking(setting, counter, state, lacks, eitherLacks)) continue;
      let fixed = -counter.cost(state);
      let scores = [{ c: 0, ways: 1 }];
      for (const e of entries) {
        const entry = model.entries[e] as EntryModel;
        if (entry.sequence)
          scores = counter
            .inOrder(state, e)
            .flatMap((one) => scores.map(({ c, ways: n }) => ({ c: c + one.c, ways: n * one.ways })));
        else fixed += entry.sum ? counter.satisfying(state, e) : Math.min(entry.lo, counter.rightIn(state, e));
      }
      for (const k of either) fixed += Math.min(model.either[k]?.lo ?? 0, counter.rightInEither(state, k));
      for (const { c, ways: n } of scores) sum += ways * n * Math.min(1, Math.max(0, (fixed + c) / needed));
    }
  }
  return Math.min(1, sum / Number(total));
}

interface Lacks {
  readonly lacks: readonly (number | null)[];
  readonly eitherLacks: readonly (number | null)[];
}

/**
 * Every way in which the entries may lack copies, as far as it decides what is misplaced. Where both cost the same
 * nothing has to be known. Nor of an entry that needs all there are: whatever lies wrong elsewhere is lacking there.
 */
function lacksOf(setting: Setting): Lacks[] {
  const { model, copies } = setting;
  const { extraCosts, misplacedCosts } = model.question.marks;
  const nothing = { lacks: model.entries.map(() => null), eitherLacks: model.either.map(() => null) };
  if (extraCosts === misplacedCosts) return [nothing];
  const needsAll = ({ lo, order }: Pick<EntryModel, 'lo' | 'order'>) =>
    lo >= order.reduce((sum, item) => sum + (copies[item] as number), 0);
  const listing = [...model.entries, ...model.either];
  const sure = (item: number) => listing.some((entry) => entry.belongs.has(item) && needsAll(entry));
  const matters = (entry: Pick<EntryModel, 'lo' | 'order'>) =>
    !needsAll(entry) && entry.order.some((item) => !sure(item));
  const choices = (entry: Pick<EntryModel, 'lo' | 'order'>): (number | null)[] =>
    matters(entry) ? every(entry.lo + 1) : [null];
  const each = listing.map(choices);
  if (each.reduce((product, some) => product * some.length, 1) > MAX_LACKS) throw new TooMany('too many lacks');
  let all: (number | null)[][] = [[]];
  for (const some of each) all = all.flatMap((before) => some.map((lack) => [...before, lack]));
  const n = model.entries.length;
  return all.map((lacks) => ({ lacks: lacks.slice(0, n), eitherLacks: lacks.slice(n) }));
}

const isAsLacking = (
  { model }: Setting,
  counter: Counter,
  state: number,
  lacks: Lacks['lacks'],
  eitherLacks: Lacks['eitherLacks'],
): boolean =>
  lacks.every((lack, e) => {
    const { lo } = model.entries[e] as EntryModel;
    return lack === null || lack === Math.max(0, lo - counter.rightIn(state, e));
  }) &&
  eitherLacks.every((lack, k) => {
    const { lo } = model.either[k] as EitherModel;
    return lack === null || lack === Math.max(0, lo - counter.rightInEither(state, k));
  });
