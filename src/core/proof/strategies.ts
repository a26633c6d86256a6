import type { Board } from '../judge/board';
import { type Copy, copyOf, itemOf, numberOf, type QuestionModel } from '../judge/model';
import { applyMove, countingTry, type Move, type Standing, untouched } from '../judge/replay';
import { type Random, random, seedOf, shuffled } from '../random/random';
import { unlimited } from './budget';
import { arrangements } from './guess/guess';
import { type Draw, drawer } from './guess/sample';
import { type Setting, standInCopies } from './guess/setting';
import type { Clock } from './proof';
import type { ModelPlacement } from './solve/solve';

/**
 * How somebody may go about a question: `guesses` hands in at random, once; `triesAll` begins at random and tries
 * everything until it is right; `knowsHalf` knows where half of it belongs and tries the rest; `slipsOnce` knows all of
 * it and puts one thing wrong at first.
 */
export const STRATEGIES = ['guesses', 'triesAll', 'knowsHalf', 'slipsOnce'] as const;
export type Strategy = (typeof STRATEGIES)[number];

/** Means over simulated attempts. `mark` is a share of the maximum; the errors are 95 % half-widths. */
export interface Earned {
  readonly strategy: Strategy;
  readonly mark: number;
  readonly markError: number;
  /** The share of attempts that end with full marks. */
  readonly full: number;
  readonly fullError: number;
  readonly tries: number;
  readonly attempts: number;
}

const MAX_ATTEMPTS = 12_000;
/** Of more copies nobody tries everything. */
const MAX_COPIES = 300;
const MIN_ATTEMPTS = 1000;
const TURN = 100;
const GOOD_ENOUGH = 0.01;
/** Without a limit of tries somebody gives up after so many. */
const PATIENCE = 40;
const Z95 = 1.96;

/**
 * What strategies earn under the question's own tries, costs, judging and after-miss rule: attempts are played by the
 * moves that learners make and judged as theirs are, until the mean is known to ±1 % or the time (milliseconds) is up.
 * `full`: a model answer. Null where nobody can go about it so: without a key or a model answer, with zones that are
 * hidden or typed into.
 */
export function strategies(
  model: QuestionModel,
  full: readonly ModelPlacement[] | null,
  milliseconds: number,
  clock: Clock,
  which: readonly Strategy[] = STRATEGIES,
): Earned[] | null {
  const cannot = model.zones.some(({ hidden, isTyped }) => hidden || isTyped);
  if (cannot || !full || model.entries.length + model.either.length === 0) return null;
  // Before anything is counted, which for so many would take without end.
  if (model.items.reduce((sum, _, item) => sum + standInCopies(model, item), 0) > MAX_COPIES) return null;
  const table = tableOf(model, full);
  const until = clock.now() + milliseconds;
  const running = which.map((strategy) => new Simulation(table, strategy));
  // In turns, so that what is known soon leaves its time to the others.
  for (;;) {
    const open = running.filter((simulation) => !simulation.isKnown());
    if (open.length === 0) break;
    for (const simulation of open) simulation.play(TURN);
    if (clock.now() > until && running.every(({ attempts }) => attempts >= MIN_ATTEMPTS)) break;
  }
  return running.map((simulation) => simulation.earned());
}

/**
 * What trying everything earns, as a share of the maximum, where it comes as far as knowing half. Null: it does not.
 */
export function tryingBeatsKnowing(earned: readonly Earned[]): number | null {
  const of = (strategy: Strategy) => earned.find((one) => one.strategy === strategy);
  const [tries, knows] = [of('triesAll'), of('knowsHalf')];
  if (!tries || !knows) return null;
  // One who knows half and tries the rest can do no worse; it is trying that earns where it comes as far.
  return tries.mark + tries.markError >= knows.mark - knows.markError && tries.mark > 0.5 ? tries.mark : null;
}

/** What is the same for every attempt. */
interface Table {
  readonly model: QuestionModel;
  readonly setting: Setting;
  readonly draw: Draw;
  readonly copies: readonly Copy[];
  /** Where the model answer has each copy; what is not in it stays at home. */
  readonly right: ReadonlyMap<Copy, { readonly zone: number; readonly at: number }>;
}

