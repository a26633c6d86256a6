import { create, type StoreApi, type UseBoundStore } from 'zustand';
import {
  type Board,
  type BoardView,
  type Copy,
  cloneBoard,
  copyNamed,
  itemOf,
  type LearnerMedium,
  numberOf,
  type Outcome,
  putDown,
  type Said,
  type SceneModel,
  sceneModel,
  sendHome,
  standsAt,
  startBoard,
  type Verdict,
} from '../../core';
import type { ApiResult } from '../../ui/api';
import { readOutbox, storeOutbox } from './outbox';
import { boardFrom } from './scene/board';
import { letGo, movedOver, pickedUp, resting, type States, seen } from './states';
import type { LocalMove, MovesAnswer, NamedCopy, SentMove, SittingView, Told } from './types';
import { turnedAwayInWords } from './words';

/**
 * Whether the moves are saved. `offline`: no answer; `takenOver`: another window of this browser has opened the
 * attempt.
 */
export type Connection = 'saved' | 'sending' | 'offline' | 'signedOut' | 'failed' | 'takenOver';

export interface PlayerState {
  readonly view: SittingView;
  readonly model: SceneModel;
  readonly board: Board;
  readonly states: States;
  /** Copies that wait for the server's verdict, and where they lie meanwhile; null: where they have settled. */
  readonly waiting: ReadonlyMap<Copy, { x: number; y: number } | null>;
  readonly verdicts: ReadonlyMap<Copy, Verdict>;
  /** The feedback on the present board, until the learner continues. */
  readonly told: Told | null;
  readonly tries: number;
  readonly best: { mark: number; max: number } | null;
  readonly ended: boolean;
  readonly hints: readonly Said[];
  readonly hintsLeft: number;
  readonly modelAnswer: BoardView | null;
  readonly showsModel: boolean;
  readonly media: Readonly<Record<string, LearnerMedium>>;
  /** Zones whose lid is shut. */
  readonly shut: ReadonlySet<number>;
  readonly connection: Connection;
  readonly checking: boolean;
  /** Picked up by a press, to be put down by another. */
  readonly held: Copy | null;
  /**
   * The item under the pointer or the focus: only this one is registered with the drag-and-drop library, which renders
   * everything it knows when a drag begins and ends.
   */
  readonly armed: Copy | null;
  readonly dragging: boolean;
  /** The item moved last: it is animated separately, everything else glides. */
  readonly moved: Copy | null;
  /**
   * The copies let go last, and how far they were from their rest, in scene units: they are animated from there. `turn`
   * tells one time from the next.
   */
  readonly came: {
    readonly copies: ReadonlySet<Copy>;
    readonly x: number;
    readonly y: number;
    readonly turn: number;
  } | null;
  /** The copy beside which its feedback stands. */
  readonly pointed: Copy | null;
  readonly notice: string;

  arm(copy: Copy): void;
  hold(copy: Copy | null): void;
  /** A gesture picked a copy up, is over a zone, or cancelled. */
  pickUp(copy: Copy): void;
  over(copy: Copy, zone: number | null): void;
  cancel(): void;
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
}
export type PlayerStore = UseBoundStore<StoreApi<PlayerState>>;

const RETRY_MS = 2000;
/** How long a passing state is shown, in milliseconds. */
const MOMENT_MS = 900;

/** Sends moves to the judge: the server, or the rehearsal in the page. */
export type Send = (after: number, moves: readonly SentMove[]) => Promise<ApiResult<MovesAnswer>>;

export interface PlayerOptions {
  readonly send: Send;
  /** True if unsent moves are stored in the browser. */
  readonly stored: boolean;
  /** The attempt has changed elsewhere and has to be opened again. */
  readonly reopen: () => void;
}

/**
 * The state of one question on the page. Moves are applied here at once, by the same core as on the server, and sent
 * afterwards.
 */
