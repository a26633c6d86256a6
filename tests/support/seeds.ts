import { randomUUID } from 'node:crypto';
import type { Question } from '../../src/core';
import { parseQuestion } from '../../src/core/document';

/** Two zones, four items: barley and poppy stand drying, the acorn stays moist, gravel belongs nowhere. */
export function seeds(changes: Record<string, unknown> = {}): Question {
  const item = (id: string, x: number) => ({ id, label: id, size: { w: 100, h: 40 }, home: { x, y: 440 } });
  const zone = (id: string, x: number) => ({ id, label: id, shape: { type: 'rect', x, y: 40, w: 400, h: 300 } });
  const parsed = parseQuestion({
    format: 'vault-drop/question',
    version: 2,
    id: randomUUID(),
    title: 'Which seeds stand drying?',
    kind: 'sort',
    scene: { width: 960, height: 540 },
    items: [item('barley', 20), item('poppy', 140), item('acorn', 260), item('gravel', 380)],
    zones: [zone('dry', 40), zone('moist', 500)],
    key: [
      { zone: 'dry', belongs: ['barley', 'poppy'], need: { rule: 'all' } },
      { zone: 'moist', belongs: ['acorn'], need: { rule: 'all' } },
    ],
    marks: { max: 3, rule: 'perPlacement', extraCosts: 0 },
    tries: 2,
    afterMiss: 'sendWrongHome',
    ...changes,
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return parsed.question;
}

/** A key whose model answer is a search that does not end in its time: numbers of which some add up. */
export function subsetSum(seed: number): Record<string, unknown> {
  const items = Array.from({ length: 40 }, (_, i) => ({
    id: `i${i}`,
    label: `Sachet ${i}`,
    size: { w: 60, h: 30 },
    value: 1000 + ((i * 7919 + seed * 104_729) % 9001),
  }));
  return {
    items,
    zones: [{ id: 'scale', label: 'Scale', shape: { type: 'rect', x: 0, y: 0, w: 800, h: 400 } }],
    key: [{ zone: 'scale', sum: { target: 48_611.5, tolerance: 0 } }],
  };
}