function tableOf(model: QuestionModel, full: readonly ModelPlacement[]): Table {
  const { setting } = arrangements(model, unlimited);
  const held = new Map<number, number>();
  const right = new Map<Copy, { zone: number; at: number }>();
  for (const { item, copy, zone: id } of full) {
    const [index, zone] = [model.itemAt.get(item), model.zoneAt.get(id)];
    if (index === undefined || zone === undefined) continue;
    const at = held.get(zone) ?? 0;
    held.set(zone, at + 1);
    right.set(copyOf(index, copy), { zone, at });
  }
  const copies = setting.copies.flatMap((count, item) => Array.from({ length: count }, (_, n) => copyOf(item, n)));
  return { model, setting, draw: drawer(setting, unlimited), copies, right };
}

/** Attempts of one strategy, and what they have come to so far. */
class Simulation {
  attempts = 0;
  private marks = 0;
  private squares = 0;
  private fulls = 0;
  private tries = 0;
  private readonly next: Random;

  constructor(
    private readonly table: Table,
    private readonly strategy: Strategy,
  ) {
    this.next = random(seedOf(`${table.model.question.id} ${strategy}`));
  }

  play(times: number): void {
    for (let i = 0; i < times; i++) {
      const attempt = new Attempt(this.table, this.next);
      attempt.play(this.strategy);
      const { mark, full } = attempt.result();
      this.attempts++;
      this.marks += mark;
      this.squares += mark * mark;
      this.fulls += full ? 1 : 0;
      this.tries += attempt.tries;
    }
  }

  isKnown(): boolean {
    if (this.attempts < MIN_ATTEMPTS) return false;
    const { markError, fullError } = this.earned();
    return this.attempts >= MAX_ATTEMPTS || Math.max(markError, fullError) <= GOOD_ENOUGH;
  }

  earned(): Earned {
    const { attempts: n, strategy } = this;
    const halfWidth = (variance: number) => Z95 * Math.sqrt(Math.max(0, variance) / Math.max(1, n));
    const [mark, full] = [this.marks / n, this.fulls / n];
    return {
      strategy,
      mark,
      markError: halfWidth(this.squares / n - mark * mark),
      full,
      fullError: halfWidth(full * (1 - full)),
      tries: this.tries / n,
      attempts: n,
    };
  }
}

/** In the tray. */
const TRAY = -1;

/** One attempt, played move by move. */
class Attempt {
  private standing: Standing;
  /** What is known to be right stays where it is. */
  private readonly settled = new Set<Copy>();
  /** Where a copy was found wrong: zones, or in a zone with an order the places in it. */
  private readonly wrong = new Map<Copy, Set<number>>();

  constructor(
    private readonly table: Table,
    private readonly next: Random,
  ) {
    this.standing = untouched(table.model);
  }

  get tries(): number {
    return this.standing.tries.count;
  }

  result(): { mark: number; full: boolean } {
    const { model } = this.table;
    const judged = countingTry(model, this.standing.tries)?.judged;
    if (!judged) return { mark: 0, full: false };
    return { mark: judged.max > 0 ? judged.mark / judged.max : judged.fraction, full: judged.fullMarks };
  }

  play(strategy: Strategy): void {
    const { table } = this;
    switch (strategy) {
      case 'guesses':
        this.handIn(placesOf(table, table.draw(this.next)), false);
        break;
      case 'triesAll':
        this.tryOn(placesOf(table, table.draw(this.next)), new Set());
        break;
      case 'knowsHalf': {
        const all = [...table.right.keys()];
        const order = shuffled(all.length, this.next).slice(0, Math.ceil(all.length / 2));
        const known = new Set(order.map((i) => all[i] as Copy));
        this.tryOn(this.withKnown(placesOf(table, table.draw(this.next)), known), known);
        break;
      }
      case 'slipsOnce':
        this.slip();
        break;
    }
    // What was not checked when it ends is checked once.
    const { ended, judged, tries } = this.standing;
    if (!ended && (judged === null || judged !== tries.last)) this.move({ kind: 'check' });
  }

  private move(move: Move): boolean {
    const done = applyMove(this.table.model, this.standing, move);
    if (done.ok) this.standing = done.standing;
    return done.ok;
  }

  private name(copy: Copy): { item: string; copy: number } {
    return { item: this.table.model.items[itemOf(copy)]?.id ?? '', copy: numberOf(copy) };
  }