export function playerStore(view: SittingView, { send, stored, reopen }: PlayerOptions): PlayerStore {
  let last = view.last;
  let waiting: SentMove[] = [];
  let sending: Promise<boolean> | null = null;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let passing: ReturnType<typeof setTimeout> | undefined;
  const box = { sitting: view.id, question: view.place.at };

  const remember = () => stored && storeOutbox(box, { after: last, moves: waiting });

  const store = create<PlayerState>()((set, get) => {
    const named = (name: NamedCopy) => copyNamed(get().model, name);
    const scene = (board = get().board) => ({ model: get().model, question: get().view.question, board });

    const passBy = () => {
      clearTimeout(passing);
      passing = setTimeout(() => set({ states: seen(get().states, scene()) }), MOMENT_MS);
    };

    /** The board after the wrong copies of the last check have gone home. */
    const goneOn = (): Board => {
      const board = cloneBoard(get().board);
      for (const copy of get().told?.goingHome ?? []) sendHome(get().model, board, named(copy));
      for (const zone of get().told?.goingEmpty ?? []) board.texts.delete(get().model.zoneAt.get(zone) as number);
      return board;
    };
    const wentOn = {
      verdicts: new Map(),
      told: null,
      held: null,
      notice: '',
      pointed: null,
      showsModel: false,
      dragging: false,
    } as const;

    const apply = (move: LocalMove): Outcome | null => {
      const { model, view: now } = get();
      if (move.kind === 'reset') {
        const board = startBoard(model, now.question.start);
        set({ board, ...wentOn, waiting: new Map(), moved: null, states: resting(scene(board)) });
        return null;
      }
      if (move.kind !== 'drop' && move.kind !== 'put') return null;
      if ('text' in move) {
        const board = goneOn();
        const zone = model.zoneAt.get(move.zone) as number;
        if (move.text.trim() === '') board.texts.delete(zone);
        else board.texts.set(zone, move.text);
        set({ board, ...wentOn, moved: null, states: resting(scene(board)) });
        return null;
      }
      const board = goneOn();
      const copy = named(move);
      let outcome = putDown(model, board, move, null);
      // The place in the order does not exist any more, because others have gone home.
      if (outcome.to === 'refused' && outcome.path === 'at')
        outcome = putDown(model, board, { ...move, at: undefined }, null);
      if (outcome.to === 'refused') return outcome;
      const unknown = new Map(get().waiting);
      unknown.delete(copy);
      if (outcome.to === 'unknown')
        unknown.set(copy, 'x' in move ? { x: move.x, y: move.y } : middleOfZone(model, outcome.zone ?? -1, copy));
      // With judging on landing, a landed copy waits for its verdict.
      if (now.question.judging === 'onLand' && outcome.to === 'zone') unknown.set(copy, null);
      const states = letGo(scene(board), copy, outcome);
      const items = new Map(states.items);
      for (const other of unknown.keys()) items.set(other, 'waiting');
      set({ board, ...wentOn, waiting: unknown, moved: copy, states: { ...states, items } });
      passBy();
      return outcome;
    };

    const queue = (move: LocalMove) => {
      waiting.push({ ...move, id: crypto.randomUUID() });
      remember();
      afterPaint(() => void get().flush());
    };

    const adopt = (answer: MovesAnswer, sent: readonly SentMove[]) => {
      const { told, tries, best, ended, hints, hintsLeft, modelAnswer } = answer;
      set({ tries, best, ended, hints, hintsLeft, modelAnswer, media: { ...get().media, ...answer.media } });
      // While more moves are on their way, only the answer to the last one counts.
      if (waiting.length > 0) return;
      const board = answer.board ? boardFrom(get().model, answer.board) : get().board;
      const checked = sent.some((sentMove) => sentMove.kind === 'check');
      const judged = checked || (get().view.question.judging === 'onLand' && told !== null);
      const verdicts = judged ? verdictsIn(get().model, told) : get().verdicts;
      if (answer.board || judged) {
        const states = resting(scene(board), verdicts, satisfiedIn(get().model, judged ? told : null));
        const items = new Map(states.items);
        const zones = [...states.zones];
        for (const one of answer.turnedAway) {
          items.set(named(one), 'turnedAway');
          const zone = one.zone === null ? undefined : get().model.zoneAt.get(one.zone);
          if (zone !== undefined) zones[zone] = 'refusing';
        }
        set({
          board,
          states: { items, zones },
          waiting: new Map(),
          verdicts,
          ...(judged ? { told, pointed: firstWords(get().model, told), shut: new Set<number>() } : {}),
        });
        passBy();
      }
      const words = [
        ...(answer.turnedAway.length > 0 ? [turnedAwayInWords(get(), answer.turnedAway)] : []),
        ...(answer.passedOver > 0
          ? ['Not all of your last moves could be taken: the page shows how it stands now.']
          : []),
      ].join(' ');
      set({ checking: checked ? false : get().checking, ...(words ? { notice: words } : {}) });
    };

    const refused = (code: string, message: string, detail: unknown): void => {
      if (
        code === 'sittingMovedOn' ||
        code === 'alreadyEnded' ||
        code === 'invalid' ||
        code === 'sittingFinished' ||
        code === 'notFound'
      ) {
        // The server's arrangement wins. Without one in the answer, the page is drawn again from it.
        waiting = [];
        remember();
        if (code !== 'sittingMovedOn' || !detail) {
          reopen();
          return;
        }
        const there = { ...view, ...(detail as Partial<SittingView>) };
        last = there.last;
        set({
          ...fromView(there),
          connection: 'saved',
          checking: false,
          held: null,
          notice: `${message}. The page now shows where you are.`,
        });
        return;
      }
      if (code === 'notSignedIn' || code === 'notAllowed') {
        set({ connection: 'signedOut', checking: false });
        return;
      }
      set({ connection: code === 'offline' || code === 'unavailable' ? 'offline' : 'failed' });
      retry = setTimeout(() => void get().flush(), RETRY_MS);
    };

    const sendAll = async (): Promise<boolean> => {
      while (waiting.length > 0) {
        set({ connection: get().connection === 'offline' ? 'offline' : 'sending' });
        const batch = waiting.slice(0, MAX_AT_ONCE);
        const result = await send(last, batch);
        if (get().connection === 'takenOver') return false;
        if (!result.ok) {
          refused(result.error.code, result.error.message, result.error.detail);
          return false;
        }
        last = result.value.last;
        waiting = waiting.slice(batch.length);
        remember();
        set({ connection: 'saved' });
        adopt(result.value, batch);
      }
      return true;
    };

    return {
      ...fromView(view),
      connection: 'saved',
      checking: false,
      held: null,
      notice: '',

      arm: (copy) => {
        if (!get().dragging && get().armed !== copy) set({ armed: copy });
      },

      hold: (copy) => {
        const { ended, showsModel, states } = get();
        const next = ended || showsModel ? null : copy;
        set({
          held: next,
          states: next === null ? put(states, scene()) : pickedUp(put(states, scene()), scene(), next),
        });
      },

      pickUp: (copy) =>
        set({ dragging: true, held: null, pointed: null, states: pickedUp(get().states, scene(), copy) }),
      over: (copy, zone) => set({ states: movedOver(get().states, scene(), copy, zone) }),
      cancel: () => set({ dragging: false, states: put(get().states, scene()) }),

      move: (move) => {
        if (get().ended || get().checking || get().connection === 'takenOver') return null;
        const outcome = apply(move);
        if (outcome?.to !== 'refused') queue(move);
        return outcome;
      },

      comeToRest: (copies, from) => {
        const [lead] = copies;
        if (lead === undefined) return;
        const at = placeOf(get(), lead);
        set({
          came: { copies: new Set(copies), x: from.x - at.x, y: from.y - at.y, turn: (get().came?.turn ?? 0) + 1 },
        });
      },

      goOn: () => {
        const board = goneOn();
        const { told } = get();
        set({
          board,
          verdicts: new Map(),
          pointed: null,
          told: told && { ...told, says: [], typed: [], goingHome: [], goingEmpty: [] },
          moved: null,
          states: resting(scene(board)),
        });
      },

      check: () => {
        if (get().ended || get().checking || get().connection === 'takenOver') return;
        set({ checking: true, held: null, notice: '' });
        queue({ kind: 'check' });
      },

      hint: () => {
        if (get().hintsLeft > 0) queue({ kind: 'hint' });
      },

      next: goneOn,

      point: (pointed) => {
        if (get().pointed !== pointed) set({ pointed });
      },

      turnLid: (zone) => {
        const shut = new Set(get().shut);
        if (!shut.delete(zone)) shut.add(zone);
        set({ shut });
      },

      showModel: (showsModel) => set({ showsModel, held: null }),

      flush: () => {
        clearTimeout(retry);
        if (get().connection === 'takenOver') return Promise.resolve(false);
        sending ??= sendAll().finally(() => {
          sending = null;
        });
        return sending;
      },
    };
  });

  const outbox = stored ? readOutbox(box) : null;
  if (outbox && outbox.after <= view.last) {
    // Moves from before a reload that the server has not confirmed: it stores those it does not know, in order and
    // once.
    waiting = outbox.moves;
    last = outbox.after;
    if (waiting.some((m) => m.kind === 'check')) store.setState({ checking: true });
    void store
      .getState()
      .flush()
      .then((all) => {
        if (all && !store.getState().notice) reopen();
      });
  }
  return store;
}

