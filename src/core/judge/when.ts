import type { Fixture, Question } from '../document/schema';
import type { Judged } from '../marks/mark';
import { holdsByArrangement, isPutAway, type WhenEvent } from './arranged';
import type { Board } from './board';
import { type Copy, itemOf } from './copy';
import type { QuestionModel } from './model';
import type { Verdict } from './verdict';

// Fixtures that answer what happens (`fixtures[].when`).

/** Does the event rest on the key? Learners then get it with a verdict, never before. */
export function restsOnKey({ zones }: Pick<Question, 'zones'>, { on, zone: id, item }: WhenEvent): boolean {
  if (on === 'right' || on === 'partly' || on === 'wrong') return true;
  const zone = zones.find((candidate) => candidate.id === id);
  // Which item a typed text is read as, the key says.
  return zone !== undefined && (zone.hidden || (zone.typed !== null && item !== undefined));
}

interface JudgedBoard {
  readonly judged: Judged;
  readonly verdicts: ReadonlyMap<Copy, Verdict>;
}

/** Does an event of a verdict hold? */
function holdsByVerdict(
  model: QuestionModel,
  board: Board,
  { judged, verdicts }: JudgedBoard,
  { on, zone: zoneId, item: itemId }: WhenEvent,
): boolean {
  const zone = zoneId === undefined ? null : (model.zoneAt.get(zoneId) ?? -1);
  if (itemId !== undefined) {
    const item = model.itemAt.get(itemId);
    return [...verdicts].some(
      ([copy, verdict]) =>
        itemOf(copy) === item && verdict === on && (zone === null || board.zoneOf.get(copy) === zone),
    );
  }
  if (zone === null) {
    if (judged.fullMarks) return on === 'right';
    return on === (judged.fraction > 0 ? 'partly' : 'wrong');
  }
  const tally = judged.tallies.find(({ entry }) => entry.zone === zone);
  if (!tally) return false;
  if (tally.satisfied) return on === 'right';
  const some = (board.zones[zone] ?? []).some((copy) => verdicts.get(copy) === 'right');
  return on === (some ? 'partly' : 'wrong');
}

/**
 * The fixtures, by their index, whose events hold now: those that follow from the arrangement, and those that rest on
 * the key, which hold only of an arrangement that was judged.
 */
export function answeringNow(
  model: QuestionModel,
  board: Board,
  judged: JudgedBoard | null,
): { readonly seen: readonly number[]; readonly told: readonly number[] } {
  const { question } = model;
  const putsAway = (item: number) => isPutAway(question, question.items[item]?.look ?? null);
  const seen: number[] = [];
  const told: number[] = [];
  for (const [i, { when }] of question.fixtures.entries()) {
    if (!when) continue;
    const byKey = (event: WhenEvent) => restsOnKey(question, event);
    if (when.events.some((event) => !byKey(event) && holdsByArrangement(model, board, putsAway, event))) seen.push(i);
    if (
      judged &&
      when.events.some(
        (event) =>
          byKey(event) &&
          (holdsByVerdict(model, board, judged, event) || holdsByArrangement(model, board, putsAway, event)),
      )
    )
      told.push(i);
  }
  return { seen, told };
}

/** The fixtures that have answered and stay so until everything is put back, apart by what it rested on. */
export interface Answered {
  readonly seen: readonly number[];
  readonly told: readonly number[];
}
export const NOTHING_ANSWERED: Answered = { seen: [], told: [] };

/** With what holds now; the same object where nothing is new. */
export function answeredWith(
  model: QuestionModel,
  before: Answered,
  board: Board,
  judged: JudgedBoard | null,
): Answered {
  const { fixtures } = model.question;
  if (!fixtures.some(({ when }) => when?.until === 'reset')) return before;
  const now = answeringNow(model, board, judged);
  const joined = (old: readonly number[], more: readonly number[]) => {
    const added = more.filter((i) => fixtures[i]?.when?.until === 'reset' && !old.includes(i));
    return added.length === 0 ? old : [...old, ...added];
  };
  const [seen, told] = [joined(before.seen, now.seen), joined(before.told, now.told)];
  return seen === before.seen && told === before.told ? before : { seen, told };
}

/** Is the fixture there only after a verdict? */
export const isTold = (question: Question, { when }: Fixture): boolean =>
  when?.does === 'appears' && when.events.every((event) => restsOnKey(question, event));
