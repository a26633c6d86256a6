import type { EntryModel } from '../../judge/model';
import type { Setting } from './setting';

/**
 * Copies that are alike for the counting: of one type, belonging to the same entries, and of one value where a sum asks
 * for it. An item of a sequence is a class by itself: its place matters.
 */
export interface Class {
  readonly type: number;
  /** Entries it belongs to, whose zones are open to it, by index of the entry. */
  readonly entries: readonly number[];
  readonly value: number;
  readonly n: number;
  /** Of a sequence: which item. −1: any of several. */
  readonly item: number;
}

export function classesOf(setting: Setting): Class[] {
  const { model, copies, typeOf, open } = setting;
  const found = new Map<string, { type: number; entries: number[]; value: number; n: number; item: number }>();
  model.items.forEach((_, item) => {
    const type = typeOf[item] as number;
    if (type < 0) return;
    const entries = model.entries.flatMap((entry, e) =>
      entry.belongs.has(item) && open[entry.zone]?.[type] ? [e] : [],
    );
    const value = entries.some((e) => model.entries[e]?.sum) ? (model.values[item] as number) : 0;
    const single = entries.some((e) => model.entries[e]?.sequence) ? item : -1;
    const name = `${type}|${entries.join()}|${value}|${single}`;
    const same = found.get(name);
    if (same) same.n += copies[item] as number;
    else found.set(name, { type, entries, value, n: copies[item] as number, item: single });
  });
  return [...found.values()];
}

/** The most copies an entry's zone can hold and still be satisfied. */
export const mostIn = ({ room }: Setting, entry: EntryModel): number => Math.min(entry.hi, room[entry.zone] as number);

/** Copies by type, from copies by class. */
export const byType = (setting: Setting, classes: readonly Class[], counts: readonly number[]): number[] =>
  setting.counts.map((_, type) =>
    classes.reduce((sum, one, i) => sum + (one.type === type ? (counts[i] as number) : 0), 0),
  );
