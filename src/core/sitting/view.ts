import type { Rich } from '../document/rich';
import { type Copy, itemOf, numberOf, type QuestionModel } from '../judge/model';
import { markSoFar, type Standing } from '../judge/replay';
import type { Verdict } from '../judge/verdict';
import type { Judged } from '../marks/mark';
import { type LearnerQuestion, learnerEdition, type Names } from './learnerEdition';

/** A copy in a learner's terms: the item's drawn name, and which copy of it. */
export interface NamedCopy {
  item: string;
  copy: number;
}

/** Where things stand, in a learner's terms: enough to draw the page again after a reload. */
export interface BoardView {
  /** By zone, in the zone's order. `x`, `y`: where it was let go, for zones that keep it there. */
  zones: { zone: string; held: (NamedCopy & { x?: number; y?: number; settled: number })[] }[];
  loose: (NamedCopy & { x: number; y: number })[];
}

export interface TryView {
  number: number;
  mark: number;
  max: number;
  fullMarks: boolean;
  /** What the author says of such an answer. */
  words: Rich | null;
  verdicts: (NamedCopy & { verdict: Verdict })[];
  goingHome: NamedCopy[];
}

export interface QuestionView {
  question: LearnerQuestion;
  board: BoardView;
  /** The last check, as long as nothing was moved since. */
  lastTry: TryView | null;
  tries: number;
  best: { mark: number; max: number } | null;
  ended: boolean;
}

/** A question as it stands, in the terms of one sitting. */
export function questionView(model: QuestionModel, seed: string, standing: Standing): QuestionView {
  const { question, names } = learnerEdition(model.question, seed);
  const best = markSoFar(model, standing.tries);
  return {
    question,
    board: boardView(model, standing, names),
    lastTry: standing.justChecked ? tryView(model, standing, namer(model, names.item)) : null,
    tries: standing.tries.length,
    best: best ? { mark: best.mark, max: best.max } : null,
    ended: standing.ended,
  };
}

export type Namer = (copy: Copy) => NamedCopy;
export const namer =
  (model: QuestionModel, names: ReadonlyMap<string, string>): Namer =>
  (copy) => ({ item: names.get(model.items[itemOf(copy)]?.id ?? '') as string, copy: numberOf(copy) });

export function boardView(model: QuestionModel, { board }: Standing, names: Names): BoardView {
  const name = namer(model, names.item);
  const loose = [...board.letGo].filter(([copy]) => !board.zoneOf.has(copy));
  return {
    zones: board.zones.map((held, i) => ({
      zone: names.zone.get(model.zones[i]?.id ?? '') as string,
      held: held.map((copy) => ({ ...name(copy), ...board.letGo.get(copy), settled: board.settledAt.get(copy) ?? 0 })),
    })),
    loose: loose.map(([copy, at]) => ({ ...name(copy), ...at })),
  };
}

/** The last try in a learner's terms. This is the first thing that follows from the key, and goes out only when a check was asked for. */
export function tryView(model: QuestionModel, standing: Standing, name: Namer): TryView | null {
  const last = standing.tries.at(-1);
  if (!last) return null;
  const { mark, max, fullMarks, fraction }: Judged = last.judged;
  const { feedback } = model.question;
  return {
    number: standing.tries.length,
    mark,
    max,
    fullMarks,
    words: (fullMarks ? feedback.right : fraction > 0 ? feedback.partly : feedback.wrong)?.text ?? null,
    verdicts: [...last.verdicts].map(([copy, verdict]) => ({ ...name(copy), verdict })),
    goingHome: standing.goingHome.map(name),
  };
}
