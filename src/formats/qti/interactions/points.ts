import { richFromPlain } from '../../../core/document';
import { missesCost } from '../../../core/kinds';
import { type Arriving, type Draft, Refused, responseFor, wholeIn } from '../arriving';
import { and, type Expression, inside, isNull, not, or, variable } from '../expressions';
import { RESPONSE } from '../names';
import { type Leaving, namesOf, type Out } from '../outgoing';
import { isInside, type QtiShape, shapeOf, zoneShape } from '../shapes';
import { mimeOf, onlyPicture, promptIn } from '../words';
import { markedBy } from '../worth';
import { element, type XmlElement } from '../xml';
import { groundIn } from './graphicGapMatch';

/**
 * A marker put on a picture: `qti-select-point-interaction` where there is one, else a `qti-position-object-stage`
 * with an interaction and a response a marker, so that what lies twice in a spot can be counted.
 */
export function pointsOut(leaving: Leaving): Out {
  const { question, scenePicture } = leaving;
  const marker = Math.max(
    0,
    question.items.findIndex(({ id }) => !question.zones.some(({ ridesOn }) => ridesOn === id)),
  );
  const names = namesOf(leaving, marker);
  const responses = names.length === 1 ? [RESPONSE] : names.map((name) => `${RESPONSE}_${name}`);
  const spots = question.zones.map((zone) => ({ shape: shapeOf(zone) as QtiShape, floor: zone.floor }));
  /** Those that take a marker before the zone does: any over a floor, else those above it. */
  const before = (zone: number) =>
    spots.filter((spot, i) => (spots[zone]?.floor && !spot.floor) || (spot.floor === spots[zone]?.floor && i > zone));
  const liesIn = (zone: number, response: string): Expression => {
    const point = variable(response);
    const own = spots[zone]?.shape as QtiShape;
    return and(not(isNull(point)), inside(own, point), ...before(zone).map(({ shape }) => not(inside(shape, point))));
  };
  const { width, height } = question.scene;
  const scene = element('object', { data: scenePicture, type: mimeOf(scenePicture), width, height });
  const shown = question.items[marker];
  const picture = shown ? onlyPicture(leaving, shown) : null;
  const [w, h] = [shown?.size.w ?? 34, shown?.size.h ?? 34];
  const href = picture?.href ?? leaving.markerPicture(w, h);
  const [first] = responses;
  const body =
    responses.length === 1
      ? [
          element('qti-select-point-interaction', { 'response-identifier': first, 'max-choices': 1 }, [
            ...promptIn(question),
            scene,
          ]),
        ]
      : [
          ...promptIn(question).flatMap(({ children }) => [element('div', {}, children)]),
          element('qti-position-object-stage', {}, [
            scene,
            ...responses.map((response) =>
              element(
                'qti-position-object-interaction',
                { 'response-identifier': response, 'max-choices': 1, 'min-choices': 0, 'center-point': 'true' },
                [element('object', { data: href, type: mimeOf(href), width: w, height: h })],
              ),
            ),
          ]),
        ];
  return {
    interaction: responses.length === 1 ? 'selectPoint' : 'positionObject',
    responses: responses.map((identifier) => ({ identifier, cardinality: 'single', type: 'point' })),
    body,
    holding: {
      answered: or(...responses.map((response) => not(isNull(variable(response))))),
      copiesIn: (zone, item) => (item === marker ? responses.map((response) => liesIn(zone, response)) : []),
      inOrder: null,
    },
    valuesOf: (arrangement) => {
      const points = arrangement.flatMap((held, zone) =>
        held.map(() =>
          pointIn(
            spots[zone]?.shape as QtiShape,
            before(zone).map(({ shape }) => shape),
            question.scene,
          ),
        ),
      );
      return new Map(responses.map((response, i) => [response, points[i] ? [points[i]] : []]));
    },
    notes: spots.some(
      (spot, i) => !spot.floor && before(i).some(({ shape }) => overlap(shape, spot.shape, question.scene)),
    )
      ? [{ path: 'zones', message: 'Where spots overlap, the upper one takes the marker.' }]
      : [],
  };
}

