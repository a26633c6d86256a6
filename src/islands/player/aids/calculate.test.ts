import { expect, it } from 'vitest';
import { random, seedOf } from '../../../core/random/random';
import { calculate, typedAs } from './calculate';

it.each([
  ['0.1 + 0.2', '0.3'],
  ['2 + 3 × 4', '14'],
  ['(2 + 3) × 4', '20'],
  ['−3 × −2', '6'],
  ['10 ÷ 4', '2.5'],
  ['1 ÷ 3', '0.333333333333'],
  ['2 − 2', '0'],
  ['4 − 10', '−6'],
  ['1.10 × 3', '3.3'],
  ['99999999999 × 99999999999', '9999999999800000000001'],
])('%s is %s', (words, value) => {
  expect(calculate(words)).toEqual({ ok: true, value });
});

it.each([
  ['', 'notNumbers'],
  ['3 +', 'noNumber'],
  ['(3 + 4', 'openBracket'],
  ['3 4', 'noSign'],
  ['5 ÷ 0', 'byNought'],
  ['2 + dog', 'notNumbers'],
])('“%s” is refused with a reason', (words, why) => {
  expect(calculate(words)).toEqual({ ok: false, why });
});

it('whole numbers come to what whole numbers come to', () => {
  const next = random(seedOf('sums'));
  for (let i = 0; i < 300; i++) {
    const [a, b, c] = Array.from({ length: 3 }, () => Math.floor(next() * 1000)) as [number, number, number];
    expect(calculate(`${a} + ${b} × ${c} − ${a}`)).toEqual({ ok: true, value: String(b * c) });
  }
});

it('keys are read as the signs they stand for', () => {
  expect(['*', '/', '-', ',', '7'].map(typedAs)).toEqual(['×', '÷', '−', '.', '7']);
});
