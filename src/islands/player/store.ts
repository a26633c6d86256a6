import { create, type StoreApi, type UseBoundStore } from 'zustand';
import type { Board, Copy, Outcome } from '../../core';
import { type Outbox, outbox, type Send } from './outbox';
import { dataOf, moveItem, nextBoard, type PlayerData, type PlayerEvent, playerReducer } from './reducer';
import type { LocalMove, SittingView } from './types';
import { readUnsent, storeUnsent } from './unsent';

export { nameOf, placeOf } from './reducer';
export type { Send };

/** One question on the page, and what can be done with it. */
export interface PlayerState extends PlayerData {
  hold(copy: Copy | null): void;
  /** A gesture picked a copy up, is over a zone, or cancelled. */
  pickUp(copy: Copy): void;
  over(copy: Copy, zone: number | null): void;
  cancel(copy: Copy): void;
  move(move: LocalMove): Outcome | null;
  /** Copies were let go with the first at a place of the scene. */
  comeToRest(copies: readonly Copy[], from: { readonly x: number; readonly y: number }): void;
  goOn(): void;
  check(): void;
  hint(): void;
  /** The board for the next move, after wrong copies have gone home. */
  next(): Board;
  point(copy: Copy | null): void;
  turnLid(zone: number): void;
  showModel(on: boolean): void;
  /** Sends the remaining moves; true: all of them are saved. */
  flush(): Promise<boolean>;
  /** Another window has taken the attempt over. */
  stop(): void;
}
export type PlayerStore = UseBoundStore<StoreApi<PlayerState>>;

/** How long a passing state is shown, in milliseconds. */
const MOMENT_MS = 900;

export interface PlayerOptions {
  readonly send: Send;
  /** True if unsent moves are stored in the browser. */
  readonly stored: boolean;
  /** The attempt has changed elsewhere and has to be opened again. */
  readonly reopen: () => void;
}

/**
 * The state of one question on the page: events go through the reducer, moves through the outbox to whoever judges
 * them.
 */
export function playerStore(view: SittingView, { send, stored, reopen }: PlayerOptions): PlayerStore {
  const place = { sitting: view.id, question: view.place.at };
  let passing: ReturnType<typeof setTimeout> | undefined;

  const dispatch = (event: PlayerEvent) => store.setState((state) => playerReducer(state, event));
  const passBy = () => {
    clearTimeout(passing);
    passing = setTimeout(() => dispatch({ kind: 'momentOver' }), MOMENT_MS);
  };

  const box: Outbox = outbox({
    after: view.last,
    send,
    stopped: () => store.getState().connection === 'takenOver',
    store: (unsent) => stored && storeUnsent(place, unsent),
    onSending: () => {
      if (store.getState().connection !== 'offline') dispatch({ kind: 'connection', connection: 'sending' });
    },
    onSent: (answer, batch, more) => {
      const { states } = store.getState();
      dispatch({ kind: 'answered', answer, batch, more });
      if (store.getState().states !== states) passBy();
    },
    onRefused: (refusal, { code, message, detail }) => {
      // Without the server's state in the answer, the page is loaded again.
      if (refusal !== 'outdated') dispatch({ kind: 'connection', connection: refusal });
      else if (code === 'sittingMovedOn' && detail) replace({ ...view, ...(detail as Partial<SittingView>) }, message);
      else reopen();
    },
  });
  const replace = (now: SittingView, message: string) => {
    box.restart(now.last);
    dispatch({ kind: 'replaced', view: now, message });
  };

  const store: PlayerStore = create<PlayerState>()((set, get) => ({
    ...dataOf(view),
    hold: (copy) => dispatch({ kind: 'held', copy }),
    pickUp: (copy) => dispatch({ kind: 'pickedUp', copy }),
    over: (copy, zone) => dispatch({ kind: 'over', copy, zone }),
    cancel: (copy) => dispatch({ kind: 'cancelled', copy }),
    move: (move) => {
      if (isShut(get())) return null;
      const { state, outcome } = moveItem(get(), move);
      if (outcome?.to === 'refused') return outcome;
      set(state);
      if (outcome) passBy();
      box.add(move);
      return outcome;
    },
    comeToRest: (copies, from) => dispatch({ kind: 'letGo', copies, from }),
    goOn: () => dispatch({ kind: 'continued' }),
    check: () => {
      if (isShut(get())) return;
      dispatch({ kind: 'checking' });
      box.add({ kind: 'check' });
    },
    hint: () => {
      if (get().hintsLeft > 0) box.add({ kind: 'hint' });
    },
    next: () => nextBoard(get()),
    point: (copy) => dispatch({ kind: 'pointed', copy }),
    turnLid: (zone) => dispatch({ kind: 'lidTurned', zone }),
    showModel: (on) => dispatch({ kind: 'modelShown', on }),
    flush: box.flush,
    stop: () => dispatch({ kind: 'connection', connection: 'takenOver' }),
  }));

  const unsent = stored ? readUnsent(place) : null;
  if (unsent && unsent.after <= view.last) {
    // Moves from before a reload that the server has not confirmed: it stores those it does not know, in order and
    // once.
    box.resume(unsent);
    if (unsent.moves.some(({ kind }) => kind === 'check')) dispatch({ kind: 'checking' });
    void box.flush().then((all) => {
      if (all && !store.getState().notice) reopen();
    });
  }
  return store;
}

const isShut = ({ ended, checking, connection }: PlayerData) => ended || checking || connection === 'takenOver';
