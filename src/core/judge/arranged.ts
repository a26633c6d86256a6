import type { Question } from '../document/schema';
import type { Board } from './board';
import { itemOf } from './copy';
import type { SceneModel } from './sceneModel';

// What fixtures answer and a page can see by itself. (What rests on the key stands apart: no learner's page needs it.)

export type When = NonNullable<Question['fixtures'][number]['when']>;
export type WhenEvent = When['events'][number];

/**
 * Does the event hold by the arrangement alone? `putsAway`: is an item put away when it is taken? An event of a verdict
 * never holds so.
 */
export function holdsByArrangement(
  { zoneAt, itemAt, zones }: SceneModel,
  board: Board,
  putsAway: (item: number) => boolean,
  { on, zone: zoneId, item: itemId, count = 1 }: WhenEvent,
): boolean {
  const item = itemId === undefined ? null : itemAt.get(itemId);
  if (on === 'putAway') {
    if (item === null || item === undefined || !putsAway(item)) return false;
    return [...board.zoneOf].some(([copy, zone]) => itemOf(copy) === item && zones[zone]?.hidden !== true);
  }
  const zone = zoneId === undefined ? undefined : zoneAt.get(zoneId);
  if (zone === undefined || item === undefined) return false;
  const held = (board.zones[zone] ?? []).filter((copy) => item === null || itemOf(copy) === item).length;
  // A learner's page knows of a typed text, and not how it is read.
  const all = held === 0 && item === null && board.texts.has(zone) ? 1 : held;
  switch (on) {
    case 'taking':
      return all >= 1;
    case 'holds':
      return all >= count;
    case 'full':
      return all >= (zones[zone]?.capacity ?? Infinity);
    default:
      return false;
  }
}

/** Does a look hide the item that wears it once it is taken? */
export function isPutAway({ looks }: Pick<Question, 'looks'>, look: string | null): boolean {
  const worn = look === null ? undefined : looks[look];
  return worn?.of === 'item' && worn.putAway;
}
