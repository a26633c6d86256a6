import { useCallback } from 'react';
import { type Copy, itemOf, type Outcome } from '../../core';
import { nameOf, type PlayerStore } from './store';
import type { LocalMove } from './types';
import { outcomeInWords } from './words';

export interface Moving {
  readonly make: (copy: Copy, move: LocalMove) => Outcome | null;
  /** Puts a copy into a zone by name; `zone` null: home. `at`: its place in the zone's order, else the last. */
  readonly put: (copy: Copy, zone: number | null, at?: number) => void;
}

/** Makes moves on the page, and announces their outcome. */
export function useMoving(store: PlayerStore, say: (words: string) => void): Moving {
  const make = useCallback(
    (copy: Copy, move: LocalMove) => {
      const outcome = store.getState().move(move);
      if (!outcome) {
        store.getState().cancel();
        return null;
      }
      const state = store.getState();
      const words = outcomeInWords(state, copy, outcome, outcome.to === 'zone' && state.shut.has(outcome.zone));
      say(words);
      if (outcome.to === 'turnedAway') store.setState({ notice: words });
      if (outcome.to === 'refused') state.cancel();
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
