import type { ItemId, Question, ZoneId } from '../../../core';
import { newItem, newZone } from '../../../core/document';
import { alike, laidOut, needing } from '../../../core/kinds';

/** A heap of one thing, and a container that needs so many of it. */
export function counted(
  question: Question,
  { thing, there, container, wanted }: { thing: string; there: number; container: string; wanted: number },
): Question {
  const heap = newItem({ id: 'item-1' as ItemId, label: thing, copies: there });
  const zone = newZone({
    id: 'zone-1' as ZoneId,
    label: container,
    shape: { type: 'rect', x: 0, y: 0, w: 300, h: 200 },
  });
  const made = alike({ ...question, kind: 'count', items: [heap], zones: [zone] });
  return laidOut(needing(made, zone.id, { rule: 'exactly', n: wanted }, null, [heap.id]), 'trayBelow');
}
