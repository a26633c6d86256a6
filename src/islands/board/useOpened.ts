import { useRef } from 'react';
import type { Question } from '../../core';
import { type BoardQuestion, boardQuestion } from './boardQuestion';
import type { ClassStore } from './classState';
import { teamName } from './signs';
import type { BoardClock } from './useBoardClock';
import { whoIsUp } from './whoIsUp';

interface Options {
  readonly questions: readonly Question[];
  readonly store: ClassStore;
  /** What everything is drawn by. */
  readonly seed: string;
  readonly kept: (url: string) => string | undefined;
  readonly clock: BoardClock;
  /** Each team has the question on its own half. */
  readonly racing: boolean;
  readonly onNotice: (words: string) => void;
}

export interface Opened {
  /** A question on one half of the board, or on all of it (0); null: there is none at this place. */
  readonly open: (at: number, half: number) => BoardQuestion | null;
  /** Every question that was opened, on whichever half. */
  readonly all: () => readonly BoardQuestion[];
  /** Another race begins. */
  readonly startAnew: () => void;
}

/** The questions of the board: each stays as the class has left it while others are played. */
export function useOpened(options: Options): Opened {
  const latest = useRef(options);
  latest.current = options;
  const opened = useRef(new Map<string, BoardQuestion>());
  const isWon = useRef(false);

  const judged = (half: number, id: string, newlyRight: number, allRight: boolean) => {
    const { store, clock, racing, onNotice } = latest.current;
    const { teams, teamUp, best } = store.getState();
    if (teams.length > 0) store.getState().count(racing ? half : teamUp, newlyRight);
    if (!allRight || (racing && isWon.current)) return;
    if (racing) {
      isWon.current = true;
      onNotice(`${teamName(teams[half]?.sign ?? half)} has all of it right first.`);
    }
    const seconds = clock.gone();
    if (!clock.isRunning && seconds === 0) return;
    clock.stop();
    const day = new Date().toDateString();
    if (best[id]?.day !== day || seconds < (best[id]?.seconds ?? Number.POSITIVE_INFINITY))
      store.getState().setBest(id, day, seconds);
  };
  return {
    open: (at, half) => {
      const { questions, store, seed, kept } = latest.current;
      const whole = questions[at];
      if (!whole) return null;
      const place = `${at} ${half}`;
      const known = opened.current.get(place);
      if (known) return known;
      const made = boardQuestion(whole, {
        seed: `${seed} ${at}`,
        kept,
        up: () => whoIsUp(store),
        onJudged: (newlyRight, allRight) => judged(half, whole.id, newlyRight, allRight),
      });
      opened.current.set(place, made);
      return made;
    },
    all: () => [...opened.current.values()],
    startAnew: () => {
      isWon.current = false;
    },
  };
}
