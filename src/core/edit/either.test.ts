import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { parseQuestion } from '../document/parse';
import { questionModel } from '../judge/model';
import { respond } from '../judge/response';
import { prove } from '../proof/proof';
import { applyAll, invertAll } from './edit';
import { belongsIn, inEachOf, setCells, setEntry } from './keying';
import { remove } from './steps';
import { refTo } from './things';
import { widen } from './widen';

type Question = ReturnType<typeof seeds>;
const cell = (item: string, zone: string) => ({ item, zone }) as Parameters<typeof belongsIn>[1];
const paint = (question: Question, item: string, zone: string, belongs = true) =>
  applyAll(question, setCells(question, [cell(item, zone)], belongs));
const valid = (question: Question) => {
  const parsed = parseQuestion(question);
  return parsed.ok ? [] : parsed.problems;
};
const mark = (question: Question, ...placements: [string, string][]) => {
  const responded = respond(questionModel(question), {
    placements: placements.map(([item, zone]) => ({ item, zone })),
  });
  if (!responded.ok) throw new Error(responded.fault);
  return responded.judged.mark;
};

describe('painting a second cell for an item of which there is one', () => {
  const twice = paint(seeds(), 'barley', 'moist');

  it('says that it belongs in either zone, and the question stays solvable', () => {
    expect(twice.either).toEqual([
      { belongs: ['barley'], zones: ['dry', 'moist'], need: { rule: 'all' }, weight: null },
    ]);
    expect(twice.key.find(({ zone }) => zone === 'dry')?.belongs).toEqual(['poppy']);
    expect(valid(twice)).toEqual([]);
    expect([belongsIn(twice, cell('barley', 'dry')), belongsIn(twice, cell('barley', 'moist'))]).toEqual([true, true]);
    expect(prove(questionModel(twice), 1000, { now: () => 0 }).solvable).toBe(true);
    expect(mark(twice, ['barley', 'moist'], ['poppy', 'dry'], ['acorn', 'moist'])).toBe(3);
    expect(mark(twice, ['barley', 'dry'], ['poppy', 'dry'], ['acorn', 'moist'])).toBe(3);
  });

  it('is joined by another item of the same zones, and left again', () => {
    const both = paint(twice, 'poppy', 'moist');
    expect(both.either).toEqual([
      { belongs: ['barley', 'poppy'], zones: ['dry', 'moist'], need: { rule: 'all' }, weight: null },
    ]);
    expect(valid(both)).toEqual([]);
    const left = paint(both, 'barley', 'dry', false);
    expect(left.either).toEqual([{ belongs: ['poppy'], zones: ['dry', 'moist'], need: { rule: 'all' }, weight: null }]);
    expect(left.key.find(({ zone }) => zone === 'moist')?.belongs).toEqual(['barley', 'acorn']);
    expect(valid(left)).toEqual([]);
  });

  it('is taken back in one step', () => {
    const question = seeds();
    const step = setCells(question, [cell('barley', 'moist')], true);
    expect(applyAll(applyAll(question, step), invertAll(step))).toEqual(question);
  });

  it('becomes one in each of them where the author wants that', () => {
    const each = applyAll(twice, inEachOf(twice, twice.items[0]?.id as Parameters<typeof inEachOf>[1]));
    expect(each.either).toEqual([]);
    expect(each.items[0]?.copies).toBe(2);
    expect(valid(each)).toEqual([]);
    expect(prove(questionModel(each), 1000, { now: () => 0 }).solvable).toBe(true);
  });

  it('gives way where the zone wants an order, and goes with its zone', () => {
    const dry = twice.zones[0]?.id as Parameters<typeof setEntry>[1];
    const ordered = applyAll(twice, setEntry(twice, dry, { sequence: true, need: null }));
    expect(ordered.either).toEqual([]);
    expect(valid(ordered)).toEqual([]);
    const gone = applyAll(twice, remove(twice, new Set([refTo('zone', 'moist')])));
    expect(gone.either).toEqual([]);
    expect(valid(gone)).toEqual([]);
  });

  it('does not happen where there are copies enough', () => {
    const many = seeds({ items: seeds().items.map((item) => ({ ...item, copies: 2 })) });
    expect(paint(many, 'barley', 'moist').either).toEqual([]);
  });
});

describe('widening a key', () => {
  it('is an either entry: what was right is right still, and nobody needs more or less', () => {
    const question = seeds();
    const wide = applyAll(question, widen(question, cell('barley', 'moist')) ?? []);
    expect(wide.either).toMatchObject([{ belongs: ['barley'], zones: ['dry', 'moist'] }]);
    expect(mark(wide, ['barley', 'dry'], ['poppy', 'dry'], ['acorn', 'moist'])).toBe(3);
    expect(mark(wide, ['barley', 'moist'], ['poppy', 'dry'], ['acorn', 'moist'])).toBe(3);
    expect(mark(wide, ['poppy', 'dry'], ['acorn', 'moist'])).toBe(2);
    const wider = widen(wide, cell('barley', 'moist'));
    expect(wider).toBeNull();
  });
});
