import { freshId } from '../document/freshId';
import type { ItemId, ZoneId } from '../document/ids';
import { newItem, newZone } from '../document/make';
import { richFromPlain } from '../document/plain';
import type { Item, Question, Zone } from '../document/schema';
import { newEntry } from '../edit/keying';
import { outlineOf } from '../geometry/outline';
import { type Box, middleOf } from '../geometry/space';

/** The floor under the spots, on which a miss falls. */
export const MISSES = 'misses' as ZoneId;
const MARKER = { w: 34, h: 34 };

export const isSpot = ({ id, shape }: Zone): boolean => id !== MISSES && shape.type !== 'slot';

/**
 * Makes every zone that stands on the scene a spot to be found: hidden, keyed to the marker, one marker each, which
 * stays where it was let go.
 */
export function asSpots(question: Question): Question {
  const items: Item[] = question.items.length > 0 ? [...question.items] : [newMarker('marker' as ItemId, 'Marker')];
  const belongs = items.map(({ id }) => id);
  const marked = items.map(
    (item): Item => ({ ...item, copies: item.copies === 1 ? 'endless' : item.copies, goesHome: false }),
  );
  const keyed = new Map(question.key.map((entry) => [entry.zone, entry]));
  const spots = question.zones.filter(isSpot);
  return {
    ...withTray(question),
    kind: 'mark',
    items: marked,
    zones: question.zones.map(
      (zone): Zone =>
        isSpot(zone) ? { ...zone, hidden: true, reach: { rule: 'centre' }, settle: { rule: 'asDropped' } } : zone,
    ),
    key: [
      ...spots.map(({ id }) => {
        const before = keyed.get(id);
        const marked = before?.belongs && before.belongs.length > 0 ? before.belongs : [belongs[0] as ItemId];
        return newEntry(id, marked, {
          need: { rule: 'exactly', n: 1 },
          weight: before?.weight ?? null,
          says: before?.says ?? null,
        });
      }),
      ...question.key.filter(({ zone }) => zone === MISSES),
    ],
    show: { ...question.show, places: question.show.places.length > 0 ? question.show.places : placesOfSpots(spots) },
  };
}

/** A marker is known by its name and drawn as a cross; a picture can take the cross's place. */
const newMarker = (id: ItemId, label: string, more: Partial<Item> = {}): Item =>
  newItem({
    id,
    label,
    size: MARKER,
    copies: 'endless',
    goesHome: false,
    content: { text: richFromPlain('×'), picture: null, sound: null },
    ...more,
  });

/** Markers wait below what is to be marked, where they have no place of their own. */
function withTray(question: Question): Question {
  if (question.tray || question.items.some(({ home }) => home !== null)) return question;
  return {
    ...question,
    scene: { ...question.scene, height: question.scene.height + TRAY },
    tray: { side: 'bottom', size: TRAY, order: 'asListed' },
  };
}
const TRAY = 64;

/**
 * The middles of spots as named places, for *As a list* and the keys. Others have to be added, or the list would tell
 * where they are.
 */
export function placesOfSpots(zones: readonly Zone[]): Question['show']['places'] {
  return zones.flatMap((zone, i) => {
    const box = outlineOf(zone.shape, zone.rotation)?.box;
    if (!box || zone.ridesOn !== null) return [];
    const { x, y } = middleOf(box);
    return [{ label: zone.label || `Place ${i + 1}`, x: Math.round(x), y: Math.round(y) }];
  });
}

/** Does a marker that hits nothing count as wrong? A floor under the whole scene takes it then. */
export function missesCost(question: Question, cost: boolean): Question {
  const without = {
    ...question,
    zones: question.zones.filter(({ id }) => id !== MISSES),
    key: question.key.filter(({ zone }) => zone !== MISSES),
  };
  if (!cost) return without;
  const { width: w, height } = question.scene;
  const tray = question.tray?.side === 'bottom' ? question.tray.size : 0;
  const floor = newZone({
    id: MISSES,
    label: 'Misses',
    shape: { type: 'rect', x: 0, y: 0, w, h: Math.max(1, height - tray) },
    floor: true,
    hidden: true,
    reach: { rule: 'centre' },
    settle: { rule: 'asDropped' },
  });
  return {
    ...without,
    zones: [floor, ...without.zones],
    key: [...without.key, newEntry(MISSES, [], { need: { rule: 'exactly', n: 0 } })],
    marks: { ...question.marks, extraCosts: question.marks.extraCosts > 0 ? question.marks.extraCosts : 1 },
  };
}
export const doMissesCost = ({ zones }: Question): boolean => zones.some(({ id }) => id === MISSES);

const WORDED = 84;
/** Another kind of marker, like the first; it shows its name, to be told from the others. */
export function withMarker(question: Question, label: string): Question {
  const id = freshId('marker', new Set<string>(question.items.map((item) => item.id))) as ItemId;
  const like = question.items[0];
  const item = newMarker(id, label, {
    content: null,
    ...(like
      ? { size: { ...like.size, w: Math.max(like.size.w, WORDED) }, copies: like.copies, goesHome: like.goesHome }
      : {}),
  });
  return { ...question, items: [...question.items, item] };
}

/** The kind of marker a spot is found with. */
export const foundWith = (question: Question, spot: ZoneId, marker: ItemId): Question => ({
  ...question,
  key: question.key.map((entry) => (entry.zone === spot ? { ...entry, belongs: [marker] } : entry)),
});

const AROUND = 2;
/** As high as a finger needs, where lines leave the room. */
const MIN_HIGH = 30;

/** A hidden spot over words of a text, at the box they have on the scene; found as the other spots are. */
export function withSpotOver(question: Question, label: string, { x, y, w, h }: Box): Question {
  const like = question.zones.find((zone) => zone.hidden && isSpot(zone));
  const high = Math.max(MIN_HIGH, Math.ceil(h + 2 * AROUND));
  const shape: Zone['shape'] = {
    type: 'rect',
    x: Math.round(x - AROUND),
    y: Math.round(y + (h - high) / 2),
    w: Math.ceil(w + 2 * AROUND),
    h: high,
  };
  const id = freshId('spot', new Set<string>(question.zones.map((zone) => zone.id))) as ZoneId;
  const spotted = asSpots({ ...question, zones: [...question.zones, newZone({ id, label, shape })] });
  return like ? decidedBy(spotted, like.reach.rule === 'pointer' ? 'pointer' : 'centre') : spotted;
}

/** A spot taken away, with what it earned. */
export const withoutSpot = (question: Question, spot: string): Question => ({
  ...question,
  zones: question.zones.filter(({ id }) => id !== spot),
  key: question.key.filter(({ zone }) => zone !== spot),
});

/** The pointer or the marker's middle decides. */
export const decidedBy = (question: Question, rule: 'pointer' | 'centre'): Question => ({
  ...question,
  zones: question.zones.map((zone): Zone => (zone.hidden ? { ...zone, reach: { rule } } : zone)),
});
