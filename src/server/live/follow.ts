import type { LiveCounts, LiveLearner, LiveQuestion } from '../../contract';
import {
  applyMove,
  cloneBoard,
  isKeyed,
  itemOf,
  type Move,
  type QuestionModel,
  type Standing,
  untouched,
} from '../../core';

/** An attempt as far as its moves are known. */
export interface Followed {
  readonly sittingId: string;
  readonly learnerId: string;
  readonly number: number;
  readonly edition: number;
  readonly startedAt: number;
  readonly finishedAt: number | null;
  readonly reopenedAfter: number;
  /** The places of its questions: by index in the edition, from 1. */
  readonly places: ReadonlyMap<number, number>;
  readonly modelOf: (question: number) => QuestionModel | undefined;
  /** The number of the last move. */
  last: number;
  question: number | null;
  movedAt: number | null;
  readonly standings: Map<number, Standing>;
}

/** Takes one more move. What cannot be taken (it was made in another edition) is passed over. */
export function follow(
  attempt: Followed,
  {
    n,
    question,
    body,
    at,
  }: { readonly n: number; readonly question: number; readonly body: Move; readonly at: number },
): void {
  if (n <= attempt.last) return;
  attempt.last = n;
  const model = attempt.modelOf(question);
  if (!model) return;
  attempt.question = question;
  attempt.movedAt = at;
  const standing = attempt.standings.get(question) ?? untouched(model);
  const taken = applyMove(model, { ...standing, board: cloneBoard(standing.board) }, body);
  if (taken.ok) attempt.standings.set(question, taken.standing);
}

const iso = (at: number | null) => (at === null ? null : new Date(at).toISOString());

export function liveLearner(attempt: Followed, name: string): LiveLearner {
  const { question } = attempt;
  const model = question === null ? undefined : attempt.modelOf(question);
  const standing = question === null ? undefined : attempt.standings.get(question);
  return {
    learnerId: attempt.learnerId,
    name,
    sittingId: attempt.sittingId,
    number: attempt.number,
    question,
    place: question === null ? null : (attempt.places.get(question) ?? null),
    tries: standing?.tries.count ?? 0,
    placed: model && standing ? placedIn(model, standing) : 0,
    of: model ? toPlace(model) : null,
    startedAt: iso(attempt.startedAt),
    movedAt: iso(attempt.movedAt),
    finishedAt: iso(attempt.finishedAt),
  };
}

export const notBegun = (learnerId: string, name: string): LiveLearner => ({
  ...{ learnerId, name, sittingId: null, number: 1, question: null, place: null, tries: 0, placed: 0, of: null },
  ...{ startedAt: null, movedAt: null, finishedAt: null },
});

/** Copies in zones, typed words, and where zones are hidden what lies anywhere. */
const placedIn = ({ zones }: QuestionModel, { board }: Standing): number =>
  new Set([
    ...board.zoneOf.keys(),
    ...(zones.some(({ outline, isSlot }) => !outline && !isSlot) ? board.letGo.keys() : []),
  ]).size + board.texts.size;

/** How many there are to place; null: where something is picked, or there is no end of copies, no number says it. */
function toPlace({ question }: QuestionModel): number | null {
  if (question.items.some(({ stays, copies }) => stays || copies === 'endless')) return null;
  const copies = question.items.reduce((sum, { copies }) => sum + (copies === 'endless' ? 0 : copies), 0);
  return copies > 0 ? copies : null;
}

export const liveQuestion = (model: QuestionModel): LiveQuestion => ({
  title: model.question.title,
  items: model.question.items.map(({ label, id }) => label || id),
  zones: model.question.zones.map(({ label, id }) => label || id),
  keyed: model.question.items.map((_, item) => model.question.zones.map((_, zone) => isKeyed(model, zone, item))),
});

/** How many attempts have each item in each zone now; items and zones as in the whole question. */
export function countsOf(model: QuestionModel, question: number, attempts: Iterable<Followed>): LiveCounts {
  const counts = model.question.items.map(() => model.question.zones.map(() => 0));
  for (const attempt of attempts) {
    const standing = attempt.standings.get(question);
    const drawn = standing && attempt.modelOf(question);
    if (!drawn) continue;
    // Several copies of an item in one zone are one attempt that has it there.
    const seen = new Set<string>();
    for (const [copy, zone] of standing.board.zoneOf) {
      const item = model.itemAt.get(drawn.question.items[itemOf(copy)]?.id ?? '');
      const key = `${item} ${zone}`;
      if (item === undefined || seen.has(key)) continue;
      seen.add(key);
      const row = counts[item];
      if (row) row[zone] = (row[zone] ?? 0) + 1;
    }
  }
  return counts;
}
