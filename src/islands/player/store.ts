import { create, type StoreApi, type UseBoundStore } from 'zustand';
import { type Board, type Copy, cloneBoard, copyOf, emptyBoard, itemOf, numberOf, type Outcome, type SceneModel, sceneModel, sendHome, take, type Verdict } from '../../core';
import { type ApiResult, api } from '../../ui/api';
import { boardFrom } from './board';
import { keepOutbox, readOutbox } from './outbox';
import type { Answer, LocalMove, NamedCopy, SentMove, SittingView, TryView } from './types';

type Line = 'kept' | 'sending' | 'down' | 'signedOut' | 'failed';

export interface PlayerState {
  readonly view: SittingView;
  readonly model: SceneModel;
  readonly board: Board;
  readonly verdicts: ReadonlyMap<Copy, Verdict>;
  /** The last check, until the learner goes on. */
  readonly lastTry: TryView | null;
  readonly tries: number;
  readonly best: { mark: number; max: number } | null;
  readonly ended: boolean;
  readonly line: Line;
  readonly checking: boolean;
  /** Picked up by a press, to be put down by another. */
  readonly held: Copy | null;
  readonly notice: string;

  hold(copy: Copy | null): void;
  move(move: LocalMove): Outcome | null;
  goOn(): void;
  check(): void;
  flush(): Promise<void>;
}
export type PlayerStore = UseBoundStore<StoreApi<PlayerState>>;

const RETRY_MS = 3000;

/** How moves get to whoever has the key: the server, or at the Bench the rehearsal beside it. */
export type Send = (after: number, moves: readonly SentMove[]) => Promise<ApiResult<Answer>>;

const toServer =
  (sitting: string): Send =>
  (after, moves) =>
    api<Answer>('POST', `/api/sittings/${sitting}/moves`, { question: 0, after, moves });

/** The state of one sitting in one page. Moves are taken here at once, by the same core as on the server, and sent after. `kept` false: nothing outlives the page. */
export function playerStore(view: SittingView, send: Send = toServer(view.id), kept = true): PlayerStore {
  let last = view.last;
  let waiting: SentMove[] = [];
  let sending = false;
  let retry: ReturnType<typeof setTimeout> | undefined;

  const remember = () => kept && keepOutbox(view.id, { after: last, moves: waiting });

  const store = create<PlayerState>()((set, get) => {
    const named = ({ item, copy }: NamedCopy) => copyOf(get().model.itemAt.get(item) as number, copy);

    /** The board after the wrong ones have gone home, if the last check left some to go. */
    const goneOn = (): Board => {
      const board = cloneBoard(get().board);
      for (const copy of get().lastTry?.goingHome ?? []) sendHome(get().model, board, named(copy));
      return board;
    };

    const apply = (move: LocalMove): Outcome | null => {
      const { model } = get();
      const board = move.kind === 'reset' ? emptyBoard(model) : goneOn();
      const outcome = move.kind === 'drop' || move.kind === 'put' ? take(model, board, move, null) : null;
      if (outcome?.to === 'refused') return outcome;
      set({ board, verdicts: new Map(), lastTry: null, held: null, notice: '' });
      return outcome;
    };

    const queue = (move: LocalMove) => {
      waiting.push({ ...move, id: crypto.randomUUID() });
      remember();
      void get().flush();
    };

    const adopt = (answer: Answer, checked: boolean) => {
      const { lastTry } = answer;
      set({ tries: answer.tries, best: answer.best, ended: answer.ended });
      // While others are on their way, the arrangement of the last of them is the one that counts.
      if (answer.board && waiting.length === 0) set({ board: boardFrom(get().model, answer.board) });
      if (checked) set({ lastTry, checking: false, verdicts: new Map(lastTry?.verdicts.map((v) => [named(v), v.verdict])) });
    };

    return {
      ...fromView(view),
      line: 'kept',
      checking: false,
      held: null,
      notice: '',

      hold: (copy) => set({ held: get().ended ? null : copy }),

      move: (move) => {
        if (get().ended || get().checking) return null;
        const outcome = apply(move);
        if (outcome?.to !== 'refused') queue(move);
        return outcome;
      },

      goOn: () => set({ board: goneOn(), verdicts: new Map(), lastTry: get().lastTry && { ...(get().lastTry as TryView), goingHome: [] } }),

      check: () => {
        if (get().ended || get().checking) return;
        set({ checking: true, held: null });
        queue({ kind: 'check' });
      },

      flush: async () => {
        if (sending || waiting.length === 0) return;
        clearTimeout(retry);
        sending = true;
        set({ line: 'sending' });
        const batch = [...waiting];
        const result = await send(last, batch);
        sending = false;
        if (result.ok) {
          last = result.value.last;
          waiting = waiting.slice(batch.length);
          remember();
          set({ line: 'kept' });
          adopt(
            result.value,
            batch.some((m) => m.kind === 'check'),
          );
          return get().flush();
        }
        const { code, message, detail } = result.error;
        if (code === 'sittingMovedOn' || code === 'alreadyEnded' || code === 'invalid') {
          // The server's arrangement stands. Without one in the answer, the page is drawn anew from it.
          waiting = [];
          remember();
          if (code !== 'sittingMovedOn') return location.reload();
          const there = { ...view, ...(detail as Partial<SittingView>) };
          last = there.last;
          return set({ ...fromView(there), line: 'kept', checking: false, held: null, notice: `${message}. The page now shows where you are.` });
        }
        if (code === 'notSignedIn' || code === 'notAllowed') return set({ line: 'signedOut', checking: false });
        set({ line: code === 'offline' || code === 'unavailable' ? 'down' : 'failed' });
        retry = setTimeout(() => void get().flush(), RETRY_MS);
      },
    };
  });

  const box = kept ? readOutbox(view.id) : null;
  if (box && box.after <= view.last) {
    // Moves made before a reload that the server has not confirmed: it takes those it does not know, in order and once.
    waiting = box.moves;
    last = box.after;
    if (waiting.some((m) => m.kind === 'check')) store.setState({ checking: true });
    void replayKept(store);
  }
  return store;
}

/** Sends what was kept, then shows what the server makes of it. */
async function replayKept(store: PlayerStore): Promise<void> {
  await store.getState().flush();
  if (store.getState().line === 'kept' && !store.getState().notice) location.reload();
}

function fromView(view: SittingView): Pick<PlayerState, 'view' | 'model' | 'board' | 'verdicts' | 'lastTry' | 'tries' | 'best' | 'ended'> {
  const model = sceneModel(view.question);
  const copy = ({ item, copy: number }: NamedCopy) => copyOf(model.itemAt.get(item) as number, number);
  return {
    view,
    model,
    board: boardFrom(model, view.board),
    verdicts: new Map(view.lastTry?.verdicts.map((v) => [copy(v), v.verdict])),
    lastTry: view.lastTry,
    tries: view.tries,
    best: view.best,
    ended: view.ended,
  };
}

/** A copy's name as the server and the moves know it. */
export const nameOf = (model: SceneModel, copy: Copy): NamedCopy => ({ item: model.items[itemOf(copy)]?.id ?? '', copy: numberOf(copy) });
