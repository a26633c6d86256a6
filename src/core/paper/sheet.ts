import type { Question } from '../document/schema';
import { carrierOf } from '../edit/frames';
import { slotsIn } from '../edit/slots';
import { outlineOf } from '../geometry/outline';
import { onScene } from '../geometry/riding';
import type { Box, Point } from '../geometry/space';
import { servesTypedOnly } from '../sitting/learnerEdition';

/** What things are called on a sheet of paper, so that an answer can be written in letters by numbers. */
export interface SheetNames {
  /** By item index: its letter; null: it is not placed by hand. */
  readonly letters: readonly (string | null)[];
  /** By zone index: its number, from 1; null: learners do not see it. */
  readonly numbers: readonly (number | null)[];
}

/**
 * Letters for items in the order in which they are read where they lie (`homes`, by item: scene units), those of menus
 * by their words; numbers for zones: gaps in the order of their texts, then the others as they are read. The names
 * tell nothing of the key: they rest on what learners see.
 */
export function sheetNames(question: Question, homes: readonly Point[]): SheetNames {
  const typedOnly = servesTypedOnly(question);
  const items = question.items.flatMap(({ id, size }, i) =>
    typedOnly.has(id) ? [] : [{ i, box: { ...(homes[i] ?? { x: 0, y: 0 }), ...size } }],
  );
  // What is only chosen from menus lies nowhere: in the order of the document it might tell the key.
  const offered = items.filter(({ i }) => isOnlyChosen(question, i));
  const wordsOf = (i: number) => (question.items[i]?.label ?? '').toLowerCase();
  const byWords = offered.toSorted((a, b) => (wordsOf(a.i) < wordsOf(b.i) ? -1 : 1));
  const letters: (string | null)[] = question.items.map(() => null);
  [...asRead(items.filter((item) => !offered.includes(item))), ...byWords].forEach(({ i }, n) => {
    letters[i] = letterOf(n);
  });
  const gaps = question.fixtures.flatMap((fixture) => (fixture.type === 'text' ? slotsIn(fixture.text) : []));
  const inTexts = gaps.flatMap((gap) => question.zones.findIndex(({ id }) => id === gap));
  const others = question.zones.flatMap((zone, i) => {
    if (zone.hidden || inTexts.includes(i)) return [];
    const { shape, rotation } = onScene(zone.shape, zone.rotation, carrierOf(question, zone, homes));
    return [{ i, box: outlineOf(shape, rotation)?.box ?? { x: 0, y: 0, w: 0, h: 0 } }];
  });
  const numbers: (number | null)[] = question.zones.map(() => null);
  [...inTexts, ...asRead(others).map(({ i }) => i)].forEach((i, n) => {
    numbers[i] = n + 1;
  });
  return { letters, numbers };
}

/** Everything that could take it is a menu in a text. */
function isOnlyChosen({ items, zones }: Question, i: number): boolean {
  const takes = zones.filter(
    ({ hidden, typed, family }) => !hidden && !typed && (family === null || family === items[i]?.family),
  );
  return takes.length > 0 && takes.every(({ menu, shape }) => menu && shape.type === 'slot');
}

/** Line by line, each from its left: what begins above the middle of a line's first belongs to that line. */
function asRead<Seen extends { readonly box: Box }>(all: readonly Seen[]): Seen[] {
  const rest = all.toSorted((a, b) => a.box.y - b.box.y);
  const read: Seen[] = [];
  while (rest.length > 0) {
    const [{ box } = { box: { x: 0, y: 0, w: 0, h: 0 } }] = rest;
    const below = rest.findIndex((seen, i) => i > 0 && seen.box.y > box.y + box.h / 2);
    read.push(...rest.splice(0, below === -1 ? rest.length : below).toSorted((a, b) => a.box.x - b.box.x));
  }
  return read;
}

const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** A to Z, then AA to AZ, BA and so on. `n`: from 0. */
export function letterOf(n: number): string {
  const last = ALPHABET[n % ALPHABET.length] ?? '';
  return n < ALPHABET.length ? last : letterOf(Math.floor(n / ALPHABET.length) - 1) + last;
}
