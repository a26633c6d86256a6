import { describe, expect, it } from 'vitest';
import { isUsername, normalUsername } from './username';

describe('a user name', () => {
  it.each([
    ...['wren', 'wren.tallow', 'anne-marie', 'w_t', 'wren@tarn.example', 'a1', '2b', 'wren+1'],
    ...['žofie', 'Ödön', 'łukasz', 'василий', 'Ελένη', '李小龍', 'さくら', 'محمد', 'שרה', 'नीलम'],
  ])('may be %s', (name) => expect(isUsername(name)).toBe(true));

  it.each([
    ['too short', 'a'],
    ['too long', 'a'.repeat(61)],
    ['a space', 'wren tallow'],
    ['no letter first', '-wren'],
    ['no letter first', '@wren'],
    ['what cannot be seen', 'wr\u200ben'],
    ['another direction', 'wren\u202e'],
    ['a line', 'wren\nash'],
    ['markup', 'wr<b>'],
    ['a Cyrillic letter among Latin ones', '\u043edile'],
    ['a Greek letter among Latin ones', 'od\u03b9le'],
  ])('may not have %s: %j', (_, name) => expect(isUsername(name)).toBe(false));

  it('is the same in another case, and composed in another way', () => {
    expect(normalUsername(' Anne-Marie ')).toBe('anne-marie');
    expect(normalUsername('Z\u030cofie')).toBe(normalUsername('\u017dofie'));
    expect(normalUsername('\uff37ren')).toBe('wren');
  });
});