const MAX_AT_ONCE = 200;

/** A hidden page paints nothing, so no frame would come. */
const NO_PAINT_MS = 100;

/** Runs work after the next painted frame, so that the learner sees the effect of the gesture first. */
function afterPaint(work: () => void): void {
  let done = false;
  const once = () => {
    if (!done) work();
    done = true;
  };
  requestAnimationFrame(() => setTimeout(once));
  setTimeout(once, NO_PAINT_MS);
}

/** The copies in hand are back where they were. */
function put(states: States, scene: Parameters<typeof seen>[1]): States {
  const rest = resting(scene);
  const items = new Map(states.items);
  for (const [copy, state] of items)
    if (state === 'inHand' || state === 'overZone') items.set(copy, rest.items.get(copy) ?? 'rest');
  return { items, zones: rest.zones };
}

function middleOfZone(model: SceneModel, zone: number, copy: Copy): { x: number; y: number } {
  const box = model.zones[zone]?.outline?.box;
  const { w, h } = model.items[itemOf(copy)] as SceneModel['items'][number];
  return box ? { x: box.x + (box.w - w) / 2, y: box.y + (box.h - h) / 2 } : { x: 0, y: 0 };
}

const verdictsIn = (model: SceneModel, told: Told | null): Map<Copy, Verdict> =>
  new Map(told?.verdicts.map((verdict) => [copyNamed(model, verdict), verdict.verdict]));
