import type { Question } from '../../core';

/** NCName of Namespaces in XML 1.0: Name of XML 1.0 (fifth edition), section 2.3, without the colon. */
const START =
  'A-Z_a-z\\u00C0-\\u00D6\\u00D8-\\u00F6\\u00F8-\\u02FF\\u0370-\\u037D\\u037F-\\u1FFF\\u200C\\u200D\\u2070-\\u218F' +
  '\\u2C00-\\u2FEF\\u3001-\\uD7FF\\uF900-\\uFDCF\\uFDF0-\\uFFFD\\u{10000}-\\u{EFFFF}';
const NC_NAME = new RegExp(`^[${START}][${START}.0-9\\u00B7\\u0300-\\u036F\\u203F\\u2040-]*$`, 'u');
export const isNcName = (text: string): boolean => NC_NAME.test(text);

const hex = (text: string) =>
  Array.from(new TextEncoder().encode(text), (byte) => byte.toString(16).padStart(2, '0')).join('');
/** An id as an identifier: itself, or `i_` and its UTF-8 bytes in hexadecimal where it is no NCName. */
export const identifierOf = (id: string): string => (isNcName(id) ? id : `i_${hex(id)}`);

export const RESPONSE = 'RESPONSE';
export const SCORE = 'SCORE';
export const MAX_SCORE = 'MAXSCORE';
/** The response of one gap. */
export const responseOf = (zone: string): string => `${RESPONSE}_${zone}`;
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
