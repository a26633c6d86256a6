import { useCallback } from 'react';
import { type Copy, candidates, itemOf, meet, type Outcome, outlineNow } from '../../core';
import { nameOf, type PlayerState, type PlayerStore } from './store';
import type { LocalMove } from './types';
import { namedPlace, outcomeInWords } from './words';

/** The zone of its family that a copy lies over most, where it does not reach it; null: none, or it reaches one. */
function lyingOver(
  { model, board }: Pick<PlayerState, 'model' | 'board'>,
  copy: Copy,
  { x, y }: { readonly x: number; readonly y: number },
): number | null {
  if (model.hides) return null;
  const item = model.items[itemOf(copy)];
  if (!item || candidates(model, board, copy, { x, y }, null).length > 0) return null;
  const box = { x, y, w: item.w, h: item.h };
  const near = model.zones.findIndex(({ outline, family, isTyped }, zone) => {
    const there = outline && !isTyped ? outlineNow(model, board, zone)?.box : null;
    return there && (family === null || family === item.family) && meet(box, there);
  });
  return near < 0 ? null : near;
}

export interface Moving {
  readonly make: (copy: Copy, move: LocalMove) => Outcome | null;
  /** Puts a copy into a zone by name; `zone` null: home. `at`: its place in the zone's order, else the last. */
  readonly put: (copy: Copy, zone: number | null, at?: number) => void;
}

/** Makes moves on the page, and announces their outcome. */
export function useMoving(store: PlayerStore, say: (words: string) => void): Moving {
  const make = useCallback(
    (copy: Copy, move: LocalMove) => {
      const over = 'x' in move ? lyingOver(store.getState(), copy, move) : null;
      const outcome = store.getState().move(move);
      if (!outcome) {
        store.getState().cancel(copy);
        return null;
      }
      const state = store.getState();
      const shut = outcome.to === 'zone' && state.shut.has(outcome.zone);
      const at = 'x' in move ? namedPlace(state, itemOf(copy), move) : '';
      const words = outcomeInWords(state, copy, outcome, { shut, over, at });
      say(words);
      if (outcome.to === 'turnedAway' || (outcome.to === 'home' && over !== null)) store.setState({ notice: words });
      if (outcome.to === 'refused') state.cancel(copy);
      return outcome;
    },
    [store, say],
  );
  const put = useCallback(
    (copy: Copy, zone: number | null, at?: number) => {
      const { model } = store.getState();
      if (model.items[itemOf(copy)])
        make(copy, {
          kind: 'put',
          ...nameOf(model, copy),
          zone: zone === null ? null : (model.zones[zone]?.id ?? null),
          ...(at === undefined ? {} : { at }),
        });
    },
    [store, make],
  );
  return { make, put };
}
