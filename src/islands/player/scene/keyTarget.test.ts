import { describe, expect, it } from 'vitest';
import { type KeyPlaces, type KeyTarget, keyStep, NO_TARGET, namedTarget, nextTarget } from './keyTarget';

const PLACES: KeyPlaces = {
  zones: [0, 2],
  named: [],
  nameOf: (zone) => ['Dry', 'Bin', 'Drawer'][zone] ?? '',
  free: false,
  scene: { width: 100, height: 60 },
  othersIn: () => 0,
  here: null,
  isLine: () => true,
};
const key = (code: string, shiftKey = false) => ({ code, shiftKey });
/** The targets that keys lead to, one after another, from nothing chosen. */
function pressing(keys: readonly (string | ReturnType<typeof key>)[], places: Partial<KeyPlaces> = {}): KeyTarget {
  let target = NO_TARGET;
  for (const pressed of keys) {
    const now = typeof pressed === 'string' ? key(pressed) : pressed;
    const step = keyStep(now);
    if (step) target = nextTarget(target, step, now, { ...PLACES, ...places }) ?? target;
  }
  return target;
}

describe('a key, while an item is in hand', () => {
  it.each([
    ['ArrowRight', false, 'next'],
    ['ArrowDown', false, 'next'],
    ['ArrowLeft', false, 'previous'],
    ['ArrowUp', false, 'previous'],
    ['Tab', false, 'next'],
    ['Tab', true, 'previous'],
    ['PageUp', false, 'earlier'],
    ['PageDown', false, 'later'],
    ['KeyA', false, null],
  ] as const)('%s (shift: %s) means %s', (code, shiftKey, step) => {
    expect(keyStep({ code, shiftKey })).toBe(step);
  });

  it('goes through the zones in their order, then home, then round again', () => {
    const through = [1, 2, 3, 4].map((n) => pressing(Array<string>(n).fill('ArrowRight')).zone);
    expect(through).toEqual([0, 2, null, 0]);
    expect(pressing(['ArrowRight', 'ArrowRight', 'ArrowRight']).chosen).toBe(true);
  });

  it('goes backwards from home first', () => {
    expect(pressing(['ArrowLeft'])).toEqual({ chosen: true, zone: null, at: null });
    expect(pressing(['ArrowLeft', 'ArrowUp']).zone).toBe(2);
  });

  it('is a letter that a place begins with, each in turn, or its number', () => {
    const to = (key: string, from = NO_TARGET) => namedTarget(from, key, PLACES)?.zone ?? null;
    const dry = namedTarget(NO_TARGET, 'd', PLACES) as KeyTarget;
    expect([dry.zone, to('D', dry), to('2'), to('9'), to('b'), to('x')]).toEqual([0, 2, 2, null, null, null]);
    expect(namedTarget(NO_TARGET, 'd', { ...PLACES, free: true })).toBeNull();
  });

  it('goes through named places before the zones that are seen', () => {
    const named = [
      { label: 'Left seed', x: 10, y: 20 },
      { label: 'Right seed', x: 80, y: 20 },
    ];
    expect(pressing(['ArrowRight'], { named }).spot?.label).toBe('Left seed');
    expect(pressing(['ArrowRight', 'ArrowRight'], { named }).spot).toEqual({
      at: { x: 80, y: 20 },
      label: 'Right seed',
    });
    expect(pressing(['ArrowRight', 'ArrowRight', 'ArrowRight'], { named })).toEqual({
      chosen: true,
      zone: 0,
      at: null,
    });
  });

  it('chooses a place in the order of a zone that keeps one, within its ends', () => {
    const othersIn = (zone: number) => (zone === 0 ? 2 : 0);
    const at = (...keys: string[]) => pressing(['ArrowRight', ...keys], { othersIn }).at;
    expect([at(), at('PageUp'), at('PageUp', 'PageUp', 'PageUp'), at('PageUp', 'PageDown', 'PageDown')]).toEqual([
      null,
      1,
      0,
      2,
    ]);
    expect(pressing(['ArrowRight', 'ArrowRight', 'PageUp'], { othersIn })).toEqual({ chosen: true, zone: 2, at: null });
    expect(pressing(['PageUp'], { othersIn })).toEqual(NO_TARGET);
    // Up and down stay in the list; what stands in it begins from its own place.
    expect([at('ArrowUp'), at('ArrowUp', 'ArrowUp'), at('ArrowDown')]).toEqual([1, 0, 2]);
    expect(pressing(['ArrowRight', 'ArrowUp'], { othersIn, isLine: () => false })).toMatchObject({
      chosen: true,
      zone: null,
    });
    const here = { zone: 0, at: 1 };
    expect(pressing(['ArrowDown'], { othersIn, here })).toEqual({ chosen: true, zone: 0, at: 2 });
    expect(pressing(['PageUp'], { othersIn, here })).toEqual({ chosen: true, zone: 0, at: 0 });
  });

  it('moves over the scene where zones are hidden and no place has a name', () => {
    const free = { free: true };
    expect(pressing(['ArrowRight'], free).spot).toEqual({ at: { x: 62, y: 30 }, label: 'At 62, 30' });
    expect(pressing([key('ArrowDown', true)], free).spot?.at).toEqual({ x: 50, y: 60 });
    expect(pressing(Array<string>(20).fill('ArrowLeft'), free).spot?.at).toEqual({ x: 0, y: 30 });
  });
});
