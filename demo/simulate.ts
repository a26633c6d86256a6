import { randomUUID } from 'node:crypto';
import {
  type Box,
  type ModelPlacement,
  modelAnswerOf,
  outlineOf,
  type Question,
  type QuestionModel,
  type Random,
  random,
  type SentMove,
  seedOf,
  type Zone,
} from '../src/core';
import type { As, Learner } from '../src/server/context';
import { finish } from '../src/server/sittings/finish';
import { receiveMoves } from '../src/server/sittings/moves';
import { goTo, openRelease } from '../src/server/sittings/openRelease';
import { atOf, recordOf, sittingOf } from '../src/server/sittings/standing';
import { must } from './must';

/**
 * A learner as the simulator has them. Whether they know where an item belongs follows the one-parameter logistic model
 * (Rasch, 1960): with `skill` in logits above the item's difficulty. `slips`: how often they put what they know
 * elsewhere all the same. Who `guesses` knows nothing and lets chance decide; who `triesEverything` goes through the
 * zones until the item fits.
 */
export interface Simulated {
  readonly as: As<Learner>;
  readonly skill: number;
  readonly slips: number;
  readonly manner: 'thinks' | 'guesses' | 'triesEverything';
  /** Milliseconds a move takes them, in the middle. */
  readonly pace: number;
}

/** A learner of a seed: of a hundred some eight guess, ten try everything, the others think, more or less well. */
export function simulated(as: As<Learner>): Simulated {
  const next = random(seedOf(as.person.username ?? as.person.id));
  const which = next();
  const manner = which < 0.08 ? 'guesses' : which < 0.18 ? 'triesEverything' : 'thinks';
  return { as, skill: normal(next) * 1.1 + 0.6, slips: 0.02 + next() * 0.06, manner, pace: 3500 + next() * 6000 };
}

/** A draw from the standard normal distribution (Box and Muller, 1958). */
const normal = (next: Random): number => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** How hard it is to know where an item belongs, in logits: the same for everybody. */
const difficulty = (question: Question, item: string): number => random(seedOf(`${question.id} ${item}`))() * 3.2 - 1.6;

const MAX_TRIES = 6;
/** What an attempt adds to the skill, in logits. */
const LEARNED = 0.9;
const SOLVE_MS = 400;
const answers = new Map<string, readonly ModelPlacement[]>();

/** What is right, found once for a question. */
function rightOf(model: QuestionModel): readonly ModelPlacement[] {
  const known =
    answers.get(model.question.id) ?? modelAnswerOf(model, SOLVE_MS, { now: () => performance.now() }) ?? [];
  answers.set(model.question.id, known);
  return known;
}

interface SittingPlan {
  readonly began: Date;
  readonly number?: number;
  /** It is left in the middle, without finishing. */
  readonly leaves?: boolean;
}

/**
 * One sitting from its beginning, by the functions that answer people's own pages. What is done in it follows from who,
 * which release, and the `number` of the sitting.
 */
export async function sitThrough(
  who: Simulated,
  releaseId: string,
  { began, number = 1, leaves = false }: SittingPlan,
): Promise<void> {
  let time = began.getTime();
  const as: As<Learner> = { ...who.as, now: () => new Date(time) };
  const next = random(seedOf(`${who.as.person.username} ${releaseId} ${number}`));
  const think = () => {
    time += who.pace * Math.exp(normal(next) * 0.45);
  };
  const { open } = must(await openRelease(as, releaseId));
  if (!open) throw new Error('The sitting has ended before it began');
  let { last } = open;
  for (let place = 0; place < open.place.count; place++) {
    if (leaves && place > 0 && place === Math.ceil(open.place.count / 2)) return;
    if (place > 0) must(await goTo(as, open.id, place));
    const mine = await sittingOf(as, open.id, as.person.id);
    const at = mine && atOf(mine, await recordOf(as.db, mine), place);
    if (!at) throw new Error(`There is no question at ${place}`);
    // Whoever comes again has learned from the time before.
    const answering = new Answering(at.model, { ...who, skill: who.skill + (number - 1) * LEARNED }, next);
    let ended = at.standing.ended;
    const most = open.place.deferred ? 1 : Math.min(at.model.question.tries ?? MAX_TRIES, MAX_TRIES);
    for (let attempt = 0; attempt < most && !ended; attempt++) {
      const moves = answering.attempt(attempt).map((move) => inTheirNames(move, at.edition.names));
      for (const move of [...moves, ...(open.place.deferred ? [] : [{ kind: 'check' }])]) {
        think();
        const answer = await receiveMoves(as, open.id, as.person.id, {
          question: place,
          after: last,
          moves: [{ id: randomUUID(), ...move } as SentMove],
        });
        // Where each landing is judged, the last one may have ended it.
        if (!answer.ok && answer.code === 'alreadyEnded') ended = true;
        if (ended) break;
        ({ last, ended } = must(answer));
        if (ended) break;
      }
      if (answering.isRight()) break;
      // Some let it be after a miss.
      if (who.manner !== 'triesEverything' && next() < 0.12) break;
    }
  }
  think();
  if (!leaves) must(await finish(as, open.id));
}

