import { type Copy, itemOf, type Judged, type LearnerQuestion, learnerEdition, markSoFar, numberOf, type QuestionModel, type Standing, type Verdict } from '../../core';
import { type At, seedFor } from './standing';

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

export interface SittingView extends QuestionView {
  id: string;
  release: string;
  course: string;
  /** The number of the last move the server has. */
  last: number;
}

export function viewOf({ sitting, question, model, standing, last }: At): Omit<SittingView, 'release' | 'course'> {
  return { id: sitting.id, last, ...questionView(model, seedFor(sitting.seed, question), standing) };
}

function questionView(model: QuestionModel, seed: string, standing: Standing): QuestionView {
  const { question, names } = learnerEdition(model.question, seed);
  const name = namer(model, names.item);
  const best = markSoFar(model, standing.tries);
  return {
    question,
    board: boardView(model, standing, name, (zone) => names.zone.get(zone) as string),
    lastTry: standing.justChecked ? tryView(standing, name) : null,
    tries: standing.tries.length,
    best: best ? { mark: best.mark, max: best.max } : null,
    ended: standing.ended,
  };
}

export type Namer = (copy: Copy) => NamedCopy;
export const namer =
  (model: QuestionModel, names: ReadonlyMap<string, string>): Namer =>
  (copy) => ({ item: names.get(model.items[itemOf(copy)]?.id ?? '') as string, copy: numberOf(copy) });

function boardView(model: QuestionModel, { board }: Standing, name: Namer, zoneName: (id: string) => string): BoardView {
  const loose = [...board.letGo].filter(([copy]) => !board.zoneOf.has(copy));
  return {
    zones: board.zones.map((held, i) => ({
      zone: zoneName(model.zones[i]?.id ?? ''),
      held: held.map((copy) => ({ ...name(copy), ...board.letGo.get(copy), settled: board.settledAt.get(copy) ?? 0 })),
    })),
    loose: loose.map(([copy, at]) => ({ ...name(copy), ...at })),
  };
}

/** The last try in a learner's terms. This is the first thing that follows from the key, and goes out only when a check was asked for. */
export function tryView(standing: Standing, name: Namer): TryView | null {
  const last = standing.tries.at(-1);
  if (!last) return null;
  const { mark, max, fullMarks }: Judged = last.judged;
  return {
    number: standing.tries.length,
    mark,
    max,
    fullMarks,
    verdicts: [...last.verdicts].map(([copy, verdict]) => ({ ...name(copy), verdict })),
    goingHome: standing.goingHome.map(name),
  };
}