  /** Puts a copy into a zone; false: it was turned away, or could not be moved. */
  private put(copy: Copy, zone: number, at?: number): boolean {
    const into = zone === TRAY ? null : (this.table.model.zones[zone]?.id ?? null);
    const done = applyMove(this.table.model, this.standing, { kind: 'put', ...this.name(copy), zone: into, at });
    if (!done.ok) return false;
    this.standing = done.standing;
    return done.outcome?.to !== 'turnedAway';
  }

  /** Everything put where it is meant to be, and checked. `insists`: what is turned away goes elsewhere at once. */
  private handIn(places: Places, insists: boolean): void {
    const { model, setting } = this.table;
    const onLand = model.question.judging === 'onLand';
    const going = new Set(this.standing.goingHome);
    const target = new Map(places.zones.flatMap((held, zone) => held.map((copy) => [copy, zone] as const)));
    // What leaves a zone makes room before anything comes into it.
    for (const [copy, zone] of [...this.standing.board.zoneOf])
      if (!this.standing.ended && !going.has(copy) && target.get(copy) !== zone) this.put(copy, TRAY);
    for (const [zone, held] of places.zones.entries()) {
      const ordered = setting.ordered[zone] === true;
      for (const [at, copy] of held.entries()) {
        if (this.standing.ended) return;
        const there = this.standing.board.zoneOf.get(copy) === zone && !going.has(copy);
        if (there && !ordered) continue;
        const taken = this.put(copy, zone, ordered ? Math.min(at, this.lengthWithout(zone, copy)) : undefined);
        if (insists && (!taken || (onLand && this.isWrong(copy)))) this.insist(copy, zone);
      }
    }
    if (!onLand && !this.standing.ended) this.move({ kind: 'check' });
  }

  private lengthWithout(zone: number, copy: Copy): number {
    const { zones, zoneOf } = this.standing.board;
    return (zones[zone]?.length ?? 0) - (zoneOf.get(copy) === zone ? 1 : 0);
  }

  private isWrong(copy: Copy): boolean {
    return this.standing.judged?.verdicts.get(copy) === 'wrong';
  }

  /** Tries the other zones for a copy that was refused or judged wrong at once, one after another. */
  private insist(copy: Copy, from: number): void {
    this.found(copy, from);
    for (const zone of this.untried(copy)) {
      if (this.standing.ended) return;
      if (zone === TRAY) continue;
      if (this.put(copy, zone) && !this.isWrong(copy)) return;
      this.found(copy, zone);
    }
  }

  private found(copy: Copy, place: number): void {
    this.wrong.set(copy, (this.wrong.get(copy) ?? new Set()).add(place));
  }

  /** Places that a copy was not found wrong in, in random order. */
  private untried(copy: Copy): number[] {
    const { setting } = this.table;
    const type = setting.typeOf[itemOf(copy)] as number;
    const tried = this.wrong.get(copy) ?? new Set();
    const open = setting.open.flatMap((types, zone) => (type >= 0 && types[type] && !tried.has(zone) ? [zone] : []));
    const all = setting.tray && !tried.has(TRAY) ? [...open, TRAY] : open;
    return shuffled(all.length, this.next).map((i) => all[i] as number);
  }

  /** Hands in, keeps what was right, tries other places for the rest, and so on. */
  private tryOn(first: Places, known: ReadonlySet<Copy>): void {
    let places = first;
    for (let n = 0; n < PATIENCE && !this.standing.ended; n++) {
      this.handIn(places, true);
      if (this.standing.ended) return;
      this.learn();
      places = this.withKnown(this.replanned(places), known);
    }
  }

  /**
   * What was said of what lies there: what is right stays; what is wrong does not belong where it was, nor what lies
   * where nothing is said of it while there is something to be said.
   */
  private learn(): void {
    const { setting, model } = this.table;
    const { ordered } = setting;
    const verdicts = this.standing.judged?.verdicts;
    for (const [copy, zone] of this.standing.board.zoneOf) {
      const verdict = verdicts?.get(copy) ?? 'none';
      if (verdict === 'right') this.settled.add(copy);
      else if (verdict === 'wrong' || model.entryOf[zone] === null) {
        this.settled.delete(copy);
        this.found(copy, ordered[zone] ? (this.standing.board.zones[zone]?.indexOf(copy) ?? 0) : zone);
      }
    }
  }

