import { describe, expect, it } from 'vitest';
import {
  firstDraw,
  type Part,
  partMoved,
  questionDropped,
  shifted,
  withoutPart,
  withoutQuestion,
  withQuestion,
} from './content';

const entry = (id: string, max = 1) => ({ id, title: id, kind: 'sort' as const, max, points: null, seconds: 30 });
const part = (ids: string, title = ''): Part => ({ title, draw: null, questions: [...ids].map((id) => entry(id)) });
const ids = (parts: readonly Part[]) => parts.map(({ questions }) => questions.map(({ id }) => id).join('')).join('|');

describe('the parts of a set', () => {
  it('take a question at their end, and make one where there is none', () => {
    expect(ids(withQuestion([], entry('a')))).toBe('a');
    expect(ids(withQuestion([part('a'), part('b')], entry('c')))).toBe('a|bc');
  });

  it('let a question go, and go with their last unless they have a name', () => {
    expect(ids(withoutQuestion([part('a'), part('b')], 'a'))).toBe('b');
    expect(ids(withoutQuestion([part('a', 'First'), part('b')], 'a'))).toBe('|b');
  });

  it('pass a question on to the next one at their end', () => {
    const parts = [part('ab'), part('cd')];
    expect(ids(shifted(parts, 0, 0, 1))).toBe('ba|cd');
    expect(ids(shifted(parts, 0, 1, 1))).toBe('a|bcd');
    expect(ids(shifted(parts, 1, 0, -1))).toBe('abc|d');
    expect(ids(shifted(parts, 0, 0, -1))).toBe('ab|cd');
    expect(ids(shifted(parts, 1, 1, 1))).toBe('ab|cd');
  });

  it('take what is dropped among them, where it is let go', () => {
    const parts = [part('abc'), part('de'), part('')];
    expect(ids(questionDropped(parts, 'a', 'c'))).toBe('bca|de|');
    expect(ids(questionDropped(parts, 'c', 'a'))).toBe('cab|de|');
    // Down past a head it is in the next section, up past it in the one before.
    expect(ids(questionDropped(parts, 'a', { head: 1 }))).toBe('bc|ade|');
    expect(ids(questionDropped(parts, 'd', { head: 1 }))).toBe('abcd|e|');
    expect(ids(questionDropped(parts, 'a', 'd'))).toBe('bc|dae|');
    expect(ids(questionDropped(parts, 'b', { head: 2 }))).toBe('ac|de|b');
    expect(ids(questionDropped(parts, 'd', { head: 0 }))).toBe('dabc|e|');
    expect(ids(questionDropped(parts, 'a', 'a'))).toBe('abc|de|');
    expect(ids(questionDropped(parts, 'x', 'a'))).toBe('abc|de|');
  });

  it('change places, and leave their questions to a neighbour when they go', () => {
    expect(ids(partMoved([part('a'), part('b'), part('c')], 0, 1))).toBe('b|a|c');
    expect(ids(withoutPart([part('a'), part('b')], 1))).toBe('ab');
    expect(ids(withoutPart([part('a'), part('b')], 0))).toBe('ab');
    expect(ids(withoutPart([part('a', 'Named')], 0))).toBe('a');
  });

  it('begin a draw with half of them, for what most of them count', () => {
    expect(firstDraw({ ...part(''), questions: [entry('a', 2), entry('b', 3), entry('c', 3)] })).toEqual({
      count: 2,
      points: 3,
    });
  });
});
