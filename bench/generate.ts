import type { Question } from '../src/core';
import { parseQuestion } from '../src/core/document';
import { type Random, random, seedOf } from '../src/core/random/random';

/**
 * An ordinary question of a size: each zone needs all of its share of the items, an eighth of the items belong nowhere.
 */
export function ordinary(items: number, zones: number, changes: Record<string, unknown> = {}): Question {
  const belonging = Math.floor((items * 7) / 8);
  const zoneOf = (i: number) => (i < belonging ? i % zones : -1);
  const parsed = parseQuestion({
    format: 'vault-drop/question',
    version: 2,
    id: `ordinary-${items}-${zones}`,
    title: 'Where does each sachet go?',
    kind: 'sort',
    scene: { width: 1920, height: 1080 },
    items: Array.from({ length: items }, (_, i) => ({
      id: `sachet-${i}`,
      label: `Lot ${i}`,
      size: { w: 90, h: 40 },
      home: { x: 10 + 95 * (i % 20), y: 700 + 45 * Math.floor(i / 20) },
    })),
    zones: Array.from({ length: zones }, (_, z) => ({
      id: `rack-${z}`,
      label: `Rack ${z}`,
      shape: { type: 'rect', x: 20 + (1880 / zones) * z, y: 40, w: 1840 / zones, h: 600 },
      settle: { rule: 'grid', gap: 8 },
    })),
    key: Array.from({ length: zones }, (_, z) => ({
      zone: `rack-${z}`,
      belongs: Array.from({ length: items }, (_i, i) => i)
        .filter((i) => zoneOf(i) === z)
        .map((i) => `sachet-${i}`),
      need: { rule: 'all' },
    })),
    marks: { max: items, rule: 'perPlacement' },
    tries: 3,
    ...changes,
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return parsed.question;
}

export interface Response {
  readonly id: string;
  readonly placements: readonly { readonly item: string; readonly zone: string }[];
}

/** A learner's arrangement: most items in some zone. */
export function response(question: Question, id: string, next: Random): Response {
  const placements = question.items.flatMap((item) => {
    const zone = question.zones[Math.floor(next() * (question.zones.length + 0.5))];
    return zone ? [{ item: item.id, zone: zone.id }] : [];
  });
  return { id, placements };
}

export const seeded = (text: string): Random => random(seedOf(text));
