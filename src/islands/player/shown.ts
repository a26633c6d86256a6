import { useMemo } from 'react';
import { type Board, type Copy, copyNamed, itemOf, type LearnerQuestion, type SceneModel } from '../../core';
import { phrase } from '../../words';
import { plain } from './plain';
import { boardFrom, type Shown, shownCopies } from './scene/board';
import type { PlayerState, PlayerStore } from './store';
import { itemName, listed, namedPlace, placeInWords, verdictInWords, zoneName } from './words';

export interface Displayed {
  readonly board: Board;
  /** Nothing can be moved now. */
  readonly locked: boolean;
}

/** The arrangement that is drawn: the learner's, or the model answer while it is shown. */
export function useDisplayed(store: PlayerStore): Displayed {
  const model = store((s) => s.model);
  const own = store((s) => s.board);
  const modelAnswer = store((s) => (s.showsModel ? s.modelAnswer : null));
  const locked = store((s) => s.ended || s.checking || s.showsModel || s.connection === 'takenOver');
  const board = useMemo(() => (modelAnswer ? boardFrom(model, modelAnswer) : own), [model, modelAnswer, own]);
  return { board, locked };
}

/** The copies that are drawn, where they stand on a scene: the question's own, or one that is laid out for the page. */
export function useShown(store: PlayerStore, board: Board, model: SceneModel): readonly Shown[] {
  const waiting = store((s) => s.waiting);
  const showsModel = store((s) => s.showsModel);
  return useMemo(
    () => shownCopies(model, board, showsModel ? new Map() : waiting),
    [model, board, showsModel, waiting],
  );
}

/** The name of a copy for screen readers: its label, place, verdict and feedback. */
export function spokenOf(state: PlayerState, { copy, item, zone, home, heap, at }: Shown): string {
  const { stays = false } = state.view.question.items[item] ?? {};
  const spot = home || zone !== null ? '' : namedPlace(state, item, at);
  const where =
    zone !== null
      ? inZone(state, copy, zone)
      : home
        ? phrase('player.notPlaced')
        : state.waiting.has(copy)
          ? listed(spot ? phrase('player.saidAt', { place: spot }) : '', phrase('player.waiting'))
          : spot
            ? phrase('player.saidAt', { place: spot })
            : phrase('player.outside');
  const many = heap === null ? phrase('player.endless') : heap > 1 ? phrase('player.several', { n: heap }) : '';
  const verdict = state.showsModel ? '' : verdictInWords(state.verdicts.get(copy) ?? 'none');
  const said = state.showsModel
    ? undefined
    : state.told?.says.find(({ of: namedCopy }) => namedCopy && copyNamed(state.model, namedCopy) === copy);
  // Whether what stays in its place is picked, its role says.
  const name = listed(itemName(state, item), ...(stays ? [] : [where, many]), verdict);
  return said ? `${name}. ${plain(said.said.text)}` : name;
}

function inZone(state: PlayerState, copy: Copy, zone: number): string {
  const place = placeInWords(state, copy);
  const into = { zone: zoneName(state, zone) };
  return place ? phrase('player.saidInPlace', { ...into, place }) : phrase('player.saidIn', into);
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
