import type { Question } from '../../../core';

/** How items and zones of a question are called, by their indexes. */
export interface Names {
  readonly item: (item: number) => string;
  /** −1: in none. */
  readonly zone: (zone: number) => string;
}

export const namesIn = ({ items, zones }: Pick<Question, 'items' | 'zones'>): Names => ({
  item: (item) => items[item]?.label || items[item]?.id || '',
  zone: (zone) => (zone === -1 ? 'nowhere' : zones[zone]?.label || `zone ${zone + 1}`),
});

/** The same; a place without a name is called by what belongs there. */
export function withPieces(document: Pick<Question, 'items' | 'zones' | 'key'>): Names {
  const names = namesIn(document);
  const piece = (zone: number) => {
    const id = document.key.find((entry) => entry.zone === document.zones[zone]?.id)?.belongs?.[0];
    return document.items.find((item) => item.id === id)?.label;
  };
  return { ...names, zone: (zone) => document.zones[zone]?.label || piece(zone) || names.zone(zone) };
}
