import type { FullGestureState } from '@use-gesture/react';
import { type KeyboardEvent, type RefObject, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import {
  type Copy,
  candidates,
  indexAt,
  isLine,
  itemOf,
  keepsOrder,
  type Point,
  placeInOrder,
  type SceneModel,
  toScene,
  winner,
  zoneAt,
} from '../../../core';
import { placesFor } from '../states';
import { nameOf, type PlayerStore } from '../store';
import type { LocalMove } from '../types';
import { zoneName } from '../words';
import { edgesLeft, scrollersOf, scrollTowards } from './edges';
import { type Carried, carriedWith } from './InHand';
import { type KeyPlaces, type KeyTarget, keyStep, NO_TARGET, namedTarget, nextTarget } from './keyTarget';
import type { PageScene } from './usePageScene';

interface Options {
  readonly store: PlayerStore;
  readonly stage: RefObject<HTMLDivElement | null>;
  readonly frame: RefObject<HTMLDivElement | null>;
  readonly page: PageScene;
  readonly onStart: (copy: Copy, byKey: boolean) => void;
  /** By the keyboard: the zone that is chosen, and at which place of its order; null: home. */
  readonly onTarget: (copy: Copy, zone: number | null, at: number | null) => void;
  /** By the keyboard, where zones are hidden: the place that is chosen, in words. */
  readonly onSpot: (words: string) => void;
  readonly onMove: (copy: Copy, move: LocalMove) => void;
}

/** What of a drag the scene looks at. */
export type DragState = Pick<FullGestureState<'drag'>, 'event' | 'intentional' | 'initial'>;

/** The gestures on items: the library catches the pointer of each, which holds one item. */
export interface Gestures {
  /** True: it drags; false: it is a press so far. */
  readonly drag: (copy: Copy, state: DragState) => boolean;
  readonly key: (copy: Copy, event: KeyboardEvent) => void;
  /** The focus has left an item. */
  readonly left: (copy: Copy) => void;
}

/** An item in hand, to be drawn over the page, with all it carries. */
export interface Hand {
  readonly copy: Copy;
  readonly carried: readonly Carried[];
}

/** An item in hand, by a pointer or by the keys; `pointer`, `grip` and `lift` in CSS pixels. */
interface Held {
  readonly byKey: boolean;
  pointer: Point;
  /** Where it was grabbed, from its middle. */
  readonly grip: Point;
  /** How far it is drawn above a finger. */
  readonly lift: number;
  over: number | null;
  target: KeyTarget;
  /** The edges of the page that the pointer has been away from: at these alone it scrolls. */
  readonly away: Set<string>;
}

/** From here on a pointer that moves drags; below, it is a press. CSS pixels. */
export const DRAG_FROM = 4;
const CLEAR_OF_FINGER = 14;
const MAX_LIFT = 76;

/** The slot of a text that is under a point of the page. */
function slotUnder({ x, y }: Point): number | null {
  for (const element of document.elementsFromPoint(x, y)) {
    const slot = element.closest<HTMLElement>('[data-slot]');
    if (slot) return Number(slot.dataset.slot);
  }
  return null;
}

/** What holds a scene with its tray: two of them may stand on one page, with the same copies. */
export const PLAYER = 'data-player';
const rootOf = (frame: HTMLElement | null): ParentNode => frame?.closest(`[${PLAYER}]`) ?? document;
export const elementIn = (frame: HTMLElement | null, copy: Copy) =>
  rootOf(frame).querySelector<HTMLElement>(`[data-copy="${copy}"]`);
const middleOf = ({ left, top, width, height }: DOMRect): Point => ({ x: left + width / 2, y: top + height / 2 });

/**
 * The meaning of gestures on the scene. The library catches the pointers, one for each item in hand; the core says over
 * which zone an item is. A pointer drops at a place; on a page that is laid out anew, and with the keys, it is put into
 * a zone by name.
 */
export function useHands(options: Options): { readonly gestures: Gestures; readonly hands: readonly Hand[] } {
  const latest = useRef(options);
  latest.current = options;
  const [hands, setHands] = useState<readonly Hand[]>([]);
  const held = useRef(new Map<Copy, Held>());
  /** Let go of before the pointer was: what it does until it comes down again means nothing. */
  const released = useRef(new Set<Copy>());

  /** The scene's origin on the screen. */
  const corner = useCallback((): Point => {
    const stage = latest.current.stage.current;
    const box = stage?.getBoundingClientRect();
    return { x: (box?.left ?? 0) + (stage?.clientLeft ?? 0), y: (box?.top ?? 0) + (stage?.clientTop ?? 0) };
  }, []);

  /** Where an item in hand is now: its middle and the pointer, in units of the page's scene. */
  const whereNow = useCallback(
    ({ pointer, grip, lift }: Held) => {
      const origin = corner();
      const { scale } = latest.current.page;
      const at = { x: pointer.x - origin.x, y: pointer.y - lift - origin.y };
      return { pointer: toScene(at, scale), middle: toScene({ x: at.x - grip.x, y: at.y - grip.y }, scale) };
    },
    [corner],
  );

  /** Draws an item in hand with its middle at a point of the screen. */
  const draw = useCallback((copy: Copy, middle: Point) => {
    const { frame, page } = latest.current;
    const drawn = rootOf(frame.current).querySelector<HTMLElement>(`[data-hand="${copy}"]`);
    const { scale, question } = page;
    const { w, h } = question.items[itemOf(copy)]?.size ?? { w: 0, h: 0 };
    if (drawn)
      drawn.style.transform = `translate3d(${middle.x - (w * scale) / 2}px, ${middle.y - (h * scale) / 2}px, 0)`;
  }, []);

  const drawHeld = useCallback(
    (copy: Copy, hand: Held) => {
      const { pointer, grip, lift } = hand;
      draw(copy, { x: pointer.x - grip.x, y: pointer.y - lift - grip.y });
    },
    [draw],
  );

  /** The slot under the pointer that could take the copy. */
  const slotHere = useCallback((copy: Copy, { pointer, lift }: Held): number | null => {
    const { model, board } = latest.current.store.getState();
    if (!model.zones.some(({ isSlot }) => isSlot)) return null;
    const slot = slotUnder({ x: pointer.x, y: pointer.y - lift });
    return slot !== null && placesFor({ model, board }, copy).includes(slot) ? slot : null;
  }, []);

  const zoneUnder = useCallback(
    (copy: Copy, hand: Held): number | null => {
      const slot = slotHere(copy, hand);
      if (slot !== null) return slot;
      const { page, store } = latest.current;
      const { model, board } = store.getState();
      const { pointer, middle } = whereNow(hand);
      const item = model.items[itemOf(copy)] as SceneModel['items'][number];
      if (page.anew) return zoneAt(page.anew, middle, item.family);
      return winner(candidates(model, board, copy, { x: middle.x - item.w / 2, y: middle.y - item.h / 2 }, pointer));
    },
    [slotHere, whereNow],
  );

  const follow = useCallback(
    (copy: Copy, hand: Held) => {
      drawHeld(copy, hand);
      const zone = zoneUnder(copy, hand);
      if (zone === hand.over) return;
      hand.over = zone;
      latest.current.store.getState().over(copy, zone);
    },
    [drawHeld, zoneUnder],
  );

  // While a pointer holds something near an edge, what lies beyond it comes into view.
  const loop = useRef(0);
  const scrollOn = useCallback(() => {
    const pointers = [...held.current].filter(([, { byKey }]) => !byKey);
    if (pointers.length === 0) {
      loop.current = 0;
      return;
    }
    const scrollers = scrollersOf(latest.current.frame.current);
    for (const [copy, hand] of pointers) {
      for (const edge of edgesLeft(scrollers, hand.pointer)) hand.away.add(edge);
      if (scrollTowards(scrollers, hand.pointer, hand.away)) follow(copy, hand);
    }
    loop.current = requestAnimationFrame(scrollOn);
  }, [follow]);

  const begin = useCallback(
    (copy: Copy, hand: Held) => {
      const { store, page, onStart } = latest.current;
      held.current.set(copy, hand);
      store.getState().pickUp(copy);
      onStart(copy, hand.byKey);
      setHands((all) => [...all, { copy, carried: carriedWith(page.model, store.getState().board, copy) }]);
      if (!hand.byKey && loop.current === 0) loop.current = requestAnimationFrame(scrollOn);
    },
    [scrollOn],
  );
  const end = useCallback((copy: Copy) => {
    held.current.delete(copy);
    setHands((all) => all.filter((hand) => hand.copy !== copy));
  }, []);
  const cancel = useCallback(
    (copy: Copy) => {
      if (!held.current.has(copy)) return;
      if (!held.current.get(copy)?.byKey) released.current.add(copy);
      end(copy);
      latest.current.store.getState().cancel(copy);
    },
    [end],
  );

  const drop = useCallback(
    (copy: Copy, hand: Held) => {
      const { store, page, onMove } = latest.current;
      const { model, next } = store.getState();
      const named = nameOf(model, copy);
      const zoneId = (zone: number | null) => (zone === null ? null : (model.zones[zone]?.id ?? null));
      const slot = slotHere(copy, hand);
      const { pointer, middle } = whereNow(hand);
      end(copy);
      if (slot !== null) return onMove(copy, { kind: 'put', ...named, zone: zoneId(slot) });
      const board = next();
      const { w, h, family } = model.items[itemOf(copy)] as SceneModel['items'][number];
      const at = { x: middle.x - w / 2, y: middle.y - h / 2 };
      const zone = page.anew ? zoneAt(page.anew, middle, family) : winner(candidates(model, board, copy, at, pointer));
      const index = zone === null ? null : indexAt(page.model, board, copy, zone, middle);
      const among = index === null ? {} : { at: index };
      onMove(
        copy,
        page.anew
          ? { kind: 'put', ...named, zone: zoneId(zone), ...among }
          : { kind: 'drop', ...named, ...at, px: pointer.x, py: pointer.y, ...among },
      );
    },
    [slotHere, whereNow, end],
  );

  const drag = useCallback(
    (copy: Copy, { event, intentional, initial }: DragState): boolean => {
      const pointer = { x: (event as PointerEvent).clientX, y: (event as PointerEvent).clientY };
      const from = { x: initial[0], y: initial[1] };
      const ends = event.type === 'pointerup';
      let hand = held.current.get(copy);
      if (event.type === 'pointerdown') released.current.delete(copy);
      if (hand?.byKey || event.type === 'pointerdown') return false;
      if (released.current.has(copy)) return true;
      if (event.type !== 'pointermove' && !ends) {
        cancel(copy);
        return true;
      }
      if (!hand) {
        // The whole way of a quick drag may arrive with its end.
        if (!intentional && !(ends && Math.hypot(pointer.x - from.x, pointer.y - from.y) >= DRAG_FROM)) return false;
        const box = elementIn(latest.current.frame.current, copy)?.getBoundingClientRect();
        if (!box) return false;
        const middle = middleOf(box);
        const isFinger = (event as PointerEvent).pointerType === 'touch';
        hand = {
          byKey: false,
          pointer,
          grip: { x: from.x - middle.x, y: from.y - middle.y },
          lift: isFinger ? Math.min(MAX_LIFT, box.bottom - from.y + CLEAR_OF_FINGER) : 0,
          over: null,
          target: NO_TARGET,
          away: new Set(),
        };
        begin(copy, hand);
      }
      hand.pointer = pointer;
      if (ends) drop(copy, hand);
      else follow(copy, hand);
      return true;
    },
    [begin, cancel, drop, follow],
  );

  // A hand is drawn where it is as soon as it is there.
  useEffect(() => {
    for (const { copy } of hands) {
      const hand = held.current.get(copy);
      if (!hand) continue;
      if (hand.byKey) draw(copy, targetOnScreen(latest.current, copy, hand.target, corner()));
      else drawHeld(copy, hand);
    }
  }, [hands, draw, drawHeld, corner]);
  const any = hands.length > 0;
  useEffect(() => {
    if (!any) return;
    const leave = () => {
      for (const copy of [...held.current.keys()]) cancel(copy);
    };
    const onKey = (event: globalThis.KeyboardEvent) => {
      if (event.key === 'Escape' && [...held.current.values()].some(({ byKey }) => !byKey)) leave();
    };
    document.addEventListener('visibilitychange', leave);
    window.addEventListener('keydown', onKey);
    return () => {
      document.removeEventListener('visibilitychange', leave);
      window.removeEventListener('keydown', onKey);
    };
  }, [any, cancel]);

  const key = useCallback(
    (copy: Copy, event: KeyboardEvent) => {
      const hand = held.current.get(copy);
      const presses = event.key === ' ' || event.key === 'Enter';
      if (!hand) {
        if (!presses || event.repeat) return;
        event.preventDefault();
        const nowhere = { x: 0, y: 0 };
        begin(copy, {
          ...{ byKey: true, pointer: nowhere, grip: nowhere, lift: 0, over: null },
          ...{ target: NO_TARGET, away: new Set<string>() },
        });
        return;
      }
      if (!hand.byKey) return;
      const { store, onMove, onTarget, onSpot } = latest.current;
      if (presses || event.key === 'Escape') {
        event.preventDefault();
        event.stopPropagation();
        const move = presses ? moveTo(store, copy, hand.target) : null;
        if (!move) {
          cancel(copy);
          onTarget(copy, null, null);
          return;
        }
        // In the tray and on the scene it is a different element, to which the focus moves: before the next key.
        flushSync(() => {
          end(copy);
          onMove(copy, move);
        });
        elementIn(latest.current.frame.current, copy)?.focus();
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const step = keyStep(event);
      const places = keyPlaces(store, copy);
      const next = step ? nextTarget(hand.target, step, event, places) : namedTarget(hand.target, event.key, places);
      if (step || next) event.preventDefault();
      if (!next) return;
      hand.target = next;
      store.getState().over(copy, next.zone);
      draw(copy, targetOnScreen(latest.current, copy, next, corner()));
      if (next.spot) onSpot(next.spot.label);
      else onTarget(copy, next.zone, next.at);
    },
    [begin, cancel, end, draw, corner],
  );
  const left = useCallback(
    (copy: Copy) => {
      if (held.current.get(copy)?.byKey) cancel(copy);
    },
    [cancel],
  );
  const gestures = useMemo(() => ({ drag, key, left }), [drag, key, left]);
  return { gestures, hands };
}

/** The move to a target chosen with the keys; null: none is chosen. */
function moveTo(store: PlayerStore, copy: Copy, { chosen, zone, at, spot }: KeyTarget): LocalMove | null {
  if (!chosen) return null;
  const { model } = store.getState();
  const named = nameOf(model, copy);
  if (spot) {
    const { w, h } = model.items[itemOf(copy)] as SceneModel['items'][number];
    const { x, y } = spot.at;
    return { kind: 'drop', ...named, x: x - w / 2, y: y - h / 2, px: x, py: y };
  }
  return {
    kind: 'put',
    ...named,
    zone: zone === null ? null : (model.zones[zone]?.id ?? null),
    ...(at === null ? {} : { at }),
  };
}

/** Where the page draws an item at a target, on the screen: its middle. What is out of sight comes into view. */
function targetOnScreen(
  { stage, frame, page }: Options,
  copy: Copy,
  { zone, spot, chosen }: KeyTarget,
  corner: Point,
): Point {
  if (spot) return { x: corner.x + spot.at.x * page.scale, y: corner.y + spot.at.y * page.scale };
  const at =
    zone === null
      ? elementIn(frame.current, copy)
      : (stage.current?.querySelector<HTMLElement>(`[data-zone-index="${zone}"]`) ?? elementIn(frame.current, copy));
  if (chosen) at?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  return at ? middleOf(at.getBoundingClientRect()) : { x: 0, y: 0 };
}

/** The places an item could go with the keys, in the order of the zones, and home last. */
function keyPlaces(store: PlayerStore, copy: Copy): KeyPlaces {
  const { model, board, view } = store.getState();
  const { hides, places: named } = view.question;
  return {
    zones: placesFor({ model, board }, copy),
    named,
    nameOf: (zone) => zoneName(store.getState(), zone),
    free: hides && named.length === 0,
    scene: model.source.scene,
    othersIn: (zone) => {
      const into = model.zones[zone];
      if (!into || !keepsOrder(into)) return 0;
      return board.zones[zone]?.filter((other) => other !== copy).length ?? 0;
    },
    isLine: (zone) => isLine(model.zones[zone] as SceneModel['zones'][number]),
    here: placeInOrder(model, board, copy),
  };
}
