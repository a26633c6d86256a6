import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { type Copy, copyOf, itemOf } from '../../core';
import { localSitting } from '../shared/localSitting';
import { dataOf, moveItem, nextBoard, type PlayerData, type PlayerEvent, placeOf, playerReducer } from './reducer';
import { stateOf } from './states';
import type { LocalMove, SentMove } from './types';

/** A question on the page, with the judge that the Bench's rehearsal has. */
function page(changes: Record<string, unknown> = {}) {
  const { view: now, send, names } = localSitting(seeds(changes), { seed: 'a learner', full: () => null });
  const view = now();
  let state: PlayerData = dataOf(view);
  const drawn = <Id extends string>(ids: ReadonlyMap<string, Id>, id: string) =>
    [...ids].find(([, own]) => own === id)?.[0] ?? '';
  const item = (id: string): string => drawn(names.itemId, id);
  const zone = (id: string): string => drawn(names.zoneId, id);
  let last = view.last;
  return {
    zone,
    state: () => state,
    copyOf: (id: string): Copy => copyOf(state.model.itemAt.get(item(id)) as number, 0),
    put: (id: string, zoneId: string | null): LocalMove => ({
      kind: 'put',
      item: item(id),
      copy: 0,
      zone: zoneId === null ? null : zone(zoneId),
    }),
    dispatch: (event: PlayerEvent) => {
      state = playerReducer(state, event);
    },
    move: (move: LocalMove) => {
      const made = moveItem(state, move);
      state = made.state;
      return made.outcome;
    },
    /** Sends moves to the judge; the answer is the page's to take up. */
    judge: async (moves: readonly LocalMove[]) => {
      const batch: SentMove[] = moves.map((move, i) => ({ ...move, id: `${last + i}` }));
      const result = await send(last, batch);
      if (!result.ok) throw new Error(result.error.message);
      last = result.value.last;
      return { kind: 'answered', answer: result.value, batch, more: false } as const;
    },
  };
}
const itemsIn = ({ board, model }: PlayerData, zone: string) => board.zones[model.zoneAt.get(zone) as number];

describe('a move on the page', () => {
  it('settles an item by the core and says so', () => {
    const { move, put, state, copyOf, zone } = page();
    expect(move(put('barley', 'dry'))).toMatchObject({ to: 'zone' });
    expect(itemsIn(state(), zone('dry'))).toEqual([copyOf('barley')]);
    expect(state().moved).toBe(copyOf('barley'));
    expect(stateOf(state().states, copyOf('barley'))).toBe('settled');
  });

  it('leaves the state before it as it was', () => {
    const { move, put, state, zone } = page();
    const before = state();
    move(put('barley', 'dry'));
    expect(itemsIn(before, zone('dry'))).toEqual([]);
    expect(before.moved).toBeNull();
  });

  it('to a place that is not there any more goes to the end of the zone', () => {
    const { move, put, state, copyOf, zone } = page();
    move(put('barley', 'dry'));
    expect(move({ ...put('poppy', 'dry'), at: 7 } as LocalMove)).toMatchObject({ to: 'zone' });
    expect(itemsIn(state(), zone('dry'))).toEqual([copyOf('barley'), copyOf('poppy')]);
  });

  it('that puts everything back brings the start, and no item is marked as moved', () => {
    const { move, put, state, zone } = page();
    move(put('barley', 'dry'));
    expect(move({ kind: 'reset' })).toBeNull();
    expect([itemsIn(state(), zone('dry')), state().moved]).toEqual([[], null]);
  });

  it('waits for a verdict where each landing is judged', () => {
    const { move, put, state, copyOf } = page({ judging: 'onLand' });
    move(put('barley', 'dry'));
    expect(state().waiting).toEqual(new Map([[copyOf('barley'), 'settled']]));
    expect(stateOf(state().states, copyOf('barley'))).toBe('waiting');
  });

  it('into a zone that welcomes by the key lies in its middle until the server has said what came of it', () => {
    const zones = [
      { id: 'dry', label: 'dry', shape: { type: 'rect', x: 40, y: 40, w: 400, h: 300 }, welcome: 'keyed' },
      { id: 'moist', label: 'moist', shape: { type: 'rect', x: 500, y: 40, w: 400, h: 300 } },
    ];
    const { move, put, state, copyOf } = page({ zones });
    expect(move(put('barley', 'dry'))).toMatchObject({ to: 'unknown' });
    expect(placeOf(state(), copyOf('barley'))).toEqual({ x: 190, y: 170 });
  });
});

