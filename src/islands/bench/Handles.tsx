import { type Ref, type RefObject, useEffect, useImperativeHandle, useLayoutEffect, useRef, useState } from 'react';
import Moveable from 'react-moveable';
import { type Box, type Handle, resize, rounded, shiftWithin, snapMove, snapResize } from '../../core';
import type { BenchStore, Boxed } from './store';

const SNAP_PIXELS = 6;

export interface HandlesControl {
  /** Begins to pull what is selected with the press that selected it. */
  pullFrom(event: PointerEvent): void;
}

interface Props {
  store: BenchStore;
  stage: RefObject<HTMLDivElement | null>;
  scale: number;
  placed: readonly Boxed[];
  ref?: Ref<HandlesControl>;
}

/** The handles round what is selected. Moveable catches the gesture; where things go and what they snap to is the core's arithmetic. */
export function Handles({ store, stage, scale, placed, ref }: Props) {
  const { selection, draft, question, pull, release } = store();
  const moveable = useRef<Moveable>(null);
  const [targets, setTargets] = useState<HTMLElement[]>([]);

  useLayoutEffect(() => {
    const standing = new Set<string>([...question.items, ...question.zones].map(({ id }) => id));
    setTargets([...selection].filter((id) => standing.has(id)).flatMap((id) => stage.current?.querySelector<HTMLElement>(`[data-id="${CSS.escape(id)}"]`) ?? []));
  }, [selection, stage, question]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the handles follow whatever moves their target
  useEffect(() => moveable.current?.updateRect(), [draft, question, scale, targets]);

  useImperativeHandle(ref, () => ({
    pullFrom: (event) => {
      // The handles reach a newly selected target with the next frame; a press that has ended by then was a press, not a pull.
      let ended = false;
      const end = () => {
        ended = true;
      };
      window.addEventListener('pointerup', end, { once: true });
      requestAnimationFrame(() => {
        window.removeEventListener('pointerup', end);
        const control = moveable.current;
        if (control && !ended && !control.isDragging()) control.dragStart(event);
      });
    },
  }));

  const chosen = placed.filter(({ id }) => selection.has(id));
  const scene: Box = { x: 0, y: 0, w: question.scene.width, h: question.scene.height };
  const others: Box[] = [...placed.filter(({ id }) => !selection.has(id)).map(({ box }) => box), scene];
  const tolerance = SNAP_PIXELS / scale;

  const move = (dx: number, dy: number, freely: boolean) => {
    const first = chosen[0];
    if (!first) return;
    const moved = { ...first.box, x: first.box.x + dx / scale, y: first.box.y + dy / scale };
    const { box, guides } = freely ? { box: moved, guides: [] } : snapMove(moved, others, tolerance);
    const by = shiftWithin(
      chosen.map((one) => one.box),
      { x: box.x - first.box.x, y: box.y - first.box.y },
      scene,
    );
    pull(new Map(chosen.map((one) => [one.id, rounded({ ...one.box, x: one.box.x + by.x, y: one.box.y + by.y })])), guides);
  };
  const stretch = (handle: Handle, dw: number, dh: number, freely: boolean) => {
    const first = chosen[0];
    if (!first) return;
    const pulled = resize(first.box, handle, (handle.x * dw) / scale, (handle.y * dh) / scale);
    const { box, guides } = freely ? { box: pulled, guides: [] } : snapResize(pulled, handle, others, tolerance);
    pull(new Map([[first.id, rounded(box)]]), guides);
  };
  const free = (event: unknown) => (event as MouseEvent | undefined)?.altKey === true;

  if (targets.length === 0) return null;
  return (
    <Moveable
      ref={moveable}
      target={targets}
      draggable
      resizable={targets.length === 1}
      origin={false}
      keepRatio={false}
      throttleDrag={0}
      onDrag={({ dist, inputEvent }) => move(dist[0] as number, dist[1] as number, free(inputEvent))}
      onDragGroup={({ events, inputEvent }) => {
        const dist = events[0]?.dist ?? [0, 0];
        move(dist[0] as number, dist[1] as number, free(inputEvent));
      }}
      onResize={({ dist, direction, inputEvent }) =>
        stretch({ x: direction[0] as Handle['x'], y: direction[1] as Handle['y'] }, dist[0] as number, dist[1] as number, free(inputEvent))
      }
      onDragEnd={release}
      onDragGroupEnd={release}
      onResizeEnd={release}
    />
  );
}
