import { useDrag } from '@use-gesture/react';
import { type CSSProperties, type KeyboardEvent, memo, useLayoutEffect, useRef } from 'react';
import type { Copy, LearnerQuestion, Look } from '../../../core';
import { dress, motionIn } from '../../../scene/dress';
import { ItemFace } from '../../../scene/ItemFace';
import { useMediaSource } from '../../../scene/media';
import { phrase } from '../../../words';
import { stateOf } from '../states';
import type { PlayerStore } from '../store';
import { DRAG_FROM, type Gestures } from './useHands';

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
  /** Of what is picked, one alone can be: then only one of them is reached with the Tab key. */
  radio: 'reached' | 'byArrows' | null;
  gestures: Gestures;
  onPress: (copy: Copy) => void;
}

/** The id of the words that say how an item is moved with the keys. */
export const HOW_TO_MOVE = 'how-to-move';

/**
 * Every item has a driver of its own, so that each pointer may hold one. Events are listened to at the window: what is
 * dragged may be drawn anew meanwhile.
 */
const DRAGGING = { threshold: DRAG_FROM, triggerAllEvents: true, pointer: { capture: false, keys: false } } as const;

/** The transition of an item that comes to rest, apart from any motion of its look. */
const TO_REST = { duration: 180, easing: 'ease-out' };
/** The facts about one item, apart from its state. */
const [HELD, MOVED] = [1, 2];
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
  radio,
  gestures,
  onPress,
}: Props) {
  const state = store((s) => stateOf(s.states, copy));
  const came = store((s) => (s.came?.copies.has(copy) ? s.came : null));
  // Packed into one bit mask, so that the selector returns a primitive and runs cheaply for every item on every change.
  const marked = store((s) => (s.held === copy ? HELD : 0) | (s.moved === copy ? MOVED : 0));
  const held = (marked & HELD) !== 0;
  const node = useRef<HTMLDivElement>(null);
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
  const still = picked !== null || locked || state === 'putAway';
  // The press that ends a drag is none.
  const dragged = useRef(false);
  const bind = useDrag((drag) => {
    dragged.current = !still && gestures.drag(copy, drag);
  }, DRAGGING);
  const onKey = (event: KeyboardEvent) => {
    if (!still) return gestures.key(copy, event);
    if (picked === null || (event.key !== ' ' && event.key !== 'Enter')) return;
    event.preventDefault();
    onPress(copy);
  };
  const touch = () => store.getState().point(copy);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: it is a button or a radio button; rich text stands in it, which neither may hold
    // biome-ignore lint/a11y/useAriaPropsSupportedByRole: the same
    <div
      ref={node}
      className={`tag movable ${motionIn(look, state)}`}
      data-state={state}
      data-copy={copy}
      data-family={item.family ?? undefined}
      data-still={(marked & MOVED) !== 0 || came !== null || undefined}
      data-away={away || inHand || undefined}
      style={style}
      role={radio ? 'radio' : 'button'}
      tabIndex={radio === 'byArrows' ? -1 : 0}
      aria-roledescription={picked === null ? phrase('player.draggable') : undefined}
      data-picked={picked ?? undefined}
      data-radio={radio !== null || undefined}
      aria-describedby={picked === null && !locked ? HOW_TO_MOVE : undefined}
      {...bind()}
      onKeyDown={onKey}
      onBlur={() => gestures.left(copy)}
      // A long press is the beginning of a drag.
      onContextMenu={(event) => {
        if ((event.nativeEvent as PointerEvent).pointerType !== 'mouse') event.preventDefault();
      }}
      onDragStart={(event) => event.preventDefault()}
      aria-label={spoken}
      {...(radio ? { 'aria-checked': picked === true } : { 'aria-pressed': picked ?? (held || inHand) })}
      aria-disabled={locked}
      onClick={() => {
        if (!dragged.current) onPress(copy);
        dragged.current = false;
      }}
      onFocus={touch}
      onPointerEnter={touch}
    >
      <ItemFace label={item.label} lang={item.lang} content={item.content} state={state} width={item.size.w * scale} />
      {heap !== 1 && (
        <span className="tag-heap figures" aria-hidden>
          {heap === null ? '×∞' : `×${heap}`}
        </span>
      )}
    </div>
  );
});
