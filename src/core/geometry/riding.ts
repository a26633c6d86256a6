import type { Shape } from '../document/schema';
import { type Box, cosSin, middleOf, nearTurn, type Point, turn } from './space';
import type { Body } from './spots';

const about = (centre: Point, w: number, h: number): Box => ({ x: centre.x - w / 2, y: centre.y - h / 2, w, h });

/** The box of a shape in its own coordinates, unturned; null for a slot. */
export function boxOfShape(shape: Shape): Box | null {
  switch (shape.type) {
    case 'rect':
      return { x: shape.x, y: shape.y, w: shape.w, h: shape.h };
    case 'ellipse':
      return { x: shape.cx - shape.rx, y: shape.cy - shape.ry, w: 2 * shape.rx, h: 2 * shape.ry };
    case 'polygon': {
      const xs = shape.points.map(([x]) => x);
      const ys = shape.points.map(([, y]) => y);
      const [left, top] = [Math.min(...xs), Math.min(...ys)];
      return { x: left, y: top, w: Math.max(...xs) - left, h: Math.max(...ys) - top };
    }
    case 'slot':
      return null;
  }
}

/** The shape stretched from the box it has to another. A polygon's points go along. */
export function shapeInBox(shape: Shape, box: Box): Shape {
  switch (shape.type) {
    case 'rect':
      return { type: 'rect', x: box.x, y: box.y, w: box.w, h: box.h };
    case 'ellipse':
      return { type: 'ellipse', cx: box.x + box.w / 2, cy: box.y + box.h / 2, rx: box.w / 2, ry: box.h / 2 };
    case 'polygon': {
      const from = boxOfShape(shape) as Box;
      return {
        type: 'polygon',
        points: shape.points.map(([x, y]) => [
          box.x + ((x - from.x) * box.w) / (from.w || 1),
          box.y + ((y - from.y) * box.h) / (from.h || 1),
        ]),
      };
    }
    case 'slot':
      return shape;
  }
}

/** Where an item that carries zones stands at the start. */
export interface Carrier extends Body {
  readonly at: Point;
}
const pivotOf = ({ at, w, h }: Carrier): Point => ({ x: at.x + w / 2, y: at.y + h / 2 });

/** A shape given from a carrier's unrotated top left, as it stands on the scene. */
export function onScene(shape: Shape, rotation: number, carrier: Carrier | null): { shape: Shape; rotation: number } {
  if (!carrier) return { shape, rotation };
  const [cos, sin] = cosSin(carrier.rotation);
  const go = (p: Point) => turn({ x: carrier.at.x + p.x, y: carrier.at.y + p.y }, pivotOf(carrier), cos, sin);
  return { shape: movedBy(shape, go), rotation: shape.type === 'polygon' ? 0 : nearTurn(rotation + carrier.rotation) };
}

/** The other way: a shape of the scene from the carrier's unrotated top left. */
export function onCarrier(shape: Shape, rotation: number, carrier: Carrier | null): { shape: Shape; rotation: number } {
  if (!carrier) return { shape, rotation };
  const [cos, sin] = cosSin(-carrier.rotation);
  const go = (p: Point) => {
    const back = turn(p, pivotOf(carrier), cos, sin);
    return { x: back.x - carrier.at.x, y: back.y - carrier.at.y };
  };
  return { shape: movedBy(shape, go), rotation: shape.type === 'polygon' ? 0 : nearTurn(rotation - carrier.rotation) };
}

/** A shape moved by what is done to its points: of a polygon each corner, of others the middle. */
export function movedBy(shape: Shape, go: (p: Point) => Point): Shape {
  if (shape.type === 'polygon')
    return {
      type: 'polygon',
      points: shape.points.map(([x, y]) => {
        const p = go({ x, y });
        return [p.x, p.y];
      }),
    };
  const box = boxOfShape(shape);
  return box ? shapeInBox(shape, about(go(middleOf(box)), box.w, box.h)) : shape;
}
