import { zipSync } from 'fflate';
import type { Question } from '../src/core';
import { parseQuestion } from '../src/core/document';

/**
 * The largest question there may be: as many things as are taken, outlines with many corners, each item keyed,
 * everything that has to be looked at by pairs.
 */
export function heaviest(items = 600, zones = 300, corners = 60): Question {
  const outline = (z: number) =>
    Array.from({ length: corners }, (_, k) => [
      100 + (z % 20) * 90 + 40 * Math.cos((2 * Math.PI * k) / corners),
      100 + Math.floor(z / 20) * 60 + 30 * Math.sin((2 * Math.PI * k) / corners),
    ]);
  const parsed = parseQuestion({
    format: 'vault-drop/question',
    version: 2,
    id: 'heaviest',
    title: 'Where does each sachet go?',
    kind: 'sort',
    scene: { width: 1920, height: 1080 },
    items: Array.from({ length: items }, (_, i) => ({
      id: `i${i}`,
      label: `Sachet ${i} of the cold room`,
      size: { w: 60, h: 30 },
    })),
    zones: Array.from({ length: zones }, (_, z) => ({
      id: `z${z}`,
      label: `Place ${z}`,
      shape: { type: 'polygon', points: outline(z) },
      reach: { rule: 'touch' },
      settle: { rule: 'grid' },
    })),
    key: Array.from({ length: zones }, (_, z) => ({
      zone: `z${z}`,
      belongs: [`i${z}`, `i${z + 300}`],
      need: { rule: 'all' },
      says: { zone: null, items: {} },
    })),
    marks: { max: 10, rule: 'perPlacement' },
    tray: { side: 'bottom', size: 300, order: 'shuffled' },
    tries: null,
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems[0]));
  return parsed.question;
}

/** A zip whose directory names one large part so many times, and says of each that it is small. */
export function zipOfManyNames(times: number): Uint8Array {
  const one = zipSync({ 'questions/1.json': new Uint8Array(5_000_000) }, { level: 9 });
  const end = one.length - 22;
  const view = new DataView(one.buffer, one.byteOffset);
  const from = view.getUint32(end + 16, true);
  const entry = one.slice(from, end);
  new DataView(entry.buffer).setUint32(24, 10, true);
  const many = new Uint8Array(from + times * entry.length + 22);
  many.set(one.subarray(0, from));
  for (let i = 0; i < times; i++) many.set(entry, from + i * entry.length);
  many.set(one.subarray(end), from + times * entry.length);
  const tail = new DataView(many.buffer, many.length - 22);
  tail.setUint16(8, times, true);
  tail.setUint16(10, times, true);
  tail.setUint32(12, times * entry.length, true);
  return many;
}
