import type { Question, Typed } from '../document/schema';

/**
 * Reads a typed text as an item, by index; one more than the last item: none of those accepted; null: nothing was
 * typed.
 */
export type Reader = (text: string) => number | null;

/**
 * How a text that was read as an item, of its accepted texts, is spelled: null where it is spelled so, letters of
 * either case being the same where the zone does not mind them.
 */
export function spellingOf(
  { case: minds }: Pick<Typed, 'case'>,
  texts: readonly string[],
  text: string,
): string | null {
  const typed = text.trim().normalize('NFC');
  const cased = (spelling: string) => (minds ? spelling : spelling.toLowerCase());
  const far = (spelling: string) => distance([...cased(typed)], [...cased(spelling.normalize('NFC'))]);
  const nearest = texts.reduce<string | null>(
    (best, one) => (best === null || far(one) < far(best) ? one : best),
    null,
  );
  return nearest === null || far(nearest) === 0 ? null : nearest;
}

/** The reader of a typed zone. Of spellings equally near the first in `accept` is taken. */
export function readerOf({ accept, case: minds, accents, slips }: Typed, itemAt: ReadonlyMap<string, number>): Reader {
  const plain = (text: string) => {
    const trimmed = text.trim();
    const bare = accents ? trimmed.normalize('NFC') : trimmed.normalize('NFD').replace(/\p{M}/gu, '').normalize('NFC');
    return [...(minds ? bare : bare.toLowerCase())];
  };
  const spellings = Object.entries(accept).flatMap(([id, texts]) =>
    texts.map((text) => ({ item: itemAt.get(id) as number, text: plain(text) })),
  );
  return (text) => {
    if (text.trim() === '') return null;
    const typed = plain(text);
    let nearest = itemAt.size;
    let least = slips + 1;
    for (const { item, text: spelling } of spellings) {
      if (Math.abs(spelling.length - typed.length) >= least) continue;
      const slipped = distance(typed, spelling);
      if (slipped < least) {
        least = slipped;
        nearest = item;
      }
    }
    return nearest;
  };
}

/**
 * The Damerau–Levenshtein distance: the fewest characters put in, left out, exchanged, or swapped with their neighbour.
 * Unrestricted: what was swapped may be changed again (Lowrance and Wagner, "An Extension of the String-to-String
 * Correction Problem", JACM 22, 1975).
 */
export function distance(a: readonly string[], b: readonly string[]): number {
  const far = a.length + b.length;
  const width = b.length + 2;
  const cost = new Array<number>((a.length + 2) * width).fill(far);
  const at = (i: number, j: number) => cost[(i + 1) * width + j + 1] as number;
  for (let i = 0; i <= a.length; i++) cost[(i + 1) * width + 1] = i;
  for (let j = 0; j <= b.length; j++) cost[width + j + 1] = j;
  const lastRow = new Map<string, number>();
  for (let i = 1; i <= a.length; i++) {
    let lastColumn = 0;
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1];
      const row = lastRow.get(b[j - 1] as string) ?? 0;
      const swapped = at(row - 1, lastColumn - 1) + (i - row - 1) + 1 + (j - lastColumn - 1);
      cost[(i + 1) * width + j + 1] = Math.min(
        at(i - 1, j - 1) + (same ? 0 : 1),
        at(i, j - 1) + 1,
        at(i - 1, j) + 1,
        swapped,
      );
      if (same) lastColumn = j;
    }
    lastRow.set(a[i - 1] as string, i);
  }
  return at(a.length, b.length);
}

/**
 * As what item a text typed into a zone would be read: its id; null: as none of those accepted; undefined: nothing was
 * typed, or the zone is not answered by typing.
 */
export function readTyped(
  { items, zones }: Pick<Question, 'items' | 'zones'>,
  zone: string,
  text: string,
): string | null | undefined {
  const typed = zones.find(({ id }) => id === zone)?.typed;
  const read = typed ? readerOf(typed, new Map(items.map(({ id }, i) => [id, i])))(text) : null;
  return read === null ? undefined : (items[read]?.id ?? null);
}
