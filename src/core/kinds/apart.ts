import type { ItemId, ZoneId } from '../document/ids';
import { freshIds, newItem, newZone } from '../document/make';
import type { Item, Question, Zone } from '../document/schema';
import { newEntry } from '../edit/keying';
import type { Box } from '../geometry/space';

/** What a part of a drawing becomes. */
export type Becomes = 'item' | 'zone' | 'fixture' | 'nothing';
export const BECOMES = ['item', 'zone', 'fixture', 'nothing'] as const;

/** A part with its place on the scene; an item shows `media`. */
export interface Placed {
  readonly name: string;
  readonly box: Box;
  readonly outline: readonly (readonly [number, number])[] | null;
  readonly media: string | null;
}

/** Words by which a drawing names a place for something. */
const OF_PLACES = /\b(zones?|places?|targets?|slots?|spots?|holes?|outlines?|shadows?|drops?|for|of|the)\b/gi;
const bare = (name: string): string =>
  name
    .replace(/[-_.]+/g, ' ')
    .replace(OF_PLACES, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase();
const saysPlace = (name: string): boolean =>
  bare(name) !==
  name
    .replace(/[-_.\s]+/g, ' ')
    .trim()
    .toLowerCase();

/** What each part is taken for by its name: a place and what belongs there; everything else stays in the picture. */
export function becomesByName(names: readonly string[]): Becomes[] {
  const places = new Set(names.flatMap((name) => (saysPlace(name) && bare(name) !== '' ? [bare(name)] : [])));
  return names.map((name) => {
    if (saysPlace(name) && bare(name) !== '') return 'zone';
    return places.has(bare(name)) ? 'item' : 'fixture';
  });
}

/** Items and zones of the parts of a drawing, at their places; what has corresponding names belongs together. */
export function withParts(question: Question, parts: readonly (Placed & { readonly becomes: Becomes })[]): Question {
  const fresh = freshIds(question);
  const round = (n: number) => Math.round(n * 10) / 10;
  const items = parts
    .filter(({ becomes }) => becomes === 'item')
    .map(({ name, box, media }): Item => {
      const size = { w: Math.max(1, round(box.w)), h: Math.max(1, round(box.h)) };
      return newItem({
        id: fresh('items', 'item') as ItemId,
        label: name,
        size,
        home: { x: round(box.x), y: round(box.y) },
        content: media === null ? null : { text: null, picture: media as never, sound: null },
      });
    });
  const itemNames = new Set(items.map(({ label }) => label.toLowerCase()));
  const zones = parts
    .filter(({ becomes }) => becomes === 'zone')
    .map(({ name, box, outline }, i): { zone: Zone; of: string } => {
      const shape: Zone['shape'] = outline
        ? { type: 'polygon', points: outline.map(([x, y]) => [round(x), round(y)] as [number, number]) }
        : {
            type: 'rect',
            x: round(box.x),
            y: round(box.y),
            w: Math.max(1, round(box.w)),
            h: Math.max(1, round(box.h)),
          };
      // A place that is called as what belongs there would tell.
      const tells = itemNames.has(bare(name)) || itemNames.has(name.toLowerCase());
      const zone = newZone({
        id: fresh('zones', 'zone') as ZoneId,
        label: tells ? `Place ${question.zones.length + i + 1}` : name,
        shape,
        settle: { rule: 'anchor', at: 'middle', gap: 0 },
      });
      return { zone, of: bare(name) };
    });
  const key = zones.flatMap(({ zone, of }) => {
    const belongs = items.filter(({ label }) => bare(label) === of).map(({ id }) => id);
    return belongs.length > 0 ? [newEntry(zone.id, belongs)] : [];
  });
  const all = [...question.key, ...key];
  return {
    ...question,
    items: [...question.items, ...items],
    zones: [...question.zones, ...zones.map(({ zone }) => zone)],
    key: all,
    marks: {
      ...question.marks,
      max: Math.max(
        1,
        all.reduce((sum, { belongs }) => sum + (belongs?.length ?? 0), 0),
      ),
    },
  };
}
