import { useMemo } from 'react';
import { type Board, type Copy, copyNamed, itemOf, type LearnerQuestion, type SceneModel } from '../../core';
import { plain } from './plain';
import { boardFrom, type Shown, shownCopies } from './scene/board';
import type { PlayerState, PlayerStore } from './store';
import { itemName, VERDICTS, zoneName } from './words';

export interface Displayed {
  readonly board: Board;
  readonly shown: readonly Shown[];
  /** Nothing can be moved now. */
  readonly locked: boolean;
}

/** The arrangement that is drawn: the learner's, or the model answer while it is shown. */
export function useDisplayed(store: PlayerStore): Displayed {
  const model = store((s) => s.model);
  const own = store((s) => s.board);
  const waiting = store((s) => s.waiting);
  const modelAnswer = store((s) => (s.showsModel ? s.modelAnswer : null));
  const locked = store((s) => s.ended || s.checking || s.showsModel || s.connection === 'takenOver');
  const board = useMemo(() => (modelAnswer ? boardFrom(model, modelAnswer) : own), [model, modelAnswer, own]);
  const shown = useMemo(
    () => shownCopies(model, board, modelAnswer ? new Map() : waiting),
    [model, board, modelAnswer, waiting],
  );
  return { board, shown, locked };
}

/** The name of a copy for screen readers: its label, place, verdict and feedback. */
export function spokenOf(state: PlayerState, { copy, item, zone, home, heap }: Shown): string {
  const where =
    zone !== null
      ? `in ${zoneName(state, zone)}`
      : home
        ? 'not placed'
        : state.waiting.has(copy)
          ? 'waiting to be judged'
          : 'outside every zone';
  const many = heap === null ? ', as many as you like' : heap > 1 ? `, ${heap} of them` : '';
  const verdict = state.showsModel ? '' : VERDICTS[state.verdicts.get(copy) ?? 'none'];
  const said = state.showsModel
    ? undefined
    : state.told?.says.find(({ of: namedCopy }) => namedCopy && copyNamed(state.model, namedCopy) === copy);
  return `${itemName(state, item)}, ${where}${many}${verdict}${said ? `. ${plain(said.said.text)}` : ''}`;
}

/** What the values of the items in a zone add up to, where learners see it; null: nothing in it has a value. */
export function totalIn(question: LearnerQuestion, board: Board, zone: number): number | null {
  const values = question.show.runningTotal
    ? (board.zones[zone] ?? []).flatMap((copy) => question.items[itemOf(copy)]?.value ?? [])
    : [];
  return values.length === 0 ? null : Math.round(values.reduce((sum, value) => sum + value, 0) * 1e6) / 1e6;
}

/** Copies that lie under a shut lid, with all they carry. */
export function underLids(model: SceneModel, board: Board, shut: ReadonlySet<number>): Set<Copy> {
  const under = new Set<Copy>();
  const gather = (zone: number) => {
    for (const copy of board.zones[zone] ?? []) {
      under.add(copy);
      for (const carried of model.items[itemOf(copy)]?.carries ?? []) gather(carried);
    }
  };
  for (const zone of shut) gather(zone);
  return under;
}
