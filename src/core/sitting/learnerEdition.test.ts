import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { random, seedOf } from '../random/random';
import { learnerEdition as drawnBy } from './learnerEdition';

const learnerEdition = (question: ReturnType<typeof seeds>, seed: string) => drawnBy(question, random(seedOf(seed)));

describe('a learner edition', () => {
  it('does not depend on the key, the marks or the values', () => {
    const id = 'one-question';
    const one = seeds({ id });
    const other = seeds({
      id,
      key: [{ zone: 'moist', belongs: ['barley', 'poppy', 'gravel'], need: { rule: 'exactly', n: 1 } }],
      marks: { max: 99, rule: 'allOrNothing' },
    });
    other.items.forEach((item, i) => {
      item.value = i;
    });
    expect(JSON.stringify(learnerEdition(one, 'seed').question)).toBe(
      JSON.stringify(learnerEdition(other, 'seed').question),
    );
  });

  it('names nothing as the document does', () => {
    const question = seeds();
    for (const { id } of [...question.items, ...question.zones])
      expect(JSON.stringify(learnerEdition({ ...question, title: '' }, 'seed').question)).not.toContain(`"id":"${id}"`);
  });

  it('is the same for the same sitting, and another for another', () => {
    const question = seeds({
      tray: { side: 'bottom', size: 150, order: 'shuffled' },
      items: ['a', 'b', 'c', 'd', 'e', 'f'].map((id) => ({ id, label: id, size: { w: 50, h: 40 } })),
      key: [],
    });
    const homes = (seed: string) =>
      [...learnerEdition(question, seed).question.items]
        .sort((a, b) => a.label.localeCompare(b.label))
        .map(({ home }) => home.x);
    expect(learnerEdition(question, 'one').question).toEqual(learnerEdition(question, 'one').question);
    expect(homes('one')).not.toEqual(homes('two'));
    expect([...homes('one')].sort()).toEqual([...homes('two')].sort());
  });

  it('lists the items of a shuffled tray as they lie, so that the list does not give the author’s order away', () => {
    const items = ['a', 'b', 'c', 'd', 'e', 'f'].map((id) => ({ id, label: id, size: { w: 50, h: 40 } }));
    const question = seeds({ tray: { side: 'bottom', size: 150, order: 'shuffled' }, items, key: [] });
    const sent = learnerEdition(question, 'one').question.items;
    const places = sent.map(({ home }) => home.x + 10_000 * home.y);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(sent.map(({ label }) => label)).not.toEqual(items.map(({ label }) => label));
    const own = learnerEdition(seeds({ tray: { side: 'bottom', size: 150, order: 'asListed' }, items, key: [] }), 'one')
      .question.items;
    expect(own.map(({ label }) => label)).toEqual(items.map(({ label }) => label));
  });

  it('sends values only where learners see their sum', () => {
    const items = [{ id: 'a', size: { w: 50, h: 40 }, value: 7 }];
    const values = (runningTotal: boolean) =>
      learnerEdition(seeds({ items, key: [], show: { runningTotal } }), 'one').question.items.map(({ value }) => value);
    expect([values(false), values(true)]).toEqual([[null], [7]]);
  });
});

it('a word that only typed gaps could take is not sent, whether it belongs in one or in none', () => {
  const item = (id: string) => ({ id, label: id, size: { w: 60, h: 30 } });
  const gap = (id: string, more: Record<string, unknown> = {}) => ({
    id,
    shape: { type: 'slot' },
    capacity: 1,
    ...more,
  });
  const typed = { accept: { red: ['red'] } };
  const sent = (zones: Record<string, unknown>[]) =>
    learnerEdition(
      seeds({
        items: [item('red'), item('green')],
        zones,
        key: [{ zone: 'one', belongs: ['red'], need: { rule: 'all' } }],
      }),
      'seed',
    ).question.items.map(({ label }) => label);
  expect(sent([gap('one', { typed })])).toEqual([]);
  // Another gap takes words that are moved: then what belongs nowhere is one of them.
  expect(sent([gap('one', { typed }), gap('two')])).toEqual(['green']);
});
