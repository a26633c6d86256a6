import type { Arriving } from '../arriving';
import type { DeclaredResponse } from '../plainTree';
import { markedBy, type Worth, worthOf, type ZoneWorth } from '../worth';

/** Values of a response of directed pairs by their zones: "item zone", or "zone item" where the item comes second. */
export function zonesFrom(
  response: DeclaredResponse,
  zones: readonly { readonly id: string; readonly capacity: number | null }[],
  arriving: Arriving,
): { readonly worth: Worth; readonly marked: ReturnType<typeof markedBy> } {
  const worth = worthOf(response, arriving);
  const held: ZoneWorth[] = zones.map(({ id, capacity }) => ({ zone: id, capacity, right: rightIn(worth, id) }));
  return { worth, marked: markedBy(held, worth, arriving) };
}

const rightIn = ({ right }: Worth, zone: string): ReadonlyMap<string, number> =>
  new Map(
    [...right].flatMap(([pair, worth]) => {
      const [item, target] = pair.split(' ');
      return target === zone && item ? [[item, worth] as const] : [];
    }),
  );
