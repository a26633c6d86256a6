import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { parseQuestion } from '../document';
import type { Question } from '../document/schema';
import { questionModel } from '../judge/model';
import { replay } from '../judge/replay';
import { judge } from '../marks/mark';
import { correction } from './correct';
import { applyAll } from './edit';
import { widen } from './widen';

const cell = (item: string, zone: string) => ({ item, zone }) as Parameters<typeof widen>[1];
const markOf = (question: Question, placed: Readonly<Record<string, string>>) => {
  const model = questionModel(question);
  const { board } = replay(
    model,
    Object.entries(placed).map(([item, zone]) => ({ kind: 'put', item, copy: 0, zone })),
  );
  return judge(model, board, 1);
};
const widened = (question: Question, item: string, zone: string): Question =>
  applyAll(question, widen(question, cell(item, zone)) ?? []);

describe('a widened key', () => {
  it('has an item right in one more zone, and where it was', () => {
    const question = seeds();
    const wider = widened(question, 'acorn', 'dry');
    expect(parseQuestion(wider).ok).toBe(true);
    expect(markOf(question, { barley: 'dry', poppy: 'dry', acorn: 'dry' }).fullMarks).toBe(false);
    for (const zone of ['dry', 'moist'])
      expect(markOf(wider, { barley: 'dry', poppy: 'dry', acorn: zone })).toMatchObject({ fullMarks: true, mark: 3 });
    expect(markOf(wider, { barley: 'dry', poppy: 'dry', acorn: 'moist', gravel: 'dry' }).fullMarks).toBe(false);
    expect(
      markOf(widened(question, 'gravel', 'dry'), { barley: 'dry', poppy: 'dry', acorn: 'moist', gravel: 'dry' })
        .fullMarks,
    ).toBe(true);
  });

  it('gives a zone without a key one', () => {
    const question = seeds({ key: [{ zone: 'dry', belongs: ['barley', 'poppy'], need: { rule: 'all' } }] });
    expect(widened(question, 'gravel', 'moist').key[1]).toMatchObject({
      zone: 'moist',
      belongs: ['gravel'],
      need: { rule: 'between', min: 0, max: 1 },
    });
  });

  it('does not widen an order or a sum, nor what is right already', () => {
    expect(widen(seeds(), cell('barley', 'dry'))).toBeNull();
    expect(widen(seeds(), cell('nothing', 'dry'))).toBeNull();
    const ordered = seeds({
      key: [{ zone: 'dry', belongs: ['barley', 'poppy'], sequence: true, need: { rule: 'all' } }],
    });
    expect(widen(ordered, cell('acorn', 'dry'))).toBeNull();
    expect(widen(ordered, cell('barley', 'moist'))).toBeNull();
  });

  it('keeps every answer right that was: random keys and answers', () => {
    const items = ['barley', 'poppy', 'acorn', 'gravel'];
    const zones = ['dry', 'moist'];
    const need = fc.oneof(
      fc.constant({ rule: 'all' }),
      fc.record({ rule: fc.constant('atLeast'), n: fc.integer({ min: 0, max: 2 }) }),
      fc.record({ rule: fc.constant('exactly'), n: fc.integer({ min: 0, max: 3 }) }),
    );
    const entry = (zone: string) =>
      fc.record({ zone: fc.constant(zone), belongs: fc.subarray(items, { minLength: 1 }), need });
    const answer = fc.array(fc.option(fc.constantFrom(...zones)), { minLength: 4, maxLength: 4 });
    fc.assert(
      fc.property(
        fc.tuple(entry('dry'), entry('moist')),
        answer,
        fc.constantFrom(...items),
        fc.constantFrom(...zones),
        (key, where, item, zone) => {
          const question = seeds({ key });
          const placed = Object.fromEntries(items.flatMap((id, i) => (where[i] ? [[id, where[i] as string]] : [])));
          if (!markOf(question, placed).fullMarks) return;
          expect(markOf(widened(question, item, zone), placed).fullMarks).toBe(true);
        },
      ),
      { numRuns: 400 },
    );
  });
});

describe('a correction', () => {
  it('changes the key, words and marks, and nothing that moves were made with', () => {
    const from = seeds();
    expect(
      correction(from, { ...from, title: 'Again', key: from.key.slice(0, 1), marks: { ...from.marks, max: 2 } }),
    ).toMatchObject({ ok: true });
    expect(
      correction(from, { ...from, items: from.items.map((item) => ({ ...item, label: item.label.toUpperCase() })) }),
    ).toMatchObject({ ok: true });
    for (const to of [
      { ...from, tries: 3 },
      { ...from, items: from.items.slice(1) },
      { ...from, items: from.items.map((item) => ({ ...item, size: { w: 10, h: 10 } })) },
      { ...from, zones: from.zones.map((zone) => ({ ...zone, capacity: 1 })) },
      {
        ...from,
        zones: from.zones.map((zone) => ({ ...zone, typed: { accept: {}, case: false, accents: false, slips: 0 } })),
      },
    ] as Question[])
      expect(correction(from, to)).toMatchObject({ ok: false });
  });
});