  /** The next arrangement: what is settled stays, everything else goes where it was not found wrong, as room is. */
  private replanned(before: Places): Places {
    const { setting } = this.table;
    const zones = before.zones.map((held, zone) =>
      setting.ordered[zone] ? this.reordered(held) : held.filter((copy) => this.settled.has(copy)),
    );
    const placed = new Set(zones.flat());
    const loose = this.table.copies.filter((copy) => !placed.has(copy));
    for (const i of shuffled(loose.length, this.next)) {
      const copy = loose[i] as Copy;
      const place = this.untried(copy).find(
        (zone) => zone === TRAY || (!setting.ordered[zone] && (zones[zone]?.length ?? 0) < (setting.room[zone] ?? 0)),
      );
      if (place !== undefined && place !== TRAY) zones[place]?.push(copy);
    }
    return { zones };
  }

  /** A zone with an order: what stands right stays in its place, the others change places, not where they were wrong. */
  private reordered(held: readonly Copy[]): Copy[] {
    const moving = held.filter((copy) => !this.settled.has(copy));
    let best: Copy[] = [...held];
    let fewest = Number.POSITIVE_INFINITY;
    for (let n = 0; n < REORDERINGS && fewest > 0; n++) {
      const order = shuffled(moving.length, this.next);
      let i = 0;
      const tried = held.map((copy) => (this.settled.has(copy) ? copy : (moving[order[i++] as number] as Copy)));
      const again = tried.filter((copy, at) => !this.settled.has(copy) && this.wrong.get(copy)?.has(at)).length;
      if (again < fewest) [best, fewest] = [tried, again];
    }
    return best;
  }

  /** An arrangement in which what is known lies where it belongs. */
  private withKnown(places: Places, known: ReadonlySet<Copy>): Places {
    if (known.size === 0) return places;
    const { right, setting } = this.table;
    const out = (copies: readonly Copy[]) => copies.filter((copy) => !known.has(copy));
    const zones = places.zones.map((held, zone) => {
      const mine = [...known].filter((copy) => right.get(copy)?.zone === zone);
      const others = out(held).slice(0, Math.max(0, (setting.room[zone] ?? 0) - mine.length));
      if (!setting.ordered[zone]) return [...others, ...mine];
      // In an order, each at its own place among the others.
      const order = [...others];
      for (const copy of mine.sort((a, b) => (right.get(a)?.at ?? 0) - (right.get(b)?.at ?? 0)))
        order.splice(right.get(copy)?.at ?? 0, 0, copy);
      return order;
    });
    return { zones };
  }

  /** All of it right but one thing, which is put right after the first check. */
  private slip(): void {
    const { right, model, setting } = this.table;
    const zones: Copy[][] = model.zones.map(() => []);
    for (const [copy, { zone }] of right) zones[zone]?.push(copy);
    const all = [...right.keys()];
    const slipped = all[Math.floor(this.next() * all.length)];
    if (slipped === undefined) return;
    const from = right.get(slipped)?.zone ?? 0;
    const wrong = zones.map((held) => [...held]);
    const own = wrong[from] as Copy[];
    if (setting.ordered[from] && own.length > 1) {
      const at = own.indexOf(slipped);
      const other = at === 0 ? 1 : at - 1;
      [own[at], own[other]] = [own[other] as Copy, slipped];
    } else {
      wrong[from] = own.filter((copy) => copy !== slipped);
      const places = this.untried(slipped).filter((zone) => zone !== from && zone !== TRAY);
      const to = places.find((zone) => (wrong[zone]?.length ?? 0) < (setting.room[zone] ?? 0));
      // Where no other zone takes it, it is left out.
      if (to !== undefined) wrong[to]?.push(slipped);
    }
    this.handIn({ zones: wrong }, false);
    if (!this.standing.ended) this.handIn({ zones }, false);
  }
}
const REORDERINGS = 30;

/** An arrangement: the copies of each zone in their order, what is in none lies in the tray. */
interface Places {
  readonly zones: readonly Copy[][];
}

function placesOf({ model }: Table, board: Board): Places {
  return { zones: model.zones.map((_, zone) => [...(board.zones[zone] ?? [])]) };
}
