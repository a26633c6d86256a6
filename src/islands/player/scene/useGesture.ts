import {
  type DragEndEvent,
  type DragMoveEvent,
  type DragStartEvent,
  KeyboardCode,
  type KeyboardCoordinateGetter,
  KeyboardSensor,
  type Modifier,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { type RefObject, useCallback, useEffect, useRef } from 'react';
import {
  type Copy,
  candidates,
  indexAt,
  itemOf,
  keepsOrder,
  numberOf,
  type Point,
  toScene,
  winner,
} from '../../../core';
import { placesFor } from '../states';
import { type PlayerStore, placeOf } from '../store';
import type { LocalMove } from '../types';
import { type KeyPlaces, type KeyTarget, keyStep, NO_TARGET, nextTarget } from './keyTarget';

interface Options {
  readonly store: PlayerStore;
  readonly stage: RefObject<HTMLDivElement | null>;
  readonly scale: number;
  readonly onStart: (copy: Copy, byKey: boolean) => void;
  /** By the keyboard: the zone that is chosen, and at which place of its order; null: home. */
  readonly onTarget: (copy: Copy, zone: number | null, at: number | null) => void;
  /** By the keyboard, where zones are hidden: the place that is chosen, in words. */
  readonly onSpot: (words: string) => void;
  readonly onMove: (copy: Copy, move: LocalMove) => void;
  readonly onEnd: () => void;
}

/** The slot of a text that is under a point of the page. */
function slotUnder({ x, y }: Point): number | null {
  for (const element of document.elementsFromPoint(x, y)) {
    const slot = element.closest<HTMLElement>('[data-slot]');
    if (slot) return Number(slot.dataset.slot);
  }
  return null;
}

const isKeyboard = (event: Event | null): event is KeyboardEvent => event?.type === 'keydown';

function pointOf(event: Event): Point {
  const touch = 'touches' in event ? (event as TouchEvent).touches[0] : (event as MouseEvent);
  return { x: touch?.clientX ?? 0, y: touch?.clientY ?? 0 };
}

const CLEAR_OF_FINGER = 14;
const MAX_LIFT = 76;

/**
 * How far an item dragged by a finger is drawn above the finger, in CSS pixels, to be seen. It is dropped where it is
 * drawn.
 */
function liftOf(event: Event | null, box: { readonly top: number; readonly height: number } | null): number {
  if (!event || !('touches' in event) || !box) return 0;
  return Math.min(MAX_LIFT, box.top + box.height - pointOf(event).y + CLEAR_OF_FINGER);
}
const awayFromFinger: Modifier = ({ transform, activatorEvent, activeNodeRect }) => ({
  ...transform,
  y: transform.y - liftOf(activatorEvent, activeNodeRect),
});
const MODIFIERS = [awayFromFinger];

/**
 * The meaning of a gesture on the scene. dnd-kit catches the pointer, the finger and the keys; the core says over which
 * zone an item is. A pointer drops at a place; the keyboard goes from zone to zone by name, and within ordered zones
 * from place to place (a put).
 */
export function useGesture({ store, stage, scale, onStart, onTarget, onSpot, onMove, onEnd }: Options) {
  // The grip: where the item was grabbed, in scene units from its top left, and how far it is drawn from the finger.
  const grip = useRef<{ on: Point; lift: number }>({ on: { x: 0, y: 0 }, lift: 0 });
  // The pointer on the screen. dnd-kit reports a move after it is drawn, so at the end of a quick drag it is one move
  // behind.
  const pointerAt = useRef<Point>({ x: 0, y: 0 });
  const target = useRef<KeyTarget>(NO_TARGET);
  const current = useRef<Copy | null>(null);

  // The scene's origin on the screen, cached on every move so that onDragEnd needs no layout read. Scrolling counts as
  // a move.
  const began = useRef<Point>({ x: 0, y: 0 });
  const findCorner = useCallback(() => {
    const box = stage.current?.getBoundingClientRect();
    began.current = {
      x: (box?.left ?? 0) + (stage.current?.clientLeft ?? 0),
      y: (box?.top ?? 0) + (stage.current?.clientTop ?? 0),
    };
  }, [stage]);

  const follow = useCallback(({ clientX, clientY }: PointerEvent) => {
    pointerAt.current = { x: clientX, y: clientY };
  }, []);

  const aim = (copy: Copy, to: KeyTarget) => {
    target.current = to;
    store.getState().over(copy, to.zone);
    if (to.spot) onSpot(to.spot.label);
    else onTarget(copy, to.zone, to.at);
  };

  const placesOf = (copy: Copy): KeyPlaces => {
    const { model, board, view } = store.getState();
    const { hides, places: named } = view.question;
    return {
      zones: placesFor({ model, board }, copy),
      named,
      free: hides && named.length === 0,
      scene: model.source.scene,
      othersIn: (zone) => {
        const into = model.zones[zone];
        if (!into || !keepsOrder(into)) return 0;
        return board.zones[zone]?.filter((held) => held !== copy).length ?? 0;
      },
    };
  };

  /** Where the page draws an item at a target, on the screen: its top left. */
  const drawnAt = (copy: Copy, { zone, spot }: KeyTarget): Point | null => {
    const { w, h } = store.getState().model.items[itemOf(copy)] ?? { w: 0, h: 0 };
    if (spot)
      return { x: began.current.x + (spot.at.x - w / 2) * scale, y: began.current.y + (spot.at.y - h / 2) * scale };
    const box =
      zone === null ? null : stage.current?.querySelector(`[data-zone-index="${zone}"]`)?.getBoundingClientRect();
    if (box) return { x: box.left + (box.width - w * scale) / 2, y: box.top + (box.height - h * scale) / 2 };
    const home = document.querySelector(`[data-copy="${copy}"]`)?.getBoundingClientRect();
    return home ? { x: home.left, y: home.top } : null;
  };

  /** From the keyboard: the places an item could go, in the order of the zones, and home last. */
  const coordinateGetter: KeyboardCoordinateGetter = (event, { active, currentCoordinates }) => {
    const step = keyStep(event);
    if (step === null) return undefined;
    event.preventDefault();
    const copy = Number(active) as Copy;
    const next = nextTarget(target.current, step, event, placesOf(copy));
    if (next) aim(copy, next);
    if (!next || step === 'earlier' || step === 'later') return currentCoordinates;
    return drawnAt(copy, next) ?? currentCoordinates;
  };

  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 4 } }),
    useSensor(TouchSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter,
      keyboardCodes: {
        start: [KeyboardCode.Space, KeyboardCode.Enter],
        end: [KeyboardCode.Space, KeyboardCode.Enter],
        cancel: [KeyboardCode.Esc],
      },
    }),
  );

  /** The item's place now, and the grip on it. */
  const whereNow = (): { at: Point; pointer: Point } => {
    const { on, lift } = grip.current;
    const stageCorner = began.current;
    const pointer = toScene(
      { x: pointerAt.current.x - stageCorner.x, y: pointerAt.current.y - lift - stageCorner.y },
      scale,
    );
    return { at: { x: pointer.x - on.x, y: pointer.y - on.y }, pointer };
  };

  /** The slot under the pointer that could take the copy. */
  const slotHere = (copy: Copy): number | null => {
    const { model, board } = store.getState();
    if (!model.zones.some(({ isSlot }) => isSlot)) return null;
    const slot = slotUnder({ x: pointerAt.current.x, y: pointerAt.current.y - grip.current.lift });
    return slot !== null && placesFor({ model, board }, copy).includes(slot) ? slot : null;
  };

  const onDragStart = ({ active, activatorEvent }: DragStartEvent) => {
    const copy = Number(active.id) as Copy;
    current.current = copy;
    const client = pointOf(activatorEvent);
    const element = document.querySelector<HTMLElement>(`[data-copy="${copy}"]`);
    const box = element?.getBoundingClientRect();
    const docked = element?.closest('.docked-tray') !== null;
    findCorner();
    const stageCorner = began.current;
    const place = placeOf(store.getState(), copy);
    const on =
      docked && box
        ? toScene({ x: client.x - box.left, y: client.y - box.top }, scale)
        : { x: (client.x - stageCorner.x) / scale - place.x, y: (client.y - stageCorner.y) / scale - place.y };
    grip.current = { on, lift: liftOf(activatorEvent, box ?? null) };
    pointerAt.current = client;
    window.addEventListener('pointermove', follow, { capture: true, passive: true });
    target.current = NO_TARGET;
    store.getState().pickUp(copy);
    onStart(copy, isKeyboard(activatorEvent));
  };

  const over = useRef<number | null>(null);
  const onDragMove = (event: DragMoveEvent) => {
    // dnd-kit may report the last move after the end of the drag.
    if (current.current === null || isKeyboard(event.activatorEvent)) return;
    const copy = Number(event.active.id) as Copy;
    const { model, board } = store.getState();
    findCorner();
    const { at, pointer } = whereNow();
    const zone = slotHere(copy) ?? winner(candidates(model, board, copy, at, pointer));
    if (zone === over.current) return;
    over.current = zone;
    store.getState().over(copy, zone);
  };

  const finish = () => {
    window.removeEventListener('pointermove', follow, { capture: true });
    current.current = null;
    over.current = null;
    onEnd();
  };

  const onDragEnd = (event: DragEndEvent) => {
    const copy = Number(event.active.id) as Copy;
    const { model, next, cancel } = store.getState();
    const named = { item: model.items[itemOf(copy)]?.id ?? '', copy: numberOf(copy) };
    finish();
    if (isKeyboard(event.activatorEvent)) {
      const { chosen, zone, at, spot: chosenSpot } = target.current;
      if (!chosen) return cancel();
      const spot = chosenSpot?.at;
      if (spot) {
        const { w, h } = model.items[itemOf(copy)] as (typeof model.items)[number];
        onMove(copy, { kind: 'drop', ...named, x: spot.x - w / 2, y: spot.y - h / 2, px: spot.x, py: spot.y });
        return;
      }
      onMove(copy, {
        kind: 'put',
        ...named,
        zone: zone === null ? null : (model.zones[zone]?.id ?? null),
        ...(at === null ? {} : { at }),
      });
      // In the dock and on the scene it is a different element, to which the focus moves.
      requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-copy="${copy}"]`)?.focus());
      return;
    }
    const slot = slotHere(copy);
    if (slot !== null) return onMove(copy, { kind: 'put', ...named, zone: model.zones[slot]?.id ?? null });
    const { at, pointer } = whereNow();
    const { w, h } = model.items[itemOf(copy)] as (typeof model.items)[number];
    const board = next();
    const zone = winner(candidates(model, board, copy, at, pointer));
    const index = zone === null ? null : indexAt(model, board, copy, zone, { x: at.x + w / 2, y: at.y + h / 2 });
    onMove(copy, {
      kind: 'drop',
      ...named,
      x: at.x,
      y: at.y,
      px: pointer.x,
      py: pointer.y,
      ...(index === null ? {} : { at: index }),
    });
  };

  const onDragCancel = () => {
    finish();
    store.getState().cancel();
  };

  // The page goes away during a drag (another question, a reload of the island): nothing was moved.
  useEffect(() => () => void (current.current !== null && store.getState().cancel()), [store]);

  return { sensors, modifiers: MODIFIERS, onDragStart, onDragMove, onDragEnd, onDragCancel };
}
