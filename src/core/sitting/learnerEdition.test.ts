import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { learnerEdition } from './learnerEdition';

describe('a learner edition', () => {
  it('does not depend on the key, the marks or the values', () => {
    const id = 'one-question';
    const one = seeds({ id });
    const other = seeds({ id, key: [{ zone: 'moist', belongs: ['barley', 'poppy', 'gravel'], need: { rule: 'exactly', n: 1 } }], marks: { max: 99, rule: 'allOrNothing' } });
    other.items.forEach((item, i) => {
      item.value = i;
    });
    expect(JSON.stringify(learnerEdition(one, 'seed').question)).toBe(JSON.stringify(learnerEdition(other, 'seed').question));
  });

  it('names nothing as the document does', () => {
    const question = seeds();
    for (const { id } of [...question.items, ...question.zones]) expect(JSON.stringify(learnerEdition({ ...question, title: '' }, 'seed').question)).not.toContain(`"id":"${id}"`);
  });

  it('is the same for the same sitting, and another for another', () => {
    const question = seeds({
      tray: { side: 'bottom', size: 150, order: 'shuffled' },
      items: ['a', 'b', 'c', 'd', 'e', 'f'].map((id) => ({ id, size: { w: 50, h: 40 } })),
      key: [],
    });
    const homes = (seed: string) => learnerEdition(question, seed).question.items.map(({ home }) => home.x);
    expect(learnerEdition(question, 'one').question).toEqual(learnerEdition(question, 'one').question);
    expect(homes('one')).not.toEqual(homes('two'));
    expect([...homes('one')].sort()).toEqual([...homes('two')].sort());
  });
});
