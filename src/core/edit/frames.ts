import type { Item, Question, Shape, Zone } from '../document/schema';
import { boxOfShape, type Carrier, movedBy, onCarrier, onScene, shapeInBox } from '../geometry/riding';
import { type Box, cosSin, middleOf, type Point, turn } from '../geometry/space';
import { homes } from '../judge/homes';
import type { Step } from './edit';
import { setFixture, setItem, setZone } from './steps';
import { idIn, kindIn, type Ref, type Thing, things } from './things';

/** A thing's rectangle on the scene before it is turned about its middle, and the turn in degrees. */
export interface Frame extends Box {
  readonly rotation: number;
}

export interface Framed {
  readonly ref: Ref;
  readonly frame: Frame;
}

/** Where the zone's carrier stands at the start; null: it does not ride. */
export function carrierOf(
  question: Question,
  { ridesOn }: Pick<Zone, 'ridesOn'>,
  at?: readonly Point[],
): Carrier | null {
  // Most zones stand: where the items are is not worked out for them.
  const index = ridesOn === null ? -1 : question.items.findIndex(({ id }) => id === ridesOn);
  const item = question.items[index];
  return item ? { ...item.size, rotation: item.rotation, at: (at ?? homes(question))[index] as Point } : null;
}

const frameOfItem = (item: Item, at: Point): Frame => ({
  x: at.x,
  y: at.y,
  w: item.size.w,
  h: item.size.h,
  rotation: item.rotation,
});

/** Every thing with the frame it stands in, in draw order. Slots, which the page lays out, have none. */
export function frames(question: Question): Framed[] {
  const at = homes(question);
  const index = new Map(question.items.map(({ id }, i) => [id as string, i]));
  return things(question).flatMap((thing) => {
    const frame = frameOf(question, thing, at, index);
    return frame ? [{ ref: thing.ref, frame }] : [];
  });
}

function frameOf(
  question: Question,
  thing: Thing,
  at: readonly Point[],
  index: ReadonlyMap<string, number>,
): Frame | null {
  switch (thing.kind) {
    case 'item':
      return frameOfItem(thing.is, at[index.get(thing.is.id) as number] as Point);
    case 'fixture': {
      const { x, y, w, h, rotation } = thing.is;
      return { x, y, w, h, rotation };
    }
    case 'zone': {
      const stands = onScene(thing.is.shape, thing.is.rotation, carrierOf(question, thing.is, at));
      const box = boxOfShape(stands.shape);
      return box && { ...box, rotation: stands.rotation };
    }
  }
}

/** Gives things new frames. An item's place is its home from then on; a zone keeps its form. */
export function setFrames(question: Question, wanted: readonly Framed[]): Step {
  const at = homes(question);
  return wanted.flatMap((framed) => setFrame(question, framed, at));
}

function setFrame(question: Question, { ref, frame }: Framed, at: readonly Point[]): Step {
  const id = idIn(ref);
  const { x, y, w, h, rotation } = frame;
  switch (kindIn(ref)) {
    case 'item': {
      const index = question.items.findIndex((item) => item.id === id);
      const item = question.items[index];
      const home = at[index];
      if (!item || !home) return [];
      // One that only grows where the tray put it stays the tray's to place.
      const moves = home.x !== x || home.y !== y;
      return [
        ...setItem(question, item.id, 'size', { w, h }),
        ...setItem(question, item.id, 'rotation', rotation),
        ...(moves ? setItem(question, item.id, 'home', { x, y }) : []),
      ];
    }
    case 'fixture':
      return (['x', 'y', 'w', 'h', 'rotation'] as const).flatMap((field) =>
        setFixture(question, id, field, frame[field]),
      );
    case 'zone': {
      const zone = question.zones.find((zone) => zone.id === id);
      if (!zone) return [];
      const carrier = carrierOf(question, zone, at);
      const now = onScene(zone.shape, zone.rotation, carrier);
      const stretched = turnedShape(shapeInBox(now.shape, { x, y, w, h }), rotation);
      const next = onCarrier(stretched.shape, stretched.rotation, carrier);
      return [
        ...setZone(question, zone.id, 'shape', next.shape),
        ...setZone(question, zone.id, 'rotation', next.rotation),
      ];
    }
  }
}

/** A polygon is turned by its points: its rotation stays 0. */
function turnedShape(shape: Shape, rotation: number): { shape: Shape; rotation: number } {
  if (shape.type !== 'polygon' || rotation === 0) return { shape, rotation };
  const [cos, sin] = cosSin(rotation);
  const centre = middleOf(boxOfShape(shape) as Box);
  return { shape: movedBy(shape, (p) => turn(p, centre, cos, sin)), rotation: 0 };
}
