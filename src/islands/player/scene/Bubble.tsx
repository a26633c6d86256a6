import { type CSSProperties, useLayoutEffect, useRef, useState } from 'react';
import { type Box, copyNamed } from '../../../core';
import { Saying } from '../Saying';
import type { PlayerState, PlayerStore } from '../store';

const CLEAR = 8;

/** The feedback of a copy, beside it: below if there is room, else above. */
export function Bubble({
  store,
  boxOf,
  width,
  height,
}: {
  store: PlayerStore;
  boxOf: (copy: NonNullable<PlayerState['pointed']>) => Box | null;
  width: number;
  height: number;
}) {
  const pointed = store((s) => s.pointed);
  const told = store((s) => s.told);
  const model = store((s) => s.model);
  const bubble = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ w: 0, h: 0 });
  const saying =
    pointed === null
      ? undefined
      : told?.says.find(({ of: namedCopy }) => namedCopy && copyNamed(model, namedCopy) === pointed);
  const box = pointed === null || !saying ? null : boxOf(pointed);
  useLayoutEffect(() => {
    const { offsetWidth = 0, offsetHeight = 0 } = bubble.current ?? {};
    if (offsetWidth !== size.w || offsetHeight !== size.h) setSize({ w: offsetWidth, h: offsetHeight });
  });
  if (!saying || !box) return null;
  const below = box.y + box.h + CLEAR;
  const style: CSSProperties = {
    left: Math.max(CLEAR, Math.min(box.x, width - size.w - CLEAR)),
    top: below + size.h <= height - CLEAR ? below : Math.max(CLEAR, box.y - CLEAR - size.h),
  };
  return (
    <div ref={bubble} className="bubble" style={style} aria-hidden>
      <Saying said={saying.said} width={220} />
    </div>
  );
}
