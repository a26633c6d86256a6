import type { Point } from '../../../core';
import { phrase } from '../../../words';

/** Where an item would go that is moved with the keys. */
export interface KeyTarget {
  /** No place is chosen yet: letting go leaves the item where it is. */
  readonly chosen: boolean;
  /** Null: home, or a place on the scene. */
  readonly zone: number | null;
  /** The place in the zone's order; null: the last. */
  readonly at: number | null;
  /** If zones are hidden: the place on the scene, in scene units, where its middle would be. */
  readonly spot?: { readonly at: Point; readonly label: string } | undefined;
}
export const NO_TARGET: KeyTarget = { chosen: false, zone: null, at: null };

/** The next place, the one before, a place earlier or later in a zone's order. */
export type KeyStep = 'next' | 'previous' | 'earlier' | 'later';

export interface Key {
  readonly code: string;
  readonly shiftKey: boolean;
}

const STEPS: Readonly<Record<string, KeyStep>> = {
  ArrowRight: 'next',
  ArrowDown: 'next',
  ArrowLeft: 'previous',
  ArrowUp: 'previous',
  PageUp: 'earlier',
  PageDown: 'later',
};

/** What a key means while an item is in hand; null: nothing. */
export const keyStep = ({ code, shiftKey }: Key): KeyStep | null =>
  code === 'Tab' ? (shiftKey ? 'previous' : 'next') : (STEPS[code] ?? null);

export interface KeyPlaces {
  /** The zones the item may go into, in their order. */
  readonly zones: readonly number[];
  /** The places by name; where zones are hidden. */
  readonly named: readonly { readonly label: string; readonly x: number; readonly y: number }[];
  readonly nameOf: (zone: number) => string;
  /** Zones are hidden, and no places are named: the keys move over the scene. */
  readonly free: boolean;
  readonly scene: { readonly width: number; readonly height: number };
  /** The number of other copies in an ordered zone; 0 in any other. */
  readonly othersIn: (zone: number) => number;
  /** An ordered zone is one line: up and down stay in it. */
  readonly isLine: (zone: number) => boolean;
  /** Where in a line the item stands before it is moved; null: in none. */
  readonly here: { readonly zone: number; readonly at: number } | null;
}

/** The target after a key; null: the key changes nothing. */
export function nextTarget(target: KeyTarget, step: KeyStep, key: Key, places: KeyPlaces): KeyTarget | null {
  const upOrDown = key.code === 'ArrowUp' || key.code === 'ArrowDown';
  const inZone = target.chosen ? target.zone : (places.here?.zone ?? null);
  if (
    step === 'earlier' ||
    step === 'later' ||
    (upOrDown && inZone !== null && places.isLine(inZone) && places.othersIn(inZone) > 0)
  )
    return inOrder(target, step === 'later' || step === 'next' ? 1 : -1, places);
  if (places.free) return onScene(target, key, places.scene);
  const all = allPlaces(places);
  const by = step === 'next' ? 1 : -1;
  const now = target.chosen ? all.findIndex((place) => isSame(place, target)) : step === 'next' ? -1 : all.length;
  const next = all[(now + by + all.length) % all.length];
  return next ? { ...next, chosen: true, at: null } : null;
}

type Place = Pick<KeyTarget, 'zone' | 'spot'>;

/** By name, or as the zones are listed; home last. */
const allPlaces = ({ named, zones }: KeyPlaces): Place[] => [
  ...named.map(({ label, x, y }) => ({ zone: null, spot: { at: { x, y }, label } })),
  ...[...zones, null].map((zone) => ({ zone })),
];

/**
 * The place whose name begins with a letter, the next of several; or, with a digit, the place of that number. Null: the
 * key is neither, or no place is called so.
 */
export function namedTarget(target: KeyTarget, key: string, places: KeyPlaces): KeyTarget | null {
  if ([...key].length !== 1 || places.free) return null;
  const all = allPlaces(places).slice(0, -1);
  const numbered = /[1-9]/.test(key) ? all[Number(key) - 1] : undefined;
  const nameOf = ({ zone, spot }: Place) => spot?.label ?? (zone === null ? '' : places.nameOf(zone));
  const letter = key.toLocaleLowerCase();
  const called = all.filter((place) => nameOf(place).toLocaleLowerCase().startsWith(letter));
  const now = target.chosen ? called.findIndex((place) => isSame(place, target)) : -1;
  const next = called[(now + 1) % called.length] ?? numbered;
  return next ? { ...next, chosen: true, at: null } : null;
}

/** Within the order of the zone that is chosen, else of the one in which the item stands. */
function inOrder(target: KeyTarget, by: number, { othersIn, here }: KeyPlaces): KeyTarget | null {
  const zone = target.chosen ? target.zone : (here?.zone ?? null);
  if (zone === null) return null;
  const most = othersIn(zone);
  if (most === 0) return null;
  const from = target.at ?? (here?.zone === zone ? here.at : most);
  return { chosen: true, zone, at: Math.max(0, Math.min(most, from + by)) };
}

const isSame = (place: Pick<KeyTarget, 'zone' | 'spot'>, target: KeyTarget): boolean =>
  target.spot
    ? place.spot?.at.x === target.spot.at.x && place.spot.at.y === target.spot.at.y
    : !place.spot && place.zone === target.zone;

/** How far a key moves over the scene, in scene units. */
const STEP = 12;
const LONG_STEP = 60;
const DIRECTIONS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
};

function onScene({ spot }: KeyTarget, { code, shiftKey }: Key, { width, height }: KeyPlaces['scene']): KeyTarget {
  const from = spot?.at ?? { x: width / 2, y: height / 2 };
  const [dx, dy] = DIRECTIONS[code] ?? [0, 0];
  const by = shiftKey ? LONG_STEP : STEP;
  const at = {
    x: Math.max(0, Math.min(width, from.x + dx * by)),
    y: Math.max(0, Math.min(height, from.y + dy * by)),
  };
  return {
    chosen: true,
    zone: null,
    at: null,
    spot: { at, label: phrase('player.atPoint', { x: Math.round(at.x), y: Math.round(at.y) }) },
  };
}
