import { useDraggable } from '@dnd-kit/core';
import { type CSSProperties, memo } from 'react';
import { type Item, type Look, numberOf } from '../../core';
import { dress, ItemFace, type ItemState, motionIn, useMediaSource } from '../../scene';
import type { Shown } from './board';

interface Props {
  shown: Shown;
  label: string;
  content: Item['content'];
  look: Look | undefined;
  /** What a screen reader hears: the label, where it is, how it was judged. */
  spoken: string;
  size: { w: number; h: number };
  rotation: number;
  scale: number;
  state: ItemState;
  locked: boolean;
  held: boolean;
  onPress: (copy: Shown['copy']) => void;
}

/** One copy as a paper tag that can be dragged, pressed, or taken up with the keyboard. */
export const MovableItem = memo(function MovableItem({ shown, label, content, look, spoken, size, rotation, scale, state, locked, held, onPress }: Props) {
  const { setNodeRef, listeners, attributes, transform } = useDraggable({ id: String(shown.copy), disabled: locked });
  const turns = [
    transform ? `translate3d(${transform.x}px, ${transform.y}px, 0)` : '',
    rotation === 0 ? '' : `rotate(${rotation}deg)`,
    transform ? 'rotate(2deg)' : held ? 'translateY(-4px) rotate(2deg)' : '',
  ].filter(Boolean);
  const media = useMediaSource();
  const style: CSSProperties = {
    ...dress(look, state, scale, media),
    left: shown.at.x * scale,
    top: shown.at.y * scale,
    width: size.w * scale,
    height: size.h * scale,
    ...(turns.length > 0 ? { transform: turns.join(' ') } : {}),
  };
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: dnd-kit listens to the keys
    // biome-ignore lint/a11y/useAriaPropsSupportedByRole: dnd-kit gives the role, button
    // biome-ignore lint/a11y/noStaticElementInteractions: the same
    <div
      ref={setNodeRef}
      className={`tag movable ${motionIn(look, state)}`}
      data-state={state}
      data-heap={shown.heap && numberOf(shown.copy) === 0}
      data-copy={shown.copy}
      style={style}
      {...listeners}
      {...attributes}
      aria-label={spoken}
      aria-pressed={held || transform !== null}
      aria-disabled={locked}
      onClick={() => onPress(shown.copy)}
    >
      <ItemFace label={label} content={content} state={state} />
    </div>
  );
});
