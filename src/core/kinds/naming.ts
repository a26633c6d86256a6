import { freshId } from '../document/freshId';
import type { ItemId, ZoneId } from '../document/ids';
import { newItem, newZone } from '../document/make';
import type { Question, Zone } from '../document/schema';
import { newEntry } from '../edit/keying';
import { outlineOf } from '../geometry/outline';
import { middleOf, type Point } from '../geometry/space';
import { bandFor } from './layouts';
import { asSpots } from './mark';
import { alike, stillWorth } from './sizes';

/** Between an item that was put into its place and the edge of the place. */
const ROOM = 4;
const SPOT = 26;

/**
 * A place on the picture, and the name that belongs there, as one more of a Label question: `at` is the middle of the
 * place. All names and all places are as large as the longest name needs; the tray grows to hold them.
 */
export function withNamed(question: Question, at: Point, name: string): Question {
  const item = newItem({
    id: freshId('item', new Set<string>(question.items.map(({ id }) => id))) as ItemId,
    label: name,
  });
  const zone = newZone({
    id: freshId('zone', new Set<string>(question.zones.map(({ id }) => id))) as ZoneId,
    label: `Place ${question.zones.length + 1}`,
    shape: { type: 'rect', ...boxAbout(at, item.size) },
    capacity: 1,
    whenFull: 'swap',
    settle: { rule: 'anchor', at: 'middle', gap: ROOM },
  });
  const sized = alike({
    ...question,
    items: [...question.items, item],
    zones: [...question.zones, zone],
    key: [...question.key, newEntry(zone.id, [item.id], { need: { rule: 'exactly', n: 1 } })],
    marks: stillWorth(question.marks, question.key.length, question.key.length + 1),
  });
  return withRoomInTray({ ...sized, zones: sized.zones.map((one) => grown(one, sized)) });
}

function boxAbout({ x, y }: Point, { w, h }: { readonly w: number; readonly h: number }) {
  const [width, height] = [w + 2 * ROOM, h + 2 * ROOM];
  return { x: Math.round(x - width / 2), y: Math.round(y - height / 2), w: width, h: height };
}

/** A place as large as a name, about the middle it has; one that somebody has made larger stays. */
function grown(zone: Zone, { items }: Question): Zone {
  const size = items.at(-1)?.size;
  const box = outlineOf(zone.shape, zone.rotation)?.box;
  if (!size || !box || zone.shape.type !== 'rect' || (box.w >= size.w + 2 * ROOM && box.h >= size.h + 2 * ROOM))
    return zone;
  return { ...zone, shape: { type: 'rect', ...boxAbout(middleOf(box), size) } };
}

/** The scene with a tray below that holds everything that waits; what stands above keeps its place. */
function withRoomInTray(question: Question): Question {
  const { tray, scene, items } = question;
  const cell = items.at(-1)?.size;
  const waiting = items.filter(({ home }) => home === null).length;
  if (!cell || tray?.side !== 'bottom') return question;
  const size = bandFor(waiting, cell, scene.width);
  return {
    ...question,
    tray: { ...tray, size, order: 'shuffled' },
    scene: { ...scene, height: scene.height - tray.size + size },
  };
}

/** A spot to be found, at a place of the picture. */
export function withSpotAt(question: Question, { x, y }: Point): Question {
  const spot = newZone({
    id: freshId('spot', new Set<string>(question.zones.map(({ id }) => id))) as ZoneId,
    label: `Spot ${question.zones.length + 1}`,
    shape: { type: 'ellipse', cx: Math.round(x), cy: Math.round(y), rx: SPOT, ry: SPOT },
  });
  const made = asSpots({ ...question, zones: [...question.zones, spot] });
  const spots = made.zones.length;
  return {
    ...made,
    marks: stillWorth(question.marks, spots - 1, spots),
  };
}
