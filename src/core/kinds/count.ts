import { freshId } from '../document/freshId';
import type { ItemId, ZoneId } from '../document/ids';
import { newZone } from '../document/make';
import type { Question, Zone } from '../document/schema';
import { newEntry } from '../edit/keying';

export interface Frame {
  readonly rows: number;
  readonly columns: number;
  readonly x: number;
  readonly y: number;
  /** Of one place, and between two, in scene units. */
  readonly cell: { readonly w: number; readonly h: number };
  readonly gap: number;
}

/** Adds a frame of places, rows by columns, each of which takes one; the scene grows to hold it. */
export function withFrame(question: Question, { rows, columns, x, y, cell, gap }: Frame): Question {
  const taken = new Set<string>(question.zones.map(({ id }) => id));
  const places = Array.from({ length: rows * columns }, (_, i): Zone => {
    const id = freshId('place', taken) as ZoneId;
    taken.add(id);
    const [row, column] = [Math.floor(i / columns), i % columns];
    return newZone({
      id,
      label: '',
      shape: { type: 'rect', x: x + column * (cell.w + gap), y: y + row * (cell.h + gap), w: cell.w, h: cell.h },
      reach: { rule: 'centre' },
      settle: { rule: 'anchor', at: 'middle', gap: 0 },
      capacity: 1,
    });
  });
  const [right, bottom] = [x + columns * (cell.w + gap) + 20, y + rows * (cell.h + gap) + 20];
  const tray = question.tray?.side === 'bottom' ? question.tray.size : 0;
  return {
    ...question,
    scene: { width: Math.max(question.scene.width, right), height: Math.max(question.scene.height, bottom + tray) },
    zones: [...question.zones, ...places],
  };
}

/** Adds a stack: a narrow zone that takes so many, one over another. */
export function withStack(
  question: Question,
  {
    places,
    x,
    y,
    cell,
  }: { readonly places: number; readonly x: number; readonly y: number; readonly cell: Frame['cell'] },
): Question {
  const taken = new Set<string>(question.zones.map(({ id }) => id));
  const gap = 4;
  const [w, h] = [cell.w + 2 * gap, places * (cell.h + gap) + gap];
  const stack = newZone({
    id: freshId('stack', taken) as ZoneId,
    label: `Stack ${question.zones.filter(({ id }) => id.startsWith('stack-')).length + 1}`,
    shape: { type: 'rect', x, y, w, h },
    settle: { rule: 'column', gap },
    capacity: places,
  });
  const tray = question.tray?.side === 'bottom' ? question.tray.size : 0;
  return {
    ...question,
    scene: {
      width: Math.max(question.scene.width, x + w + 20),
      height: Math.max(question.scene.height, y + h + 20 + tray),
    },
    zones: [...question.zones, stack],
  };
}

/** How many of its items a zone needs. */
export type Amount =
  | { readonly rule: 'exactly'; readonly n: number }
  | { readonly rule: 'atLeast'; readonly n: number }
  | { readonly rule: 'between'; readonly min: number; readonly max: number };

/** What a container needs: an amount of the items named, or values that add up. */
export function needing(
  question: Question,
  zone: ZoneId,
  need: Amount | null,
  sum: { target: number; tolerance: number } | null,
  items: readonly ItemId[],
): Question {
  const before = question.key.find((entry) => entry.zone === zone);
  const entry = newEntry(zone, [...items], {
    need,
    sum,
    ...(sum ? { belongs: null } : {}),
    weight: before?.weight ?? null,
    says: before?.says ?? null,
  });
  return {
    ...question,
    key: before ? question.key.map((one) => (one.zone === zone ? entry : one)) : [...question.key, entry],
  };
}
