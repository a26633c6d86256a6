import { identifierOf } from '../identifiers';

/** What stands between the parts of a response (xAPI 1.0.3, part 2, 2.4.4.1). */
export const AND = '[,]';
export const TO = '[.]';
export const RANGE = '[:]';

/** An id as it stands in patterns and responses: itself, unless it has blanks or what stands between parts. */
export const componentId = (id: string): string =>
  /\s/.test(id) || [AND, TO, RANGE].some((mark) => id.includes(mark)) ? identifierOf(id) : id;
