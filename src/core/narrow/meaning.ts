import type { Fixture, Reach, Settle, Shape, Tray } from '../document/schema';
import { outlineOf } from '../geometry/outline';
import { type Box, meet, type Point } from '../geometry/space';
import { boundsAtOrigin, trayBox } from '../judge/homes';

/** What says whether places carry meaning: a learner edition has it, and a document. */
export interface Placed {
  readonly scene: { readonly width: number; readonly height: number };
  readonly tray: Tray | null;
  readonly fixtures: readonly Fixture[];
  readonly items: readonly {
    readonly size: { readonly w: number; readonly h: number };
    readonly rotation: number;
    readonly home: Point | null;
    readonly goesHome: boolean;
    readonly stays: boolean;
  }[];
  readonly zones: readonly {
    readonly label: string;
    readonly shape: Shape;
    readonly rotation: number;
    readonly reach: Reach;
    readonly settle: Settle;
    readonly floor: boolean;
    readonly ridesOn: string | null;
    readonly hidden?: boolean;
  }[];
  /** Some zones are not known here. */
  readonly hides?: boolean;
}

/** Fixtures to which something may belong by where it lies. */
const isSeen = ({ type }: Fixture) => type === 'picture' || type === 'film';

/**
 * Do the places themselves say something, so that the scene may not be laid out anew? They do not where all zones are
 * upright boxes that lie apart, with words of their own, that take by how much of an item lies over them or by where
 * its middle is, and say where it comes to rest; and where there is no picture that zones or items lie on, and no line
 * or arrow that leads to one.
 */
export function placesCarryMeaning({ scene, tray, fixtures, items, zones, hides = false }: Placed): boolean {
  const all = items.length > 0 && items.every(({ stays }) => stays);
  if (hides || zones.length === 0 || items.some(({ goesHome, rotation }) => !goesHome || rotation !== 0)) return true;
  const laid = zones.filter(({ shape }) => shape.type !== 'slot');
  // A slot stands in a text, whose lines the page breaks; where all is picked in its place it stands nowhere.
  if (laid.length < zones.length && !(all && laid.length === 0)) return true;
  const boxes = laid.flatMap(({ shape, rotation }) => outlineOf(shape, rotation)?.box ?? []);
  const pictures = fixtures.filter(isSeen);
  const onPicture = (box: Box) => pictures.some((picture) => meet(picture, box));
  if (laid.some((zone) => meansSomething(zone) || (laid.length > 1 && zone.label === ''))) return true;
  if (fixtures.some((fixture) => fixture.type === 'shape' && joins(fixture, [...boxes, ...pictures]))) return true;
  if (boxes.some((box, i) => onPicture(box) || boxes.some((other, j) => j > i && meet(box, other)))) return true;
  const band = tray && trayBox(tray, scene);
  return items.some(({ home, size, rotation }) => {
    if (!home) return false;
    const bounds = boundsAtOrigin({ ...size, rotation });
    const box = { ...bounds, x: bounds.x + home.x, y: bounds.y + home.y };
    return onPicture(box) && !(band && meet(band, box));
  });
}

/** A line or an arrow that ends this near something, in scene units, belongs to it. */
const NEAR = 24;

/** Does a shape touch something, as a line or an arrow does, other than by framing it? */
function joins({ x, y, w, h }: Box, things: readonly Box[]): boolean {
  const near = { x: x - NEAR, y: y - NEAR, w: w + 2 * NEAR, h: h + 2 * NEAR };
  const frames = (thing: Box) =>
    x <= thing.x && y <= thing.y && x + w >= thing.x + thing.w && y + h >= thing.y + thing.h;
  return things.some((thing) => meet(near, thing) && !frames(thing));
}

const meansSomething = ({ shape, rotation, reach, settle, floor, ridesOn, hidden }: Placed['zones'][number]) =>
  shape.type !== 'rect' ||
  rotation !== 0 ||
  reach.rule === 'inside' ||
  settle.rule === 'asDropped' ||
  floor ||
  ridesOn !== null ||
  hidden === true;
