import type { Question } from '../../core';
import { identifierOf } from '../identifiers';

export const RESPONSE = 'RESPONSE';
export const SCORE = 'SCORE';
export const MAX_SCORE = 'MAXSCORE';
/** The response of one gap. */
export const responseOf = (zone: string): string => `${RESPONSE}_${zone}`;
/** The zone that a gap's response is named after. */
export const zoneOfResponse = (response: string): string => response.replace(/^RESPONSE_(?=.)/, '');
const isReserved = (name: string) =>
  name === SCORE || name === MAX_SCORE || name === RESPONSE || name.startsWith(`${RESPONSE}_`);

/** What the items and zones of a question are called in QTI. */
export interface QtiNames {
  /** The names of an item's copies, by its index. */
  readonly items: readonly (readonly string[])[];
  readonly zones: readonly string[];
  /** The ids that are called otherwise because their name was taken. */
  readonly renamed: readonly string[];
}

/** Names for the copies that go out, `copies` of each item; zones choose first. */
export function namesIn({ items, zones }: Question, copies: readonly number[]): QtiNames {
  const taken = new Set<string>();
  const renamed: string[] = [];
  const free = (id: string, ending = ''): string => {
    let name = `${identifierOf(id)}${ending}`;
    if ((isReserved(name) || taken.has(name)) && !renamed.includes(id)) renamed.push(id);
    while (isReserved(name) || taken.has(name)) name = `_${name}`;
    taken.add(name);
    return name;
  };
  const zoneNames = zones.map(({ id }) => free(id));
  const first = items.map(({ id }) => free(id));
  const names = items.map(({ id }, i) => [
    first[i] as string,
    ...Array.from({ length: Math.max(0, (copies[i] ?? 1) - 1) }, (_, copy) => free(id, `.${copy + 2}`)),
  ]);
  return { items: names, zones: zoneNames, renamed };
}
