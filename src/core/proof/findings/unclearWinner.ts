import { type Outline, outlineOf } from '../../geometry/outline';
import { type Corners, clipToConvex, inPolygon, signedArea } from '../../geometry/polygon';
import { isConvex } from '../../geometry/simplePolygon';
import { cosSin, meet, turn } from '../../geometry/space';
import { isKeyed, type QuestionModel } from '../../judge/model';
import type { FindingRule } from './finding';
import { itemNamed, zoneId, zoneNamed } from './named';

const MAX_SHARED = 0.2;

/** Two zones overlap by more than a fifth of the smaller, and either could take a keyed item. */
export const unclearWinner: FindingRule = ({ model }) => {
  const outlines = model.question.zones.map(({ shape, rotation, ridesOn, floor }) =>
    ridesOn === null && !floor ? outlineOf(shape, rotation) : null,
  );
  return outlines.flatMap((a, i) =>
    outlines.slice(i + 1).flatMap((b, k) => {
      const j = i + 1 + k;
      if (!a || !b || !meet(a.box, b.box)) return [];
      const item = keyedToEither(model, i, j);
      if (item === undefined) return [];
      const [corners, other] = [cornersOf(a), cornersOf(b)];
      const share = sharedArea(corners, other) / Math.min(Math.abs(signedArea(corners)), Math.abs(signedArea(other)));
      if (share <= MAX_SHARED) return [];
      return [
        {
          where: [zoneId(model, i), zoneId(model, j)],
          message: `${zoneNamed(model, i)} and ${zoneNamed(model, j)} lie over one another by ${Math.round(share * 100)} % of the smaller, and either could take ${itemNamed(model, item)}.`,
          mend: 'Move them apart, or make one smaller.',
        },
      ];
    }),
  );
};

function keyedToEither(model: QuestionModel, i: number, j: number): number | undefined {
  const { zones, items } = model;
  const takes = (zone: number, item: number) =>
    zones[zone]?.family === null || zones[zone]?.family === items[item]?.family;
  const found = items.findIndex(
    (_, item) => (isKeyed(model, i, item) || isKeyed(model, j, item)) && takes(i, item) && takes(j, item),
  );
  return found < 0 ? undefined : found;
}

const SIDES = 96;
function cornersOf(outline: Outline): Corners {
  if (outline.type === 'polygon') return outline.corners;
  return Array.from({ length: SIDES }, (_, i) => {
    const [cos, sin] = cosSin((360 * i) / SIDES);
    const p = turn(
      { x: outline.centre.x + outline.rx * cos, y: outline.centre.y + outline.ry * sin },
      outline.centre,
      outline.cos,
      outline.sin,
    );
    return [p.x, p.y] as const;
  });
}

const GRID = 60;
/** Exact where one of the two is convex; of two that are not, by a lattice. */
function sharedArea(a: Corners, b: Corners): number {
  const clockwise = (corners: Corners) => (signedArea(corners) < 0 ? [...corners].reverse() : corners);
  if (isConvex(b)) return Math.abs(signedArea(clipToConvex(a, clockwise(b))));
  if (isConvex(a)) return Math.abs(signedArea(clipToConvex(b, clockwise(a))));
  const xs = a.map(([x]) => x);
  const ys = a.map(([, y]) => y);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [w, h] = [(Math.max(...xs) - left) / GRID, (Math.max(...ys) - top) / GRID];
  let cells = 0;
  for (let i = 0; i < GRID; i++)
    for (let j = 0; j < GRID; j++) {
      const [x, y] = [left + (i + 0.5) * w, top + (j + 0.5) * h];
      if (inPolygon(a, x, y, 0) && inPolygon(b, x, y, 0)) cells++;
    }
  return cells * w * h;
}
