import { type RefObject, useLayoutEffect, useState } from 'react';
import type { LearnerQuestion } from '../../core';

const SMALLEST_PRESS = 24;
const LARGEST_SCALE = 1.25;

/** The scale that fits the scene to the room, but never below where the smallest item would be under 24 px: then the frame pans. */
export function useStageScale(frame: RefObject<HTMLElement | null>, { scene, items }: LearnerQuestion): number {
  const [width, setWidth] = useState(scene.width);
  useLayoutEffect(() => {
    const watched = frame.current;
    if (!watched) return;
    const observer = new ResizeObserver(() => setWidth(watched.clientWidth));
    observer.observe(watched);
    setWidth(watched.clientWidth);
    return () => observer.disconnect();
  }, [frame]);
  const smallest = Math.min(...items.map(({ size }) => Math.min(size.w, size.h)));
  return Math.min(LARGEST_SCALE, Math.max((width - 4) / scene.width, Number.isFinite(smallest) ? SMALLEST_PRESS / smallest : 0));
}
