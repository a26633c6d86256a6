import { type RefObject, useLayoutEffect, useState } from 'react';
import { type Box, type LearnerQuestion, type Tray, trayBox } from '../../../core';

const SMALLEST_PRESS = 24;
/** A scene of ordinary size on the largest class board. */
const LARGEST_SCALE = 4;
const EDGES = 4;

export interface StageSize {
  readonly scale: number;
  /** The scene is wider than the room at its smallest: it pans, and the tray docks beneath. */
  readonly docked: boolean;
  /** The part of the scene that is shown in the frame. */
  readonly crop: Box;
}

/** The scene without the band of its tray. */
function withoutTray({ width, height }: LearnerQuestion['scene'], tray: Tray): Box {
  const band = trayBox(tray, { width, height });
  switch (tray.side) {
    case 'top':
      return { x: 0, y: band.h, w: width, h: height - band.h };
    case 'bottom':
      return { x: 0, y: 0, w: width, h: height - band.h };
    case 'left':
      return { x: band.w, y: 0, w: width - band.w, h: height };
    case 'right':
      return { x: 0, y: 0, w: width - band.w, h: height };
  }
}

/** The scale at which the smallest item is 24 px across. */
export function leastScale({ items }: LearnerQuestion): number {
  const smallest = Math.min(...items.map(({ size }) => Math.min(size.w, size.h)));
  return Number.isFinite(smallest) ? SMALLEST_PRESS / smallest : 0;
}

/** The size that fits the scene to the room, but never below where the smallest item would be under 24 px. */
export function stageSize(question: LearnerQuestion, room: number): StageSize {
  const { scene, tray } = question;
  const least = leastScale(question);
  const fits = (width: number) => Math.min(LARGEST_SCALE, (room - EDGES) / width);
  const whole = { x: 0, y: 0, w: scene.width, h: scene.height };
  if (fits(scene.width) >= least) return { scale: fits(scene.width), docked: false, crop: whole };
  const crop = tray ? withoutTray(scene, tray) : whole;
  return { scale: Math.max(least, fits(crop.w)), docked: true, crop };
}

export function useStageScale(frame: RefObject<HTMLElement | null>, question: LearnerQuestion): StageSize {
  const [room, setRoom] = useState(question.scene.width + EDGES);
  useLayoutEffect(() => {
    const watched = frame.current;
    if (!watched) return;
    const observer = new ResizeObserver(() => setRoom(watched.clientWidth));
    observer.observe(watched);
    setRoom(watched.clientWidth);
    return () => observer.disconnect();
  }, [frame]);
  return stageSize(question, room);
}
