import { create, type StoreApi, type UseBoundStore } from 'zustand';
import type { WasUp } from '../../contract';
import { drawnAnswer, type ModelPlacement, type Move, type Question, type Standing, untouched } from '../../core';
import type { MediaSource } from '../../scene/media';
import { type PlayerStore, playerStore, type Send } from '../player/store';
import type { SittingView } from '../player/types';
import { localSitting } from '../shared/localSitting';
import { benchMedia } from '../shared/ownMedia';

/** What was done with the question between two times that everything was put back. */
export interface Round {
  readonly up: readonly WasUp[];
  /** `at`: in milliseconds of the clock. */
  readonly moves: readonly { readonly move: Move; readonly at: number }[];
}

interface State {
  /** The page's state of the question; another one after each undo and putting back. */
  readonly player: PlayerStore;
  readonly canUndo: boolean;
  /** Verdicts are judged, but not shown. */
  readonly covered: boolean;
  /** How many items of the model answer are shown, and how many it has; null: it is not shown. */
  readonly steps: { readonly shown: number; readonly of: number } | null;
}

/** A question on the board: judged on the page, for as long as its window is open. */
export interface BoardQuestion {
  readonly document: Question;
  /** Where its items begin, as this drawing of the tray has it, in the order of the document. */
  readonly homes: readonly { readonly x: number; readonly y: number }[];
  readonly media: MediaSource;
  readonly state: UseBoundStore<StoreApi<State>>;
  /** Everything stands as at the beginning; those who are up now go on. Does nothing if nothing was moved. */
  putBack(): void;
  /** Takes back the last moves, or the last putting back. */
  undo(): void;
  cover(on: boolean): void;
  /** Shows one item more of the model answer; after the last one, the class's own again. */
  step(modelAnswer: readonly ModelPlacement[]): void;
  rounds(): readonly Round[];
}

interface Options {
  readonly seed: string;
  /** The address of a medium by its hash, kept for when the line is down. */
  readonly kept: (hash: string) => string | undefined;
  readonly up: () => readonly WasUp[];
  /** Called after each judgement: how many copies have newly come right, and whether all is right. */
  readonly onJudged: (newlyRight: number, allRight: boolean) => void;
}

/** On the board nothing is marked, and there are as many tries as are wanted. */
const forClass = (question: Question): Question => ({
  ...question,
  tries: null,
  show: { ...question.show, mark: false, modelAnswer: 'never', nextOnlyAfterCheck: false },
});

export function boardQuestion(whole: Question, { seed, kept, up, onJudged }: Options): BoardQuestion {
  let rounds: readonly Round[] = [{ up: up(), moves: [] }];
  /** Copies that have counted as right in this round. */
  let counted = new Set<string>();
  const past: { standing: Standing; rounds: readonly Round[]; counted: ReadonlySet<string> }[] = [];
  const now = () => past.push({ standing: sitting.standing(), rounds, counted });

  const sitting = localSitting(forClass(whole), {
    seed,
    full: () => null,
    onMoves: (moves) => {
      const at = Date.now();
      const last = rounds.at(-1) as Round;
      const made = {
        up: last.moves.length === 0 ? up() : last.up,
        moves: [...last.moves, ...moves.map((move) => ({ move, at }))],
      };
      rounds = [...rounds.slice(0, -1), made];
    },
  });
  /** Nothing is said while verdicts are covered. */
  const seen = <Answer extends Pick<SittingView, 'told' | 'answered'>>(answer: Answer): Answer =>
    state.getState().covered ? { ...answer, told: null, answered: [] } : answer;
  const send: Send = async (after, moves) => {
    now();
    const answer = await sitting.send(after, moves);
    if (!answer.ok) {
      past.pop();
      return answer;
    }
    const { told } = answer.value;
    if (told) {
      const right = told.verdicts.flatMap(({ item, copy, verdict }) => (verdict === 'right' ? `${item} ${copy}` : []));
      const newly = right.filter((copy) => !counted.has(copy));
      counted = new Set([...counted, ...newly]);
      onJudged(newly.length, told.try?.fullMarks === true);
    }
    state.setState({ canUndo: true, steps: null });
    return { ...answer, value: seen(answer.value) };
  };
  const opened = (view: SittingView) => playerStore(view, { send, stored: false, reopen: renew });
  const renew = () => state.setState({ player: opened(seen(sitting.view())), canUndo: past.length > 0, steps: null });

  const state = create<State>()(() => ({
    player: opened(sitting.view()),
    canUndo: false,
    covered: false,
    steps: null,
  }));
  const source = benchMedia(whole.media);
  const { question: edition } = sitting.view();
  const homes = new Map(edition.items.map(({ id, home }) => [sitting.names.itemId.get(id), home]));
  return {
    document: sitting.model.question,
    homes: sitting.model.question.items.map(({ id }, i) => homes.get(id) ?? sitting.model.homes[i] ?? { x: 0, y: 0 }),
    media: (name) => {
      const shown = source(sitting.names.mediumId.get(name) ?? '');
      return shown && { ...shown, url: kept(shown.url) ?? shown.url };
    },
    state,
    putBack: () => {
      if (rounds.at(-1)?.moves.length === 0) return;
      now();
      rounds = [...rounds, { up: up(), moves: [] }];
      counted = new Set();
      sitting.restore(untouched(sitting.model));
      renew();
    },
    undo: () => {
      const before = past.pop();
      if (!before) return;
      ({ rounds } = before);
      counted = new Set(before.counted);
      sitting.restore(before.standing);
      renew();
    },
    cover: (covered) => {
      state.setState({ covered });
      renew();
    },
    step: (modelAnswer) => {
      const placements = drawnAnswer(sitting.model, modelAnswer) ?? [];
      const shown = (state.getState().steps?.shown ?? 0) + 1;
      const { player } = state.getState();
      if (shown > placements.length) {
        player.getState().showModel(false);
        state.setState({ steps: null });
        return;
      }
      player.setState({ modelAnswer: sitting.arranged(placements.slice(0, shown)) });
      player.getState().showModel(true);
      state.setState({ steps: { shown, of: placements.length } });
    },
    rounds: () => rounds.filter(({ moves }) => moves.length > 0),
  };
}