describe('an answer of the server', () => {
  it('to a check brings the verdicts, the tries, and the end of checking', async () => {
    const { move, put, dispatch, judge, state, copyOf } = page();
    const moves = [put('barley', 'dry'), put('gravel', 'moist')];
    for (const made of moves) move(made);
    dispatch({ kind: 'checking' });
    expect(state().checking).toBe(true);
    dispatch(await judge([...moves, { kind: 'check' }]));
    expect(state()).toMatchObject({ checking: false, tries: 1, ended: false, connection: 'saved' });
    expect([...state().verdicts]).toEqual([
      [copyOf('barley'), 'right'],
      [copyOf('gravel'), 'wrong'],
    ]);
  });

  it('is only about the marks while more moves are on their way', async () => {
    const { move, put, dispatch, judge, state, copyOf, zone } = page();
    move(put('barley', 'dry'));
    const answer = await judge([put('barley', 'dry'), { kind: 'check' }]);
    move(put('poppy', 'dry'));
    dispatch({ ...answer, more: true });
    expect(state().tries).toBe(1);
    expect(state().told).toBeNull();
    expect(itemsIn(state(), zone('dry'))).toEqual([copyOf('barley'), copyOf('poppy')]);
  });

  it('that turned an item away says so and shows it where the server has it', async () => {
    const zones = [
      { id: 'dry', label: 'Dry shelf', shape: { type: 'rect', x: 40, y: 40, w: 400, h: 300 }, welcome: 'keyed' },
      { id: 'moist', label: 'Moist box', shape: { type: 'rect', x: 500, y: 40, w: 400, h: 300 } },
    ];
    const { move, put, dispatch, judge, state, copyOf, zone } = page({ zones });
    move(put('acorn', 'dry'));
    dispatch(await judge([put('acorn', 'dry')]));
    expect(state().notice).toContain('acorn does not belong in Dry shelf');
    expect(stateOf(state().states, copyOf('acorn'))).toBe('turnedAway');
    expect(state().states.zones[state().model.zoneAt.get(zone('dry')) as number]).toBe('refusing');
    expect(state().waiting.size).toBe(0);
    dispatch({ kind: 'momentOver' });
    expect(stateOf(state().states, copyOf('acorn'))).toBe('rest');
  });

  it('about another state replaces the page', async () => {
    const { move, put, dispatch, state, zone } = page();
    const { view } = state();
    move(put('barley', 'dry'));
    dispatch({ kind: 'replaced', view: { ...view, last: 12 }, message: 'You continued this in another window' });
    expect(itemsIn(state(), zone('dry'))).toEqual([]);
    expect(state().notice).toBe('You continued this in another window. The page now shows where you are.');
  });
});

describe('continuing after a miss', () => {
  it('sends the wrong ones home, and so does the next move by itself', async () => {
    const { move, put, dispatch, judge, state, copyOf, zone } = page();
    const moves = [put('barley', 'dry'), put('gravel', 'moist')];
    for (const made of moves) move(made);
    dispatch(await judge([...moves, { kind: 'check' }]));
    expect(itemsIn(state(), zone('moist'))).toEqual([copyOf('gravel')]);
    const missed = state();
    expect(nextBoard(missed).zones[missed.model.zoneAt.get(zone('moist')) as number]).toEqual([]);
    dispatch({ kind: 'continued' });
    expect(itemsIn(state(), zone('moist'))).toEqual([]);
    expect(itemsIn(state(), zone('dry'))).toEqual([copyOf('barley')]);
    expect(moveItem(missed, put('acorn', 'moist')).state.board.zones.flat().map(itemOf)).not.toContain(
      itemOf(copyOf('gravel')),
    );
  });
});

describe('the hand', () => {
  it('holds one item at a time, and none once the question has ended', () => {
    const { dispatch, state, copyOf } = page();
    const barley = copyOf('barley');
    dispatch({ kind: 'held', copy: barley });
    expect([state().held, stateOf(state().states, barley)]).toEqual([barley, 'inHand']);
    dispatch({ kind: 'held', copy: null });
    expect([state().held, stateOf(state().states, barley)]).toEqual([null, 'rest']);
    const over = { ...state(), ended: true };
    expect(playerReducer(over, { kind: 'held', copy: barley }).held).toBeNull();
  });

  it('of gestures are several: one lets go or cancels, and the others keep what they hold', () => {
    const { dispatch, state, copyOf, move, put } = page();
    const [barley, poppy] = ['barley', 'poppy'].map((id) => copyOf(id)) as [Copy, Copy];
    const look = () => [barley, poppy].map((copy) => stateOf(state().states, copy));
    dispatch({ kind: 'pickedUp', copy: barley });
    dispatch({ kind: 'pickedUp', copy: poppy });
    dispatch({ kind: 'over', copy: poppy, zone: 0 });
    expect(look()).toEqual(['inHand', 'overZone']);
    move(put('barley', 'dry'));
    expect(look()).toEqual(['settled', 'overZone']);
    expect(state().states.zones[0]).toBe('underItem');
    dispatch({ kind: 'cancelled', copy: poppy });
    expect(state().inHand.size).toBe(0);
    expect(look()).toEqual(['settled', 'rest']);
  });

  it('lets what it carried come to rest from where it was let go, each time anew', () => {
    const { move, put, dispatch, state, copyOf } = page();
    move(put('barley', 'dry'));
    const at = placeOf(state(), copyOf('barley'));
    for (const turn of [1, 2]) {
      dispatch({ kind: 'letGo', copies: [copyOf('barley')], from: { x: at.x + 30, y: at.y - 5 } });
      expect(state().came).toMatchObject({ x: 30, y: -5, turn });
    }
    expect(playerReducer(state(), { kind: 'letGo', copies: [], from: { x: 0, y: 0 } })).toBe(state());
  });
});

describe('what is shown', () => {
  it('is the model answer on request, which lets go of what is held', () => {
    const { dispatch, state, copyOf } = page();
    dispatch({ kind: 'held', copy: copyOf('barley') });
    dispatch({ kind: 'modelShown', on: true });
    expect([state().showsModel, state().held]).toEqual([true, null]);
  });

  it('is a lid shut or open, by turns', () => {
    const { dispatch, state } = page();
    dispatch({ kind: 'lidTurned', zone: 0 });
    expect([...state().shut]).toEqual([0]);
    dispatch({ kind: 'lidTurned', zone: 0 });
    expect([...state().shut]).toEqual([]);
  });

  it('is the connection: signed out ends a check, another window takes what is held', () => {
    const { dispatch, state, copyOf } = page();
    dispatch({ kind: 'checking' });
    dispatch({ kind: 'connection', connection: 'signedOut' });
    expect(state()).toMatchObject({ connection: 'signedOut', checking: false });
    dispatch({ kind: 'held', copy: copyOf('barley') });
    dispatch({ kind: 'connection', connection: 'takenOver' });
    expect(state().held).toBeNull();
  });
});
