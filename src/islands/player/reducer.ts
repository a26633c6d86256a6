import {
  type Board,
  type BoardView,
  type Copy,
  cloneBoard,
  copyNamed,
  type FixtureAnswer,
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
import { phrase } from '../../words';
import { answeredAfter } from './answering';
import { boardFrom, type WaitsAt, waitsAt } from './scene/board';
import { inHands, letGo, resting, type States, seen } from './states';
import type { LocalMove, MovesAnswer, NamedCopy, SentMove, SittingView, Told } from './types';
import { turnedAwayInWords } from './words';

/**
 * Whether the moves are saved. `offline`: no answer; `takenOver`: another window of this browser has opened the
 * attempt.
 */
export type Connection = 'saved' | 'sending' | 'offline' | 'signedOut' | 'failed' | 'takenOver';

/** The connection for what is drawn: sending makes no difference there, so it causes no new render. */
export const shownConnection = (connection: Connection): Exclude<Connection, 'sending'> =>
  connection === 'sending' ? 'saved' : connection;

/** One question as the page shows it. */
export interface PlayerData {
  readonly view: SittingView;
  readonly model: SceneModel;
  readonly board: Board;
  readonly states: States;
  /** Copies that wait for the server's verdict, and where they lie meanwhile. */
  readonly waiting: ReadonlyMap<Copy, WaitsAt>;
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
  /** Fixtures that answer to a verdict, and those that stay as they have answered. */
  readonly answered: readonly FixtureAnswer[];
  /** Zones whose lid is shut. */
  readonly shut: ReadonlySet<number>;
  readonly connection: Connection;
  readonly checking: boolean;
  /** Picked up by a press, to be put down by another. */
  readonly held: Copy | null;
  /** What gestures hold, several at once, and over which zone each is. */
  readonly inHand: ReadonlyMap<Copy, number | null>;
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
}

/** What can happen to a question on the page. */
export type PlayerEvent =
  | { readonly kind: 'held'; readonly copy: Copy | null }
  | { readonly kind: 'pickedUp'; readonly copy: Copy }
  | { readonly kind: 'over'; readonly copy: Copy; readonly zone: number | null }
  | { readonly kind: 'cancelled'; readonly copy: Copy }
  /** Copies were let go with the first at a place of the scene. */
  | { readonly kind: 'letGo'; readonly copies: readonly Copy[]; readonly from: { x: number; y: number } }
  | { readonly kind: 'continued' }
  | { readonly kind: 'checking' }
  | { readonly kind: 'pointed'; readonly copy: Copy | null }
  | { readonly kind: 'lidTurned'; readonly zone: number }
  | { readonly kind: 'modelShown'; readonly on: boolean }
  /** The states that last only for a moment are over. */
  | { readonly kind: 'momentOver' }
  | { readonly kind: 'connection'; readonly connection: Connection }
  | {
      readonly kind: 'answered';
      readonly answer: MovesAnswer;
      readonly batch: readonly SentMove[];
      readonly more: boolean;
    }
  /** The server's state is another: the page shows it from now on. */
  | { readonly kind: 'replaced'; readonly view: SittingView; readonly message: string };

type Change = { -readonly [Field in keyof PlayerData]?: PlayerData[Field] };

/** The state after an event; the same object if nothing changed. */
export function playerReducer<State extends PlayerData>(state: State, event: PlayerEvent): State {
  const change = changeOf(state, event);
  return change === null ? state : { ...state, ...change };
}

function changeOf(state: PlayerData, event: PlayerEvent): Change | null {
  switch (event.kind) {
    case 'held':
      return hold(state, event.copy);
    case 'pickedUp':
      return { held: null, pointed: null, ...handling(state, new Map(state.inHand).set(event.copy, null)) };
    case 'over':
      return handling(state, new Map(state.inHand).set(event.copy, event.zone));
    case 'cancelled':
      return handling({ ...state, states: putBack(state) }, without(state.inHand, event.copy));
    case 'letGo':
      return comeToRest(state, event);
    case 'continued':
      return continued(state);
    case 'checking':
      return { checking: true, held: null, notice: '' };
    case 'pointed':
      return state.pointed === event.copy ? null : { pointed: event.copy };
    case 'lidTurned': {
      const shut = new Set(state.shut);
      if (!shut.delete(event.zone)) shut.add(event.zone);
      return { shut };
    }
    case 'modelShown':
      return { showsModel: event.on, held: null };
    case 'momentOver':
      return { states: seen(state.states, sceneOf(state)) };
    case 'connection':
      return connected(event.connection);
    case 'answered':
      return afterAnswer(state, event);
    case 'replaced':
      return { ...dataOf(event.view), notice: phrase('player.movedOn') };
  }
}

/** The state before the learner does anything. */
export function dataOf(view: SittingView): PlayerData {
  const model = sceneModel(view.question);
  const board = boardFrom(model, view.board);
  const verdicts = verdictsIn(model, view.told);
  const { answered, told, tries, best, ended, hints, hintsLeft, modelAnswer } = view;
  return {
    ...{ view, model, board, verdicts, answered, told, tries, best, ended, hints, hintsLeft, modelAnswer },
    states: resting({ model, board, question: view.question }, verdicts, satisfiedIn(model, told)),
    waiting: new Map(),
    showsModel: false,
    media: { ...view.question.media, ...view.media },
    shut: new Set(told ? [] : view.question.zones.flatMap(({ lid }, zone) => (lid && !lid.startsOpen ? [zone] : []))),
    connection: 'saved',
    checking: false,
    held: null,
    inHand: new Map(),
    moved: null,
    came: null,
    pointed: firstWords(model, told),
    notice: '',
  };
}

/** What every move of the board resets. */
const MOVED = {
  verdicts: new Map(),
  told: null,
  held: null,
  notice: '',
  pointed: null,
  showsModel: false,
} as const satisfies Change;

/**
 * Makes a move on the page, by the same core as on the server. The outcome is null for a move that places no item; if
 * it is refused, the state is unchanged.
 */
export function moveItem<State extends PlayerData>(
  state: State,
  move: LocalMove,
): { readonly state: State; readonly outcome: Outcome | null } {
  const { model, view } = state;
  if (move.kind === 'reset') {
    const board = startBoard(model, view.question.start);
    const states = resting(sceneOf(state, board));
    const answered = answeredAfter(state, board, true);
    return { state: { ...state, ...MOVED, board, states, answered, waiting: new Map(), moved: null }, outcome: null };
  }
  if (move.kind !== 'drop' && move.kind !== 'put') return { state, outcome: null };
  const board = nextBoard(state);
  if ('text' in move) {
    const zone = model.zoneAt.get(move.zone) as number;
    if (move.text.trim() === '') board.texts.delete(zone);
    else board.texts.set(zone, move.text);
    const answered = answeredAfter(state, board, false);
    const states = resting(sceneOf(state, board));
    return { state: { ...state, ...MOVED, board, answered, moved: null, states }, outcome: null };
  }
  const copy = copyNamed(model, move);
  let outcome = putDown(model, board, move, null);
  // The place in the order does not exist any more, because others have gone home.
  if (outcome.to === 'refused' && outcome.path === 'at')
    outcome = putDown(model, board, { ...move, at: undefined }, null);
  if (outcome.to === 'refused') return { state, outcome };
  const waiting = new Map(state.waiting);
  waiting.delete(copy);
  if (outcome.to === 'unknown') waiting.set(copy, 'x' in move ? { x: move.x, y: move.y } : { in: outcome.zone ?? -1 });
  // With judging on landing, a landed copy waits for its verdict.
  if (view.question.judging === 'onLand' && outcome.to === 'zone') waiting.set(copy, 'settled');
  const states = letGo(sceneOf(state, board), copy, outcome);
  const items = new Map(states.items);
  for (const other of waiting.keys()) items.set(other, 'waiting');
  const answered = answeredAfter(state, board, false);
  const inHand = without(state.inHand, copy);
  const after = { items, zones: states.zones };
  return {
    state: {
      ...{ ...state, ...MOVED, board, answered, waiting, moved: copy, inHand },
      // What other hands hold stays in them.
      states: inHand.size === 0 ? after : inHands(after, sceneOf(state, board), inHand),
    },
    outcome,
  };
}

/** The board for the next move, after the wrong copies of the last check have gone home. */
export function nextBoard({ board: now, told, model }: Pick<PlayerData, 'board' | 'told' | 'model'>): Board {
  const board = cloneBoard(now);
  for (const copy of told?.goingHome ?? []) sendHome(model, board, copyNamed(model, copy));
  for (const zone of told?.goingEmpty ?? []) board.texts.delete(model.zoneAt.get(zone) as number);
  return board;
}

function hold(state: PlayerData, copy: Copy | null): Change {
  const held = state.ended || state.showsModel ? null : copy;
  const states = putBack(state);
  return { held, states: held === null ? states : inHands(states, sceneOf(state), new Map([[held, null]])) };
}

/** The state with these in hand. */
const handling = (state: PlayerData, inHand: PlayerData['inHand']): Change => ({
  inHand,
  states: inHand.size === 0 ? putBack(state) : inHands(state.states, sceneOf(state), inHand),
});

function without<Key, Value>(map: ReadonlyMap<Key, Value>, key: Key): Map<Key, Value> {
  const rest = new Map(map);
  rest.delete(key);
  return rest;
}

function comeToRest(state: PlayerData, { copies, from }: Extract<PlayerEvent, { kind: 'letGo' }>): Change | null {
  const [lead] = copies;
  if (lead === undefined) return null;
  const at = placeOf(state, lead);
  return {
    came: { copies: new Set(copies), x: from.x - at.x, y: from.y - at.y, turn: (state.came?.turn ?? 0) + 1 },
  };
}

function continued(state: PlayerData): Change {
  const board = nextBoard(state);
  return {
    board,
    answered: answeredAfter(state, board, false),
    verdicts: new Map(),
    pointed: null,
    told: state.told && { ...state.told, says: [], typed: [], goingHome: [], goingEmpty: [] },
    moved: null,
    states: resting(sceneOf(state, board)),
  };
}

const connected = (connection: Connection): Change => ({
  connection,
  ...(connection === 'signedOut' ? { checking: false } : {}),
  ...(connection === 'takenOver' ? { held: null } : {}),
});

/** An answer of the server. While more moves are on their way, only the answer to the last one is about the board. */
function afterAnswer(state: PlayerData, { answer, batch, more }: Extract<PlayerEvent, { kind: 'answered' }>): Change {
  const { answered, tries, best, ended, hints, hintsLeft, modelAnswer } = answer;
  const media = { ...state.media, ...answer.media };
  const known: Change = { connection: 'saved', tries, best, ended, hints, hintsLeft, modelAnswer, media };
  if (more) return known;
  known.answered = answered;
  const checked = batch.some((move) => move.kind === 'check');
  const notice = noticeOf(state, answer);
  return {
    ...known,
    ...judged(state, answer, checked),
    ...(checked ? { checking: false } : {}),
    ...(notice ? { notice } : {}),
  };
}

function judged(state: PlayerData, answer: MovesAnswer, checked: boolean): Change {
  const { model } = state;
  const { told } = answer;
  const isJudged = checked || (state.view.question.judging === 'onLand' && told !== null);
  if (!answer.board && !isJudged) return {};
  const board = answer.board ? boardFrom(model, answer.board) : state.board;
  const verdicts = isJudged ? verdictsIn(model, told) : state.verdicts;
  const states = resting(sceneOf(state, board), verdicts, satisfiedIn(model, isJudged ? told : null));
  const items = new Map(states.items);
  const zones = [...states.zones];
  for (const turned of answer.turnedAway) {
    items.set(copyNamed(model, turned), 'turnedAway');
    const zone = turned.zone === null ? undefined : model.zoneAt.get(turned.zone);
    if (zone !== undefined) zones[zone] = 'refusing';
  }
  return {
    board,
    states: { items, zones },
    waiting: new Map(),
    verdicts,
    ...(isJudged ? { told, pointed: firstWords(model, told), shut: new Set<number>() } : {}),
  };
}

const noticeOf = (state: PlayerData, { turnedAway, passedOver }: MovesAnswer): string =>
  [
    ...(turnedAway.length > 0 ? [turnedAwayInWords(state, turnedAway)] : []),
    ...(passedOver > 0 ? [phrase('player.passedOver')] : []),
  ].join(' ');

const sceneOf = ({ model, view, board }: PlayerData, now = board) => ({ model, question: view.question, board: now });

/** The states with the copies in hand back where they were. */
function putBack(state: PlayerData): States {
  const rest = resting(sceneOf(state));
  const items = new Map(state.states.items);
  for (const [copy, itemState] of items)
    if (itemState === 'inHand' || itemState === 'overZone') items.set(copy, rest.items.get(copy) ?? 'rest');
  return { items, zones: rest.zones };
}

const verdictsIn = (model: SceneModel, told: Told | null): Map<Copy, Verdict> =>
  new Map(told?.verdicts.map((verdict) => [copyNamed(model, verdict), verdict.verdict]));
const satisfiedIn = (model: SceneModel, told: Told | null): Map<number, boolean> =>
  new Map(told?.try?.zones.map(({ zone, satisfied }) => [model.zoneAt.get(zone) as number, satisfied]));

/** The copy whose feedback is shown first: a wrong one, if there is one. */
function firstWords(model: SceneModel, told: Told | null): Copy | null {
  const verdicts = verdictsIn(model, told);
  const copies = told?.says.flatMap(({ of }) => (of ? [copyNamed(model, of)] : [])) ?? [];
  return copies.find((copy) => verdicts.get(copy) === 'wrong') ?? copies[0] ?? null;
}

/** A copy's name as the server and the moves know it. */
export const nameOf = (model: SceneModel, copy: Copy): NamedCopy => ({
  item: model.items[itemOf(copy)]?.id ?? '',
  copy: numberOf(copy),
});

/** Where a copy is drawn: its unrotated top left. */
export const placeOf = ({ model, board, waiting }: Pick<PlayerData, 'model' | 'board' | 'waiting'>, copy: Copy) =>
  waitsAt(model, copy, waiting.get(copy)) ?? standsAt(model, board, copy);
