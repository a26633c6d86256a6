import { useDraggable } from '@dnd-kit/core';
import { type CSSProperties, type KeyboardEvent, memo, type RefObject, useLayoutEffect, useRef } from 'react';
import { flushSync } from 'react-dom';
import type { Copy, LearnerQuestion, Look } from '../../../core';
import { dress, motionIn } from '../../../scene/dress';
import { ItemFace } from '../../../scene/ItemFace';
import { useMediaSource } from '../../../scene/media';
import { stateOf } from '../states';
import type { PlayerStore } from '../store';

interface Props {
  store: PlayerStore;
  copy: Copy;
  item: LearnerQuestion['items'][number];
  look: Look | undefined;
  /** Its unrotated top left on the stage in pixels; null: it is in a row of the dock, or in a slot. */
  left: number | null;
  top: number | null;
  scale: number;
  /** The number of copies here; null: endless. */
  heap: number | null;
  /** The name for screen readers: the label, its place, its verdict, its feedback. */
  spoken: string;
  locked: boolean;
  /** True if it is carried along by the item in hand. */
  away: boolean;
  inHand: boolean;
  /** It lies in a slot of a text, as wide as that. */
  inSlot: boolean;
  /** Is it picked? Null: it is moved, not picked in its place. */
  picked: boolean | null;
  onPress: (copy: Copy) => void;
}

/** The transition of an item that comes to rest, apart from any motion of its look. */
const TO_REST = { duration: 180, easing: 'ease-out' };
/** The facts about one item, apart from its state. */
const [HELD, MOVED, ARMED] = [1, 2, 4];
const wantsLessMotion = () => matchMedia('(prefers-reduced-motion: reduce)').matches;

/** One copy as a paper tag that can be dragged, pressed, or picked up with the keyboard. */
export const MovableItem = memo(function MovableItem({
  store,
  copy,
  item,
  look,
  left,
  top,
  scale,
  heap,
  spoken,
  locked,
  away,
  inHand,
  inSlot,
  picked,
  onPress,
}: Props) {
  const state = store((s) => stateOf(s.states, copy));
  const came = store((s) => (s.came?.copies.has(copy) ? s.came : null));
  // Packed into one bit mask, so that the selector returns a primitive and runs cheaply for every item on every change.
  const marked = store(
    (s) => (s.held === copy ? HELD : 0) | (s.moved === copy ? MOVED : 0) | (s.armed === copy ? ARMED : 0),
  );
  const held = (marked & HELD) !== 0;
  const node = useRef<HTMLDivElement>(null);
  const listeners = useRef<Listeners>(undefined);
  const media = useMediaSource();
  const turns = [
    item.rotation === 0 ? '' : `rotate(${item.rotation}deg)`,
    held ? 'translateY(-4px) rotate(2deg)' : '',
  ].filter(Boolean);
  const style: CSSProperties = {
    ...dress(look, state, scale, media),
    ...(left === null || top === null ? { position: 'relative' } : { left, top }),
    ...(inSlot ? {} : { width: item.size.w * scale, height: item.size.h * scale }),
    ...(turns.length > 0 ? { transform: turns.join(' ') } : {}),
  };
  const turn = came?.turn;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once each time it was let go, from where that was
  useLayoutEffect(() => {
    if (came && !wantsLessMotion())
      node.current?.animate(
        [{ translate: `${came.x * scale}px ${came.y * scale}px` }, { translate: '0px 0px' }],
        TO_REST,
      );
  }, [turn]);
  // An item that was hovered or focused before hydration is not armed yet.
  const caught = () => {
    if (!listeners.current) flushSync(() => store.getState().arm(copy));
    return listeners.current;
  };
  const pickByKey = (event: KeyboardEvent) => {
    if (event.key !== ' ' && event.key !== 'Enter') return;
    event.preventDefault();
    onPress(copy);
  };
  const touch = () => {
    store.getState().arm(copy);
    store.getState().point(copy);
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: rich text stands in it, which no button may hold
    <div
      ref={node}
      className={`tag movable ${motionIn(look, state)}`}
      data-state={state}
      data-copy={copy}
      data-family={item.family ?? undefined}
      data-still={(marked & MOVED) !== 0 || came !== null || undefined}
      data-away={away || inHand || undefined}
      style={style}
      role="button"
      tabIndex={0}
      aria-roledescription={picked === null ? 'draggable' : undefined}
      data-picked={picked ?? undefined}
      // The instructions of DndContext, by its own id.
      aria-describedby={picked === null ? 'scene' : undefined}
      onMouseDown={(event) => picked === null && caught()?.onMouseDown?.(event)}
      onTouchStart={(event) => picked === null && caught()?.onTouchStart?.(event)}
      onKeyDown={(event) => (picked === null ? caught()?.onKeyDown?.(event) : pickByKey(event))}
      aria-label={spoken}
      aria-pressed={picked ?? (held || inHand)}
      aria-disabled={locked}
      onClick={() => onPress(copy)}
      onFocus={touch}
      onPointerEnter={touch}
      onPointerDown={touch}
    >
      {(marked & ARMED) !== 0 && picked === null && (
        <Grip copy={copy} element={node} listeners={listeners} disabled={locked || state === 'putAway'} />
      )}
      <ItemFace label={item.label} content={item.content} state={state} width={item.size.w * scale} />
      {heap !== 1 && (
        <span className="tag-heap figures" aria-hidden>
          {heap === null ? '×∞' : `×${heap}`}
        </span>
      )}
    </div>
  );
});

type Listeners = ReturnType<typeof useDraggable>['listeners'];

/** The drag-and-drop library's part of an item: it catches the gesture on the item's element. */
function Grip({
  copy,
  element,
  listeners,
  disabled,
}: {
  copy: Copy;
  element: RefObject<HTMLDivElement | null>;
  listeners: RefObject<Listeners>;
  disabled: boolean;
}) {
  const { setNodeRef, listeners: caught } = useDraggable({ id: String(copy), disabled });
  useLayoutEffect(() => {
    listeners.current = caught;
  }, [listeners, caught]);
  useLayoutEffect(() => {
    setNodeRef(element.current);
    return () => {
      setNodeRef(null);
      listeners.current = undefined;
    };
  }, [setNodeRef, element, listeners]);
  return null;
}
