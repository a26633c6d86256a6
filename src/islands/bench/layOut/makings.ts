import {
  type Box,
  barBetween,
  type Fixture,
  type FixtureId,
  type Item,
  type ItemId,
  leaving,
  type Medium,
  meet,
  outlineOf,
  type Point,
  type Question,
  type Ref,
  type Rich,
  type Shape,
  thingAt,
  trayBox,
  type Zone,
  type ZoneId,
} from '../../../core';
import { freshId, newItem, newZone, richFromPlain } from '../../../core/document';
import { framesOf } from '../store';

/** New things as an author would want them: named on, the size of the last of their kind, where there is room. */
const idsOf = (entries: readonly { id: string }[]) => new Set<string>(entries.map(({ id }) => id));

/** The part of the scene that is not the tray. */
export function roomOf({ scene, tray }: Question): Box {
  if (!tray) return { x: 0, y: 0, w: scene.width, h: scene.height };
  const band = trayBox(tray, scene);
  switch (tray.side) {
    case 'top':
      return { x: 0, y: band.h, w: scene.width, h: scene.height - band.h };
    case 'bottom':
      return { x: 0, y: 0, w: scene.width, h: scene.height - band.h };
    case 'left':
      return { x: band.w, y: 0, w: scene.width - band.w, h: scene.height };
    case 'right':
      return { x: 0, y: 0, w: scene.width - band.w, h: scene.height };
  }
}

const MARGIN = 28;

/**
 * A box of the size wanted, in the middle of the room, moved down a step while something is there already.
 */
export function placeFor(question: Question, size: { w: number; h: number }): Box {
  const room = roomOf(question);
  const w = Math.min(size.w, room.w);
  const h = Math.min(size.h, room.h);
  const taken = [...framesOf(question).values()];
  for (let n = 0; n < 40; n++) {
    const box = {
      x: Math.round(room.x + (room.w - w) / 2 + n * 12),
      y: Math.round(room.y + (room.h - h) / 2 + n * 12),
      w,
      h,
    };
    if (!taken.some((other) => Math.abs(other.x - box.x) < 6 && Math.abs(other.y - box.y) < 6) && meet(box, room))
      return box;
  }
  return { x: room.x, y: room.y, w, h };
}

const zoneId = (question: Question) => freshId('zone', idsOf(question.zones)) as ZoneId;

/** A zone of the shape, named on from the last, behaving like the last there is. */
export function zoneOf(question: Question, shape: Shape): Zone {
  const last = question.zones.at(-1);
  const like = last
    ? {
        reach: last.reach,
        welcome: last.welcome,
        capacity: last.capacity,
        whenFull: last.whenFull,
        settle: last.settle,
        look: last.look,
      }
    : {};
  return newZone({ id: zoneId(question), label: `Zone ${question.zones.length + 1}`, shape, ...like });
}

/** A place for another zone: the two halves of the room first, then stepped down over them. */
export function nextZone(question: Question): Zone {
  const room = roomOf(question);
  const n = question.zones.length;
  const w = Math.round((room.w - 3 * MARGIN) / 2);
  const top = room.y + 42;
  const h = Math.round(Math.max(60, room.h - 72));
  const half = (i: number) => ({
    type: 'rect' as const,
    x: Math.round(room.x + MARGIN + i * (w + MARGIN)),
    y: Math.round(top),
    w,
    h,
  });
  return zoneOf(question, n < 2 ? half(n) : { type: 'rect', ...placeFor(question, { w: 240, h: 160 }) });
}

/** The outline of an item as a zone of its own, which rides on it: what is put there joins it. */
export function zoneOnItem(question: Question, item: Item): Zone {
  const shape: Shape = { type: 'rect', x: 0, y: 0, w: item.size.w, h: item.size.h };
  return newZone({
    id: zoneId(question),
    label: '',
    shape,
    ridesOn: item.id,
    settle: { rule: 'asDropped' },
    capacity: 1,
  });
}

export function itemsNamed(question: Question, labels: readonly string[]): Item[] {
  const taken = idsOf(question.items);
  const last = question.items.at(-1);
  return labels.map((label) => {
    const id = freshId('item', taken) as ItemId;
    taken.add(id);
    return newItem({ id, label: label.slice(0, 2000), ...(last ? { size: { ...last.size }, look: last.look } : {}) });
  });
}

const fixtureId = (question: Question) => freshId('fixture', idsOf(question.fixtures)) as FixtureId;
const placedAt = (question: Question, size: { w: number; h: number }) => ({
  id: fixtureId(question),
  label: '',
  ...placeFor(question, size),
  rotation: 0,
  front: false,
  when: null,
});

export const textFixture = (question: Question, words = 'Text'): Fixture => ({
  type: 'text',
  ...placedAt(question, { w: 320, h: 60 }),
  text: richFromPlain(words) as Rich,
  letters: null,
});

export function shapeFixture(question: Question, of: 'rect' | 'ellipse'): Fixture {
  const box = placedAt(question, { w: 200, h: 120 });
  const shape: Shape =
    of === 'rect'
      ? { type: 'rect', x: 0, y: 0, w: 200, h: 120 }
      : { type: 'ellipse', cx: 100, cy: 60, rx: 100, ry: 60 };
  return { type: 'shape', ...box, shape, fill: 'brassWash', edge: 'ink', edgeWidth: 1 };
}

const LINE = 2;

/** A line on the scene. From within a zone it begins at the zone's edge, and is that zone's leader line. */
export function lineFixture(question: Question, from: Point, to: Point): Fixture {
  const zone = question.zones.findLast(({ shape, rotation }) => {
    const box = outlineOf(shape, rotation)?.box;
    return box !== undefined && meet({ x: from.x, y: from.y, w: 0.001, h: 0.001 }, box);
  });
  const box = zone && outlineOf(zone.shape, zone.rotation)?.box;
  const bar = barBetween(box ? leaving(box, from, to) : from, to, LINE);
  return {
    type: 'shape',
    id: freshId('line', idsOf(question.fixtures)) as FixtureId,
    label: zone ? `Line of ${zone.label || zone.id}` : 'Line',
    ...bar,
    front: true,
    when: null,
    shape: { type: 'rect', x: 0, y: 0, w: bar.w, h: bar.h },
    fill: 'ink',
    edge: null,
    edgeWidth: 0,
  };
}

export type ShownKind = Exclude<Medium['kind'], 'font'>;

/** A picture, sound or film on the scene. A picture comes as large as the room lets it, in its own proportion. */
export function mediumFixture(
  question: Question,
  kind: ShownKind,
  media: string,
  natural: { w: number; h: number } | null,
): Fixture {
  const room = roomOf(question);
  const scale = natural ? Math.min(1, (room.w - 40) / natural.w, (room.h - 40) / natural.h) : 1;
  const size =
    kind === 'sound' || !natural
      ? { w: kind === 'film' ? 480 : 300, h: kind === 'film' ? 270 : 54 }
      : { w: Math.round(natural.w * scale), h: Math.round(natural.h * scale) };
  return { type: kind, ...placedAt(question, size), media: media as never };
}

/** What covers a thing: everything drawn later that meets its box. */
export function coversOf(question: Question, order: readonly Ref[], ref: Ref): Ref[] {
  const at = framesOf(question);
  const mine = at.get(ref);
  if (!mine) return [];
  return order.slice(order.indexOf(ref) + 1).filter((other) => {
    const frame = at.get(other);
    return frame !== undefined && meet(mine, frame) && thingAt(question, other) !== undefined;
  });
}
