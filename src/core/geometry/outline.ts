import type { Shape } from '../document/schema';
import { areaInUnitCircle } from './ellipse';
import { type Corners, clipToConvex, inPolygon, signedArea } from './polygon';
import { type Box, cosSin, type Point, SLACK, turn } from './space';

/** A shape as it stands on the scene, turned: what overlap and containment are asked of. A slot has none. */
export type Outline =
  | { readonly type: 'polygon'; readonly corners: Corners; readonly box: Box }
  | {
      readonly type: 'ellipse';
      readonly centre: Point;
      readonly rx: number;
      readonly ry: number;
      readonly cos: number;
      readonly sin: number;
      readonly box: Box;
    };

const boxOfCorners = (corners: Corners): Box => {
  let left = Infinity;
  let top = Infinity;
  let right = -Infinity;
  let bottom = -Infinity;
  for (const [x, y] of corners) {
    if (x < left) left = x;
    if (x > right) right = x;
    if (y < top) top = y;
    if (y > bottom) bottom = y;
  }
  return { x: left, y: top, w: right - left, h: bottom - top };
};

/** The corners of a rectangle turned about its centre, clockwise on the screen, from the top left on. */
export function turnedCorners(box: Box, rotation: number): Corners {
  const corners: Corners = [
    [box.x, box.y],
    [box.x + box.w, box.y],
    [box.x + box.w, box.y + box.h],
    [box.x, box.y + box.h],
  ];
  if (rotation % 360 === 0) return corners;
  const [cos, sin] = cosSin(rotation);
  const centre = { x: box.x + box.w / 2, y: box.y + box.h / 2 };
  return corners.map(([x, y]) => {
    const p = turn({ x, y }, centre, cos, sin);
    return [p.x, p.y] as const;
  });
}

/** The outline of a rectangle: an item at its place, or a rect zone. */
export function rectOutline(box: Box, rotation: number): Outline {
  const corners = turnedCorners(box, rotation);
  return { type: 'polygon', corners, box: rotation % 360 === 0 ? box : boxOfCorners(corners) };
}

/** The outline of a zone's shape; null for a slot, which the page lays out. */
export function outlineOf(shape: Shape, rotation: number): Outline | null {
  switch (shape.type) {
    case 'rect':
      return rectOutline(shape, rotation);
    case 'polygon':
      return { type: 'polygon', corners: shape.points, box: boxOfCorners(shape.points) };
    case 'ellipse': {
      const [cos, sin] = cosSin(rotation);
      return ellipseOutline({ x: shape.cx, y: shape.cy }, shape.rx, shape.ry, cos, sin);
    }
    case 'slot':
      return null;
  }
}

/**
 * An outline given from an item's unrotated top left, where the item stands at `at`: moved with it and turned with it,
 * about its centre.
 */
export function carried(
  outline: Outline,
  at: Point,
  carrier: { readonly w: number; readonly h: number; readonly rotation: number },
): Outline {
  const [cos, sin] = cosSin(carrier.rotation);
  const pivot = { x: at.x + carrier.w / 2, y: at.y + carrier.h / 2 };
  const move = (x: number, y: number) => turn({ x: at.x + x, y: at.y + y }, pivot, cos, sin);
  if (outline.type === 'polygon') {
    const corners = outline.corners.map(([x, y]) => {
      const p = move(x, y);
      return [p.x, p.y] as const;
    });
    return { type: 'polygon', corners, box: boxOfCorners(corners) };
  }
  const turned = { cos: outline.cos * cos - outline.sin * sin, sin: outline.sin * cos + outline.cos * sin };
  return ellipseOutline(move(outline.centre.x, outline.centre.y), outline.rx, outline.ry, turned.cos, turned.sin);
}

function ellipseOutline(centre: Point, rx: number, ry: number, cos: number, sin: number): Outline {
  const w = Math.hypot(rx * cos, ry * sin);
  const h = Math.hypot(rx * sin, ry * cos);
  return { type: 'ellipse', centre, rx, ry, cos, sin, box: { x: centre.x - w, y: centre.y - h, w: 2 * w, h: 2 * h } };
}

const boxesApart = (a: Box, b: Box) => a.x + a.w < b.x || b.x + b.w < a.x || a.y + a.h < b.y || b.y + b.h < a.y;

/** Is the point in the shape, its edge included, with the slack of 1e-9? */
export function contains(outline: Outline, p: Point): boolean {
  if (outline.type === 'polygon') return inPolygon(outline.corners, p.x, p.y, SLACK);
  const dx = p.x - outline.centre.x;
  const dy = p.y - outline.centre.y;
  const u = dx * outline.cos + dy * outline.sin;
  const v = -dx * outline.sin + dy * outline.cos;
  // The slack is a length: an ellipse grown by it.
  return (u / (outline.rx + SLACK)) ** 2 + (v / (outline.ry + SLACK)) ** 2 <= 1;
}

/**
 * The share of an item's area that lies in the shape, 0 to 1. `item` is the item's rectangle at its place, turned.
 * Exact for polygons (the item is convex, so one clipping pass is enough) and for ellipses (the item is mapped to where
 * the ellipse is the unit circle).
 */
export function overlapShare(item: Extract<Outline, { type: 'polygon' }>, itemArea: number, outline: Outline): number {
  if (boxesApart(item.box, outline.box)) return 0;
  return Math.min(1, areaWithin(item, outline) / itemArea);
}

function areaWithin(item: Extract<Outline, { type: 'polygon' }>, outline: Outline): number {
  if (outline.type === 'polygon') return Math.abs(signedArea(clipToConvex(outline.corners, item.corners)));
  const { centre, cos, sin, rx, ry } = outline;
  const mapped = item.corners.map(([x, y]) => {
    const dx = x - centre.x;
    const dy = y - centre.y;
    return [(dx * cos + dy * sin) / rx, (-dx * sin + dy * cos) / ry] as const;
  });
  return Math.max(0, areaInUnitCircle(mapped)) * rx * ry;
}
