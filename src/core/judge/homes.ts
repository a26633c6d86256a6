import type { Tray } from '../document/schema';
import { rectOutline } from '../geometry/outline';
import { settleBoxes } from '../geometry/settle';
import type { Box, Point } from '../geometry/space';
import type { Placing } from './model';

/** The band of the scene that is the tray, in scene units. */
export function trayBox(tray: Tray, scene: { readonly width: number; readonly height: number }): Box {
  const { side, size } = tray;
  const { width, height } = scene;
  switch (side) {
    case 'top':
      return { x: 0, y: 0, w: width, h: Math.min(size, height) };
    case 'bottom':
      return { x: 0, y: height - Math.min(size, height), w: width, h: Math.min(size, height) };
    case 'left':
      return { x: 0, y: 0, w: Math.min(size, width), h: height };
    case 'right':
      return { x: width - Math.min(size, width), y: 0, w: Math.min(size, width), h: height };
  }
}

/** The gap of `grid` where none is given. */
const TRAY_GAP = 8;

/** The item's bounding box when its unrotated top left is at 0, 0. */
export function boundsAtOrigin(item: { readonly w: number; readonly h: number; readonly rotation: number }): Box {
  return rectOutline({ x: 0, y: 0, w: item.w, h: item.h }, item.rotation).box;
}

/**
 * Each item's own place at the start, by item index: its unrotated top left. Items without a home are placed in the
 * tray in the way of `grid` (without a tray: over the whole scene). `order` permutes them: the item `order[i]` takes
 * the place of the i-th.
 */
export function homes(placing: Placing, order?: readonly number[]): Point[] {
  const waiting = placing.items.map((_, i) => i).filter((i) => placing.items[i]?.home === null);
  const turn = order ? order.filter((i) => placing.items[i]?.home === null) : waiting;
  const band = placing.tray
    ? trayBox(placing.tray, placing.scene)
    : { x: 0, y: 0, w: placing.scene.width, h: placing.scene.height };
  const bounds = placing.items.map(({ size, rotation }) => boundsAtOrigin({ ...size, rotation }));
  const places = settleBoxes(
    { rule: 'grid', gap: TRAY_GAP },
    band,
    turn.map((i) => bounds[i] as Box),
    turn.map(() => null),
  );
  const at = placing.items.map(({ home }) => home ?? { x: 0, y: 0 });
  turn.forEach((item, i) => {
    const place = places[i] as Point;
    const box = bounds[item] as Box;
    at[item] = { x: place.x - box.x, y: place.y - box.y };
  });
  return at;
}
