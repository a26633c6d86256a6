import { usePinch } from '@use-gesture/react';
import { Maximize, Minus, Plus } from 'lucide-react';
import { type RefObject, useLayoutEffect, useRef } from 'react';
import type { Point } from '../../../core';
import { phrase } from '../../../words';

/** One press on a button makes the scene so many times as large. */
const STEP = 1.5;

/** A scene that does not fit: two fingers or the buttons bring it nearer, about where they are. */
export function Zoom({
  frame,
  scale,
  zoom: { least, most },
  onZoom,
}: {
  frame: RefObject<HTMLDivElement | null>;
  scale: number;
  zoom: { readonly least: number; readonly most: number };
  onZoom: (scale: number) => void;
}) {
  // The point of the scene that stays where it is, and where that is in the frame, in CSS pixels.
  const fixed = useRef<{ at: Point; scale: number } | null>(null);
  const about = (to: number, at: Point) => {
    fixed.current = { at, scale };
    onZoom(Math.min(most, Math.max(least, to)));
  };
  const middle = (): Point => ({
    x: (frame.current?.clientWidth ?? 0) / 2,
    y: (frame.current?.clientHeight ?? 0) / 2,
  });
  useLayoutEffect(() => {
    const element = frame.current;
    const from = fixed.current;
    fixed.current = null;
    if (!element || !from || from.scale === scale) return;
    const factor = scale / from.scale;
    element.scrollLeft = (element.scrollLeft + from.at.x) * factor - from.at.x;
    element.scrollTop = (element.scrollTop + from.at.y) * factor - from.at.y;
  }, [frame, scale]);
  usePinch(
    ({ origin: [x, y], offset: [to] }) => {
      const box = frame.current?.getBoundingClientRect();
      if (box) about(to, { x: x - box.left, y: y - box.top });
    },
    {
      target: frame,
      from: () => [scale, 0],
      scaleBounds: { min: least, max: most },
      eventOptions: { passive: false },
    },
  );
  return (
    <div className="scene-zoom">
      <p className="text-sm text-mute">{phrase('player.pushAside')}</p>
      <button
        type="button"
        className="btn btn-edge btn-sm btn-square"
        aria-label={phrase('player.smaller')}
        title={phrase('player.smaller')}
        aria-disabled={scale <= least}
        onClick={() => about(scale / STEP, middle())}
      >
        <Minus aria-hidden size={18} />
      </button>
      <button
        type="button"
        className="btn btn-edge btn-sm btn-square"
        aria-label={phrase('player.larger')}
        title={phrase('player.larger')}
        aria-disabled={scale >= most}
        onClick={() => about(scale * STEP, middle())}
      >
        <Plus aria-hidden size={18} />
      </button>
      <button
        type="button"
        className="btn btn-edge btn-sm btn-square"
        aria-label={phrase('player.wholeScene')}
        title={phrase('player.wholeScene')}
        aria-disabled={scale <= least}
        onClick={() => about(least, middle())}
      >
        <Maximize aria-hidden size={18} />
      </button>
    </div>
  );
}
