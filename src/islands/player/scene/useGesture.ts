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

interface Target {
  /** No place is chosen yet: letting go leaves the item where it is. */
  readonly chosen: boolean;
  readonly zone: number | null;
  readonly at: number | null;
  /** Where zones are hidden: the place on the scene, in scene units, where its middle would be. */
  readonly spot?: Point | undefined;
}
const NOWHERE: Target = { chosen: false, zone: null, at: null };

/** How far the arrow keys move what looks for something hidden, in scene units. */
const STEP = 12;
const LONG_STEP = 60;

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

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
};

/** The point an arrow key moves to, kept on the scene. */
function moved(
  { x, y }: Point,
  { code, shiftKey }: KeyboardEvent,
  { width, height }: { readonly width: number; readonly height: number },
): Point {
  const [dx, dy] = ARROWS[code] ?? [0, 0];
  const by = shiftKey ? LONG_STEP : STEP;
  return { x: Math.max(0, Math.min(width, x + dx * by)), y: Math.max(0, Math.min(height, y + dy * by)) };
}

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
  const target = useRef<Target>(NOWHERE);
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

  const aim = (copy: Copy, zone: number | null, at: number | null, spot?: { at: Point; label: string }) => {
    target.current = { chosen: true, zone, at, spot: spot?.at };
    if (spot) {
      store.getState().over(copy, null);
      onSpot(spot.label);
      return;
    }
    store.getState().over(copy, zone);
    onTarget(copy, zone, at);
  };

  /** From the keyboard: the places an item could go, in the order of the zones, and home last. */
  const coordinateGetter: KeyboardCoordinateGetter = (event, { active, currentCoordinates }) => {
    const ahead =
      event.code === KeyboardCode.Right ||
      event.code === KeyboardCode.Down ||
      (event.code === KeyboardCode.Tab && !event.shiftKey);
    const back =
      event.code === KeyboardCode.Left ||
      event.code === KeyboardCode.Up ||
      (event.code === KeyboardCode.Tab && event.shiftKey);
    const order = event.code === 'PageUp' ? -1 : event.code === 'PageDown' ? 1 : 0;
    if (!ahead && !back && order === 0) return undefined;
    event.preventDefault();
    const { model, board } = store.getState();
    const copy = Number(active) as Copy;
    const item = model.items[itemOf(copy)];
    if (order !== 0) {
      const { zone, at } = target.current;
      const most = othersIn(zone, copy);
      if (zone !== null && isOrdered(zone) && most > 0)
        aim(copy, zone, Math.max(0, Math.min(most, (at ?? most) + order)));
      return currentCoordinates;
    }
    const { hides, places: named } = store.getState().view.question;
    const onScreen = ({ x, y }: Point) => ({
      x: began.current.x + (x - (item?.w ?? 0) / 2) * scale,
      y: began.current.y + (y - (item?.h ?? 0) / 2) * scale,
    });
    if (hides && named.length === 0) {
      const spot = moved(
        target.current.spot ?? { x: model.source.scene.width / 2, y: model.source.scene.height / 2 },
        event,
        model.source.scene,
      );
      aim(copy, null, null, { at: spot, label: `At ${Math.round(spot.x)}, ${Math.round(spot.y)}` });
      return onScreen(spot);
    }
    const zones: (number | null)[] = [...placesFor({ model, board }, copy), null];
    const places = [
      ...named.map(({ label, x, y }) => ({ zone: null, spot: { at: { x, y }, label } })),
      ...zones.map((zone) => ({ zone, spot: undefined })),
    ];
    const { chosen, spot: at, zone: into } = target.current;
    const now = chosen
      ? places.findIndex(({ zone, spot }) => (at ? spot?.at.x === at.x && spot.at.y === at.y : !spot && zone === into))
      : ahead
        ? -1
        : places.length;
    const { zone, spot } = places[(now + (ahead ? 1 : -1) + places.length) % places.length] as (typeof places)[number];
    aim(copy, zone, null, spot);
    if (spot) return onScreen(spot.at);
    const box =
      zone === null ? null : stage.current?.querySelector(`[data-zone-index="${zone}"]`)?.getBoundingClientRect();
    if (box && item)
      return { x: box.left + (box.width - item.w * scale) / 2, y: box.top + (box.height - item.h * scale) / 2 };
    const home = document.querySelector(`[data-copy="${copy}"]`)?.getBoundingClientRect();
    return home ? { x: home.left, y: home.top } : currentCoordinates;
  };

  const othersIn = (zone: number | null, copy: Copy) =>
    zone === null ? 0 : (store.getState().board.zones[zone]?.filter((held) => held !== copy).length ?? 0);
  const isOrdered = (zone: number) => {
    const into = store.getState().model.zones[zone];
    return into !== undefined && keepsOrder(into);
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
    target.current = NOWHERE;
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
      const { chosen, zone, at, spot } = target.current;
      if (!chosen) return cancel();
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