type Meant =
  | {
      readonly kind: 'put';
      readonly item: string;
      readonly copy: number;
      readonly zone: string | null;
      readonly at?: number;
    }
  | { readonly kind: 'put'; readonly zone: string; readonly text: string }
  | {
      readonly kind: 'drop';
      readonly item: string;
      readonly copy: number;
      readonly x: number;
      readonly y: number;
      readonly px: number;
      readonly py: number;
    };

function inTheirNames(
  move: Meant,
  names: { readonly item: ReadonlyMap<string, string>; readonly zone: ReadonlyMap<string, string> },
): object {
  return {
    ...move,
    ...('item' in move ? { item: names.item.get(move.item) } : {}),
    ...('zone' in move ? { zone: move.zone === null ? null : names.zone.get(move.zone) } : {}),
  };
}

/** One thing to be put somewhere: a copy of an item, or a text into a zone that is typed into. */
interface Task {
  readonly item: string;
  readonly copy: number;
  /** Null: it stays where it is. */
  readonly right: string | null;
  readonly typed: boolean;
  /** Its place in a sequence. */
  readonly order: number | null;
  now: string | null;
  isRight: boolean;
  readonly tried: Set<string>;
}

/** How one learner answers one question, try by try. */
class Answering {
  private readonly tasks: Task[];
  private readonly question: Question;

  constructor(
    model: QuestionModel,
    private readonly who: Simulated,
    private readonly next: Random,
  ) {
    this.question = model.question;
    const right = rightOf(model);
    const sequences = new Set<string>(this.question.key.flatMap(({ zone, sequence }) => (sequence ? [zone] : [])));
    const inZone = new Map<string, number>();
    const placed = right.map(({ item, copy, zone }): Task => {
      const order = inZone.get(zone) ?? 0;
      inZone.set(zone, order + 1);
      const typed = this.zone(zone)?.typed != null;
      return {
        item,
        copy,
        right: zone,
        typed,
        order: sequences.has(zone) ? order : null,
        now: null,
        isRight: false,
        tried: new Set(),
      };
    });
    const left = this.question.items.filter(
      ({ id, copies }) => copies === 1 && !right.some((modelPlacement) => modelPlacement.item === id),
    );
    this.tasks = [
      ...placed,
      ...left.map(
        ({ id }): Task => ({
          item: id,
          copy: 0,
          right: null,
          typed: false,
          order: null,
          now: null,
          isRight: false,
          tried: new Set(),
        }),
      ),
    ];
  }

  isRight(): boolean {
    return this.tasks.every((task) => task.isRight);
  }

  /** What is moved before the next check. */
  attempt(attempt: number): Meant[] {
    const moves: Meant[] = [];
    for (const task of this.tasks) {
      if (task.isRight) continue;
      const meant = this.decide(task, attempt);
      task.isRight = meant === task.right;
      if (meant !== null) task.tried.add(meant);
      // What stays where it is needs no move.
      if (meant === null && task.now === null) continue;
      task.now = meant;
      moves.push(this.move(task, meant));
    }
    return moves;
  }

  private zone(id: string): Zone | undefined {
    return this.question.zones.find((zone) => zone.id === id);
  }

