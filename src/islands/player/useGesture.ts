import {
  type DragEndEvent,
  type DragMoveEvent,
  type DragStartEvent,
  KeyboardCode,
  type KeyboardCoordinateGetter,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { type RefObject, useCallback, useRef, useState } from 'react';
import { type Board, type Copy, candidates, itemOf, numberOf, type Point, type SceneModel, toScene, winner } from '../../core';
import type { Shown } from './board';
import type { LocalMove } from './types';

/** What is in hand now: which copy, and the zone it would go into; `zone` null: none. */
export interface InHand {
  readonly copy: Copy;
  readonly over: number | null;
}

interface Options {
  readonly model: SceneModel;
  readonly board: Board;
  readonly stage: RefObject<HTMLDivElement | null>;
  readonly scale: number;
  readonly shown: readonly Shown[];
  readonly homes: readonly Point[];
  readonly onStart: (copy: Copy) => void;
  readonly onTarget: (copy: Copy, zone: number | null) => void;
  readonly onMove: (copy: Copy, move: LocalMove) => void;
}

const isKeyboard = (event: Event | null): event is KeyboardEvent => event?.type === 'keydown';

function pointOf(event: Event): Point {
  const touch = 'touches' in event ? (event as TouchEvent).touches[0] : (event as MouseEvent);
  return { x: touch?.clientX ?? 0, y: touch?.clientY ?? 0 };
}

/**
 * What a gesture means on the scene. dnd-kit catches the pointer, the finger and the keys; the zone an item is over is the core's to say. A pointer lets
 * go at a place (a drop); the keyboard goes from zone to zone by name (a put).
 */
export function useGesture({ model, board, stage, scale, shown, homes, onStart, onTarget, onMove }: Options) {
  const [inHand, setInHand] = useState<InHand | null>(null);
  const from = useRef<{ at: Point; pointer: Point } | null>(null);
  const target = useRef<{ chosen: boolean; zone: number | null; step: number }>({ chosen: false, zone: null, step: -1 });

  const corner = useCallback(() => {
    const box = stage.current?.getBoundingClientRect();
    return { x: (box?.left ?? 0) + (stage.current?.clientLeft ?? 0), y: (box?.top ?? 0) + (stage.current?.clientTop ?? 0) };
  }, [stage]);

  /** From the keyboard: the places an item could go, in the order of the zones, and home last. */
  const coordinateGetter: KeyboardCoordinateGetter = (event, { active }) => {
    const ahead = event.code === KeyboardCode.Right || event.code === KeyboardCode.Down || (event.code === KeyboardCode.Tab && !event.shiftKey);
    const back = event.code === KeyboardCode.Left || event.code === KeyboardCode.Up || (event.code === KeyboardCode.Tab && event.shiftKey);
    if (!ahead && !back) return undefined;
    event.preventDefault();
    const copy = Number(active) as Copy;
    const item = model.items[itemOf(copy)];
    const places: (number | null)[] = [...model.zones.flatMap((zone, i) => (zone.outline && (zone.family === null || zone.family === item?.family) ? [i] : [])), null];
    const step = (target.current.step < 0 ? (ahead ? 0 : places.length - 1) : target.current.step + (ahead ? 1 : -1) + places.length) % places.length;
    const zone = places[step] ?? null;
    target.current = { chosen: true, zone, step };
    setInHand({ copy, over: zone });
    onTarget(copy, zone);
    const home = homes[itemOf(copy)] as Point;
    const box = zone === null ? null : model.zones[zone]?.outline?.box;
    const at = box && item ? { x: box.x + (box.w - item.w) / 2, y: box.y + (box.h - item.h) / 2 } : home;
    const stageCorner = corner();
    return { x: stageCorner.x + at.x * scale, y: stageCorner.y + at.y * scale };
  };

  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 4 } }),
    useSensor(TouchSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter,
      keyboardCodes: { start: [KeyboardCode.Space, KeyboardCode.Enter], end: [KeyboardCode.Space, KeyboardCode.Enter], cancel: [KeyboardCode.Esc] },
    }),
  );

  const letGo = ({ delta }: DragMoveEvent) => {
    const moved = toScene(delta, scale);
    const { at, pointer } = from.current as { at: Point; pointer: Point };
    return { at: { x: at.x + moved.x, y: at.y + moved.y }, pointer: { x: pointer.x + moved.x, y: pointer.y + moved.y } };
  };

  const onDragStart = ({ active, activatorEvent }: DragStartEvent) => {
    const copy = Number(active.id) as Copy;
    const at = shown.find((s) => s.copy === copy)?.at ?? { x: 0, y: 0 };
    const [client, stageCorner] = [pointOf(activatorEvent), corner()];
    from.current = { at, pointer: toScene({ x: client.x - stageCorner.x, y: client.y - stageCorner.y }, scale) };
    target.current = { chosen: false, zone: null, step: -1 };
    setInHand({ copy, over: null });
    onStart(copy);
  };

  const onDragMove = (event: DragMoveEvent) => {
    if (isKeyboard(event.activatorEvent)) return;
    const copy = Number(event.active.id) as Copy;
    const { at, pointer } = letGo(event);
    const over = winner(candidates(model, board, copy, at, pointer));
    setInHand((now) => (now?.over === over ? now : { copy, over }));
  };

  const onDragEnd = (event: DragEndEvent) => {
    const copy = Number(event.active.id) as Copy;
    setInHand(null);
    const named = { item: model.items[itemOf(copy)]?.id ?? '', copy: numberOf(copy) };
    if (isKeyboard(event.activatorEvent)) {
      const { chosen, zone } = target.current;
      if (chosen) onMove(copy, { kind: 'put', ...named, zone: zone === null ? null : (model.zones[zone]?.id ?? null) });
      return;
    }
    const { at, pointer } = letGo(event);
    onMove(copy, { kind: 'drop', ...named, x: at.x, y: at.y, px: pointer.x, py: pointer.y });
  };

  return { sensors, inHand, onDragStart, onDragMove, onDragEnd, onDragCancel: () => setInHand(null) };
}