const STEPS = 60;
/** Points spread over the scene, the middle of a shape first. */
function* pointsOver(
  { coords, shape }: QtiShape,
  scene: { width: number; height: number },
): Generator<[number, number]> {
  const at = coords.split(',').map(Number);
  const [a = 0, b = 0, c = 0, d = 0] = at;
  if (shape === 'circle' || shape === 'ellipse') yield [a, b];
  else if (shape === 'rect') yield [(a + c) / 2, (b + d) / 2];
  const xs = shape === 'poly' ? at.filter((_, i) => i % 2 === 0) : shape === 'rect' ? [a, c] : [a - c, a + c];
  const ry = shape === 'ellipse' ? d : c;
  const ys = shape === 'poly' ? at.filter((_, i) => i % 2 === 1) : shape === 'rect' ? [b, d] : [b - ry, b + ry];
  const [left, right] = [Math.max(0, Math.min(...xs)), Math.min(scene.width, Math.max(...xs))];
  const [top, bottom] = [Math.max(0, Math.min(...ys)), Math.min(scene.height, Math.max(...ys))];
  for (let i = 1; i < STEPS; i++)
    for (let j = 1; j < STEPS; j++) yield [left + ((right - left) * i) / STEPS, top + ((bottom - top) * j) / STEPS];
}

/** A point in a shape and in none of others, "x y"; null: none was found. */
export function pointIn(
  shape: QtiShape,
  outside: readonly QtiShape[],
  scene: { width: number; height: number },
): string | null {
  for (const [x, y] of pointsOver(shape, scene))
    if (isInside(shape, x, y) && !outside.some((other) => isInside(other, x, y))) return `${x} ${y}`;
  return null;
}

function overlap(a: QtiShape, b: QtiShape, scene: { width: number; height: number }): boolean {
  for (const [x, y] of pointsOver(a, scene)) if (isInside(a, x, y) && isInside(b, x, y)) return true;
  return false;
}

/** How far from a point that is right a marker may lie, where no area is given: a twentieth of the picture. */
const NEAR = 0.05;

/** A `select-point-interaction`, or the markers of a stage: spots to be found on a picture. */
export function pointsIn(of: XmlElement, arriving: Arriving): Draft {
  const response = responseFor(of, arriving);
  const { width, height, fixtures } = groundIn(of, arriving);
  const areas = response.areas?.areas.filter(({ worth }) => worth > 0) ?? [];
  const [radius] = [Math.max(8, Math.min(width, height) * NEAR)];
  if (areas.length === 0 && response.correct.length === 0)
    throw new Refused('Nothing in it says which point is right.');
  if (areas.length === 0)
    arriving.approximate(response.identifier, 'A point had to be hit exactly: here a small circle about it counts.');
  const spots =
    areas.length > 0
      ? areas.map(({ shape, coords: at, worth }) => ({
          shape: zoneShape({ shape, coords: at }, { width, height }),
          worth,
        }))
      : response.correct.map((point) => {
          const [cx = 0, cy = 0] = point.split(' ').map(Number);
          return { shape: { type: 'ellipse' as const, cx, cy, rx: radius, ry: radius }, worth: 1 };
        });
  const together = areas.length === 0 ? (arriving.maximum ?? 1) : null;
  const most = wholeIn(of, 'max-choices', 1);
  const costs = Math.max(0, -(response.areas?.otherwise ?? 0));
  const zones = spots.map((spot, i) => ({ ...spot, id: `spot-${i + 1}` }));
  const marked = markedBy(
    zones.map(({ id, worth }) => ({ zone: id, capacity: 1, right: new Map([['marker', worth]]) })),
    { costs, together, highest: null },
    arriving,
  );
  return {
    kind: 'mark',
    items: [{ ...markerItem(most > 0 ? most : 'endless'), goesHome: false }],
    zones: zones.map(({ id, shape }) => ({ id, shape, hidden: true, reach: { rule: 'centre' } })),
    fixtures,
    scene: { width, height: height + MARKERS },
    tray: { side: 'bottom', size: MARKERS, order: 'asListed' },
    marked,
    lay: (question) => (costs > 0 ? missesCost(question, true) : question),
  };
}
/** A marker as an item. */
export const markerItem = (copies: number | 'endless') => ({
  id: 'marker',
  label: 'Marker',
  size: { w: 34, h: 34 },
  copies,
  content: { text: richFromPlain('×') },
});
/** The height of the tray in which markers wait, in scene units. */
export const MARKERS = 84;