const satisfiedIn = (model: SceneModel, told: Told | null): Map<number, boolean> =>
  new Map(told?.try?.zones.map(({ zone, satisfied }) => [model.zoneAt.get(zone) as number, satisfied]));

/** The copy whose feedback is shown first: a wrong one, if there is one. */
function firstWords(model: SceneModel, told: Told | null): Copy | null {
  const verdicts = verdictsIn(model, told);
  const copies = told?.says.flatMap(({ of: namedCopy }) => (namedCopy ? [copyNamed(model, namedCopy)] : [])) ?? [];
  return copies.find((copy) => verdicts.get(copy) === 'wrong') ?? copies[0] ?? null;
}

type FromView = Omit<
  PlayerState,
  | 'connection'
  | 'checking'
  | 'held'
  | 'notice'
  | Extract<
      { [K in keyof PlayerState]: PlayerState[K] extends (...args: never[]) => unknown ? K : never }[keyof PlayerState],
      string
    >
>;

function fromView(view: SittingView): FromView {
  const model = sceneModel(view.question);
  const board = boardFrom(model, view.board);
  const verdicts = verdictsIn(model, view.told);
  const { told, tries, best, ended, hints, hintsLeft, modelAnswer } = view;
  return {
    ...{ view, model, board, verdicts, told, tries, best, ended, hints, hintsLeft, modelAnswer },
    states: resting({ model, board, question: view.question }, verdicts, satisfiedIn(model, told)),
    waiting: new Map(),
    showsModel: false,
    media: { ...view.question.media, ...view.media },
    shut: new Set(told ? [] : view.question.zones.flatMap(({ lid }, zone) => (lid && !lid.startsOpen ? [zone] : []))),
    armed: null,
    dragging: false,
    moved: null,
    came: null,
    pointed: firstWords(model, told),
  };
}

/** A copy's name as the server and the moves know it. */
export const nameOf = (model: SceneModel, copy: Copy): NamedCopy => ({
  item: model.items[itemOf(copy)]?.id ?? '',
  copy: numberOf(copy),
});

/** Where a copy is drawn: its unrotated top left. */
export const placeOf = ({ model, board, waiting }: Pick<PlayerState, 'model' | 'board' | 'waiting'>, copy: Copy) =>
  waiting.get(copy) ?? standsAt(model, board, copy);
