import { describe, expect, it } from 'vitest';
import { nameOf, rowsOf } from './tree';

const row = (id: string, words: string, parentId: string | null) => ({
  ...{ id, code: id.toUpperCase(), words, parentId, withdrawn: false, questions: 0 },
});
const outcomes = [row('a', 'Keeps seeds', null), row('a1', 'Dries them', 'a'), row('b', 'Names seeds', null)];

describe('a tree of outcomes', () => {
  it('knows how deep each stands', () => {
    expect(rowsOf({ outcomes }, '').map(({ id, depth }) => [id, depth])).toEqual([
      ['a', 0],
      ['a1', 1],
      ['b', 0],
    ]);
  });
  it('finds by code and words, and shows what it stands under', () => {
    expect(rowsOf({ outcomes }, ' DRIES ').map(({ id }) => id)).toEqual(['a', 'a1']);
    expect(rowsOf({ outcomes }, 'b ').map(({ id }) => id)).toEqual(['b']);
    expect(rowsOf({ outcomes }, 'nothing')).toEqual([]);
  });
  it('calls one by its code and its words', () => {
    expect([nameOf({ code: 'A', words: 'Keeps' }), nameOf({ code: '', words: 'Keeps' })]).toEqual(['A Keeps', 'Keeps']);
  });
});
