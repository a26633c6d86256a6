import { fitCount, fitsAll } from '../../geometry/fit';
import { rectOutline } from '../../geometry/outline';
import type { FindingRule } from './finding';
import { couldBelong, zoneId, zoneNamed } from './named';

/** So many are laid out to see; a zone that needs more holds them all or overflows long before. */
const MOST_LAID = 2000;

const inWords = (room: number) => (room === 0 ? 'none' : Number.isFinite(room) ? room : 'fewer');

/** The items that a zone needs do not fit it by its settle rule. */
export const overflow: FindingRule = ({ model }) =>
  model.entries.flatMap((entry) => {
    const zone = model.zones[entry.zone];
    if (!zone?.outline || entry.lo === 0) return [];
    const boxes = couldBelong(model, entry).flatMap((item) => {
      const { w, h, rotation, copies } = model.items[item] as (typeof model.items)[number];
      const { box } = rectOutline({ x: 0, y: 0, w, h }, rotation);
      return Array.from({ length: Math.min(copies, entry.lo, MOST_LAID) }, () => box);
    });
    // Where not all are needed, the largest are the ones to worry about.
    const needed = boxes.sort((a, b) => b.w * b.h - a.w * a.h).slice(0, Math.min(entry.lo, MOST_LAID));
    if (fitsAll(zone.settle, zone.outline.box, needed)) return [];
    const largest = needed.reduce((most, box) => ({ w: Math.max(most.w, box.w), h: Math.max(most.h, box.h) }), { w: 1, h: 1 });
    const room = fitCount(zone.settle, zone.outline.box, largest);
    return [
      {
        where: [zoneId(model, entry.zone)],
        message: `${zoneNamed(model, entry.zone)} needs ${entry.lo}, but by its settle rule there is room for ${inWords(room)}.`,
        mend: 'Make the zone larger, the items smaller, or settle them another way.',
      },
    ];
  });
