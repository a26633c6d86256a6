import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import type { ItemId, ZoneId } from '../document/ids';
import { newItem, newZone } from '../document/make';
import { parseQuestion } from '../document/parse';
import type { Question } from '../document/schema';
import { apply, applyAll, EditMismatch, invertAll, type Step } from './edit';
import { addItems, addZone, remove, setBelongs, setBox, setItem, setQuestion } from './steps';

/** Steps an author could take on the question as it is, picked by two numbers. */
function someStep(question: Question, what: number, which: number): Step {
  const item = question.items[which % Math.max(1, question.items.length)];
  const zone = question.zones[which % Math.max(1, question.zones.length)];
  const fresh = `new-${question.items.length}-${question.zones.length}-${which}`;
  switch (what) {
    case 0:
      return setQuestion(question, 'title', `Title ${which}`);
    case 1:
      return item ? setItem(question, item.id, 'label', `Label ${which}`) : [];
    case 2:
      return item && zone ? setBelongs(question, zone.id, item.id, which % 2 === 0) : [];
    case 3:
      return addItems(question, [newItem({ id: `i${fresh}` as ItemId, label: 'New' })]);
    case 4:
      return addZone(question, newZone({ id: `z${fresh}` as ZoneId, label: 'New', shape: { type: 'rect', x: 1, y: 2, w: 30, h: 40 } }));
    case 5:
      return setBox(question, (which % 2 ? item : zone)?.id ?? '', { x: which, y: 3, w: 50, h: 60 });
    default:
      return remove(question, new Set([item?.id ?? '', which % 3 ? '' : (zone?.id ?? '')]));
  }
}

describe('edits', () => {
  it('taken back give the question as it was, and leave a valid one at every step', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(6), fc.nat(20)), { maxLength: 30 }), (picks) => {
        const start = seeds();
        const past: [Question, Step][] = [];
        let question = start;
        for (const [what, which] of picks) {
          const step = someStep(question, what, which);
          past.push([question, step]);
          question = applyAll(question, step);
          expect(parseQuestion(question).ok).toBe(true);
        }
        for (const [before, step] of past.reverse()) {
          question = applyAll(question, invertAll(step));
          expect(question).toEqual(before);
        }
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  it('that do not fit are refused', () => {
    const question = seeds();
    expect(() => apply(question, { type: 'setItem', id: 'nobody', field: 'label', to: 'x', from: 'y' })).toThrow(EditMismatch);
    expect(() => apply(question, { type: 'setItem', id: 'barley', field: '__proto__', to: {}, from: {} })).toThrow(EditMismatch);
    expect(() => apply(question, { type: 'setQuestion', field: 'format' as never, to: 'x', from: 'y' })).toThrow(EditMismatch);
  });

  it('of an item deleted take it out of the key', () => {
    const after = applyAll(seeds(), remove(seeds(), new Set(['barley', 'moist'])));
    expect(after.key).toEqual([expect.objectContaining({ zone: 'dry', belongs: ['poppy'] })]);
  });
});
