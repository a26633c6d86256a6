import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { copyOf } from '../../core';
import { localSitting } from '../shared/localSitting';
import { actionsFor } from './actionsFor';
import { dataOf, moveItem, type PlayerData } from './reducer';

function page(changes: Record<string, unknown> = {}): PlayerData {
  return dataOf(localSitting(seeds(changes), { seed: 'a learner', full: () => null }).view());
}
/** The page after its first item was put into its first zone. */
function placed(state: PlayerData): PlayerData {
  const [item] = state.view.question.items;
  const [zone] = state.view.question.zones;
  return moveItem(state, { kind: 'put', item: item?.id ?? '', copy: 0, zone: zone?.id ?? '' }).state;
}
const inPlace = (state: PlayerData, place: Partial<PlayerData['view']['place']>): PlayerData => ({
  ...state,
  view: { ...state.view, place: { ...state.view.place, ...place } },
});
const missed = (state: PlayerData): PlayerData => ({
  ...state,
  tries: 1,
  told: {
    try: null,
    says: [],
    typed: [],
    verdicts: [],
    goingHome: [{ item: state.view.question.items[0]?.id ?? '', copy: 0 }],
    goingEmpty: [],
  } as unknown as PlayerData['told'],
});

describe('what a learner can do', () => {
  it.each<[string, PlayerData, ReturnType<typeof actionsFor>]>([
    [
      'at the start',
      page(),
      { check: 'ready', tryAgain: false, reset: 'waits', hint: false, words: 'try 1 of 2 · 0 placed · 4 left' },
    ],
    [
      'with an item placed',
      placed(page()),
      { check: 'ready', tryAgain: false, reset: 'ready', hint: false, words: 'try 1 of 2 · 1 placed · 3 left' },
    ],
    [
      'while it is being checked',
      { ...placed(page()), checking: true },
      { check: 'waits', tryAgain: false, reset: 'waits', hint: false, words: 'try 1 of 2 · 1 placed · 3 left' },
    ],
    [
      'offline',
      { ...placed(page()), connection: 'offline' },
      { check: 'waits', tryAgain: false, reset: 'ready', hint: false, words: 'try 1 of 2 · 1 placed · 3 left' },
    ],
    [
      'after a miss',
      missed(placed(page())),
      { check: null, tryAgain: true, reset: 'ready', hint: false, words: 'try 2 of 2 · 1 placed · 3 left' },
    ],
    [
      'with a hint left',
      { ...page(), hintsLeft: 1 },
      { check: 'ready', tryAgain: false, reset: 'waits', hint: true, words: 'try 1 of 2 · 0 placed · 4 left' },
    ],
    [
      'after the end',
      { ...placed(page()), ended: true, tries: 2 },
      { check: null, tryAgain: false, reset: null, hint: false, words: 'try 2 of 2 · 1 placed · 3 left' },
    ],
    [
      'looking at the model answer',
      { ...placed(page()), showsModel: true },
      { check: null, tryAgain: false, reset: null, hint: false, words: 'a model answer' },
    ],
    [
      'where each landing is judged',
      page({ judging: 'onLand' }),
      { check: null, tryAgain: false, reset: 'waits', hint: false, words: 'try 1 of 2 · 0 placed · 4 left' },
    ],
    [
      'with deferred feedback',
      inPlace(page(), { deferred: true }),
      { check: null, tryAgain: false, reset: 'waits', hint: false, words: '0 placed · 4 left' },
    ],
  ])('%s', (_, state, can) => {
    expect(actionsFor(state)).toEqual(can);
  });

  it.each<[string, Record<string, unknown>, string]>([
    ['without a limit of tries', { tries: null }, 'try 1 · 0 placed · 4 left'],
    ['without a count', { show: { count: false } }, 'try 1 of 2'],
  ])('says how far they are, %s', (_, changes, words) => {
    expect(actionsFor(page(changes)).words).toBe(words);
  });

  it('can put back what lies loose, though nothing is placed', () => {
    const state = page();
    state.board.letGo.set(copyOf(0, 0), { x: 1, y: 2 });
    expect(actionsFor(state).reset).toBe('ready');
  });
});