  private decide(task: Task, attempt: number): string | null {
    const { manner, skill, slips } = this.who;
    const open = this.question.zones.filter(
      ({ family, typed }) =>
        !typed && (family === null || family === this.question.items.find(({ id }) => id === task.item)?.family),
    );
    const wrong = open.map(({ id }) => id).filter((id) => id !== task.right);
    const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(this.next() * list.length)];
    if (manner === 'triesEverything' && !task.typed && task.order === null)
      return open.map(({ id }) => id).find((id) => !task.tried.has(id)) ?? task.right;
    if (manner === 'guesses' && !task.typed && task.order === null) return pick(open)?.id ?? null;
    const chance = manner === 'thinks' ? logistic(skill - difficulty(this.question, task.item) + attempt * 0.9) : 0.3;
    if (this.next() < chance && this.next() > slips) return task.right;
    if (task.typed || task.order !== null) return `${task.right}?`;
    // Some leave it where it is; many are drawn to the same wrong zone; the others guess, and may be lucky.
    if (task.right !== null && this.next() < 0.1) return null;
    const tempting = wrong[seedOf(`${this.question.id} ${task.item} wrong`) % Math.max(1, wrong.length)];
    if (tempting !== undefined && !task.tried.has(tempting) && this.next() < 0.5) return tempting;
    return pick(open.filter(({ id }) => !task.tried.has(id)))?.id ?? pick(open)?.id ?? null;
  }

  private move(task: Task, meant: string | null): Meant {
    const zone = this.zone(task.right ?? '');
    if (task.typed && zone)
      return {
        kind: 'put',
        zone: zone.id,
        text: meant === task.right ? this.textOf(task, zone) : this.slip(this.textOf(task, zone)),
      };
    if (task.order !== null && zone) {
      // Who does not know its place in the order puts it first.
      return {
        kind: 'put',
        item: task.item,
        copy: task.copy,
        zone: zone.id,
        at: meant === task.right ? Math.min(task.order, this.held(zone.id, task)) : 0,
      };
    }
    const into = meant === null ? undefined : this.zone(meant);
    const box = into && this.boxOf(into);
    return into && box ? this.drop(task, box, into) : { kind: 'put', item: task.item, copy: task.copy, zone: meant };
  }

  /** How many others stand in a zone. */
  private held(zone: string, task: Task): number {
    return this.tasks.filter((other) => other !== task && other.right === zone && other.now !== null).length;
  }

  private textOf({ item }: Task, zone: Zone): string {
    return (
      this.question.items.find(({ id }) => id === item)?.label ||
      Object.values(zone.typed?.accept ?? {})[0]?.[0] ||
      item
    );
  }

  /** A text with two letters the other way round, or that of another item. */
  private slip(text: string): string {
    const others = this.question.items.filter(({ label }) => label !== '' && label !== text);
    if (this.next() < 0.6 && others.length > 0) return others[Math.floor(this.next() * others.length)]?.label ?? text;
    const at = Math.floor(this.next() * Math.max(1, text.length - 1));
    return `${text.slice(0, at)}${text[at + 1] ?? ''}${text[at] ?? ''}${text.slice(at + 2)}`;
  }

  /** Where a zone is to be seen, if it stands still; null: it is put into by name. */
  private boxOf({ shape, rotation, ridesOn }: Zone): Box | null {
    return ridesOn === null ? (outlineOf(shape, rotation)?.box ?? null) : null;
  }

  /** Let go around the middle of a zone, as a hand does. */
  private drop({ item, copy }: Task, box: Box, zone: Zone): Meant {
    const size = this.question.items.find(({ id }) => id === item)?.size ?? { w: 0, h: 0 };
    const around = (low: number, length: number, own: number) => {
      // Where the whole item has to be in, it is let go with more care.
      const room =
        zone.reach.rule === 'inside' || zone.reach.rule === 'share' ? Math.max(0, length - own) / 2 : length * 0.42;
      return low + length / 2 + Math.max(-room, Math.min(room, normal(this.next) * room * 0.5));
    };
    const [px, py] = [around(box.x, box.w, size.w), around(box.y, box.h, size.h)].map(
      (one) => Math.round(one * 10) / 10,
    ) as [number, number];
    return { kind: 'drop', item, copy, x: px - size.w / 2, y: py - size.h / 2, px, py };
  }
}
