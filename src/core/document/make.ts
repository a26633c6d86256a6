import { freshId } from './freshId';
import type { ItemId, QuestionId, ZoneId } from './ids';
import { FORMAT, type Item, itemSchema, type Question, questionSchema, VERSION, type Zone, zoneSchema } from './schema';

/** A new Sort question: an empty scene with a tray below. */
export function newQuestion(id: string, title: string): Question {
  return questionSchema.cast({
    format: FORMAT,
    version: VERSION,
    id: id as QuestionId,
    title,
    kind: 'sort',
    scene: { width: 960, height: 540 },
    tray: { side: 'bottom', size: 150 },
    marks: { max: 1, rule: 'perPlacement' },
    tries: 3,
    afterMiss: 'sendWrongHome',
  }) as Question;
}

/** An item or a zone with every field at its default but those given. */
export const newItem = (fields: Partial<Item> & { id: ItemId; label: string }): Item =>
  itemSchema.cast({ size: { w: 130, h: 48 }, ...fields }) as Item;

export const newZone = (fields: Partial<Zone> & { id: ZoneId; label: string; shape: Zone['shape'] }): Zone =>
  zoneSchema.cast({ settle: { rule: 'grid', gap: 20 }, ...fields }) as Zone;

/** Ids that are free among the items and zones of a question; each is given once. */
export function freshIds({
  items,
  zones,
}: Pick<Question, 'items' | 'zones'>): (of: 'items' | 'zones', stem: string) => string {
  const taken = {
    items: new Set<string>(items.map(({ id }) => id)),
    zones: new Set<string>(zones.map(({ id }) => id)),
  };
  return (of, stem) => {
    const id = freshId(stem, taken[of]);
    taken[of].add(id);
    return id;
  };
}
