import type { EntryModel, QuestionModel } from './model';

/** Items that belong in an entry's zone and that its family lets in. */
export function couldBelong({ items, zones }: QuestionModel, { order, zone }: EntryModel): number[] {
  const family = zones[zone]?.family ?? null;
  return order.filter((item) => family === null || items[item]?.family === family);
}
