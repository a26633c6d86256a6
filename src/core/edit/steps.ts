import type { ItemId, ZoneId } from '../document/ids';
import type { Item, KeyEntry, Question, Zone } from '../document/schema';
import type { Box } from '../geometry/space';
import type { Edit, QuestionField, Step } from './edit';

/** What the author does, as steps. Each is one undo. A step that would change nothing is empty. */
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

export function setQuestion<Field extends QuestionField>(question: Question, field: Field, to: Question[Field]): Step {
  return same(question[field], to) ? [] : [{ type: 'setQuestion', field, to, from: question[field] }];
}

export function setItem<Field extends keyof Item>(question: Question, id: ItemId, field: Field, to: Item[Field]): Step {
  const item = question.items.find((i) => i.id === id);
  return !item || same(item[field], to) ? [] : [{ type: 'setItem', id, field, to, from: item[field] }];
}

export function setZone<Field extends keyof Zone>(question: Question, id: ZoneId, field: Field, to: Zone[Field]): Step {
  const zone = question.zones.find((z) => z.id === id);
  return !zone || same(zone[field], to) ? [] : [{ type: 'setZone', id, field, to, from: zone[field] }];
}

export const addItems = (question: Question, items: readonly Item[]): Step => items.map((item, i) => ({ type: 'addItem', index: question.items.length + i, item }));
export const addZone = (question: Question, zone: Zone): Step => [{ type: 'addZone', index: question.zones.length, zone }];

/** Takes items and zones away, and what the key says of them with them. */
export function remove(question: Question, ids: ReadonlySet<string>): Step {
  const key = question.key
    .filter((entry) => !ids.has(entry.zone))
    .map((entry) => (entry.belongs?.some((id) => ids.has(id)) ? { ...entry, belongs: entry.belongs.filter((id) => !ids.has(id)) } : entry))
    .filter(stillSaysSomething);
  // From the last to the first, so that each index still holds when its turn comes.
  const items = question.items.flatMap((item, index): Edit[] => (ids.has(item.id) ? [{ type: 'removeItem', index, item }] : [])).reverse();
  const zones = question.zones.flatMap((zone, index): Edit[] => (ids.has(zone.id) ? [{ type: 'removeZone', index, zone }] : [])).reverse();
  return [...setQuestion(question, 'key', key), ...items, ...zones];
}

const stillSaysSomething = (entry: KeyEntry) => !((entry.sequence || entry.sum) && entry.belongs?.length === 0);

/** Does the item belong in the zone, or no longer? A zone that was neutral gets an entry; one that loses its last item keeps it, empty, as a trap does. */
export function setBelongs(question: Question, zone: ZoneId, item: ItemId, belongs: boolean): Step {
  const index = question.key.findIndex((entry) => entry.zone === zone);
  const entry = question.key[index];
  if (!entry) {
    const fresh: KeyEntry = { zone, belongs: [item], need: { rule: 'all' }, sum: null, sequence: false, weight: null, says: null };
    return belongs ? setQuestion(question, 'key', [...question.key, fresh]) : [];
  }
  const others = (entry.belongs ?? []).filter((id) => id !== item);
  const next = { ...entry, belongs: belongs ? inListOrder(question, [...others, item], entry) : others };
  const key = next.belongs.length === 0 && !belongs ? question.key.toSpliced(index, 1) : question.key.with(index, next);
  return setQuestion(question, 'key', key);
}

function inListOrder(question: Question, ids: ItemId[], entry: KeyEntry): ItemId[] {
  if (entry.sequence) return ids;
  const wanted = new Set(ids);
  return question.items.map((item) => item.id).filter((id) => wanted.has(id));
}

/** The box an item or a zone has in the Ledger: x, y, width and height in scene units; null where it has none (a slot, a polygon). */
export const boxOfZone = (zone: Zone): Box | null => (zone.shape.type === 'rect' ? { x: zone.shape.x, y: zone.shape.y, w: zone.shape.w, h: zone.shape.h } : null);

/** Gives an item or a zone a new box. An item's place is its home from then on. */
export function setBox(question: Question, id: string, box: Box): Step {
  const item = question.items.find((i) => i.id === id);
  if (item) return [...setItem(question, item.id, 'size', { w: box.w, h: box.h }), ...setItem(question, item.id, 'home', { x: box.x, y: box.y })];
  const zone = question.zones.find((z) => z.id === id);
  return zone?.shape.type === 'rect' ? setZone(question, zone.id, 'shape', { type: 'rect', ...box }) : [];
}
