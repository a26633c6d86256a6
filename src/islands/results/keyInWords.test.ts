import { expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { keyInWords } from './keyInWords';

it('says of a key what changed in it, zone by zone', () => {
  const before = seeds();
  const after = seeds({
    key: [
      { zone: 'dry', belongs: ['barley', 'acorn'], need: { rule: 'between', min: 1, max: 2 } },
      { zone: 'moist', belongs: ['acorn'], need: { rule: 'exactly', n: 0 } },
    ],
  });
  expect(keyInWords(before, after)).toEqual([
    'acorn is right in dry too',
    'poppy is not right in dry any more',
    'dry needs 1 to 2, not all',
    'moist needs exactly 0, not all',
  ]);
  expect(keyInWords(before, before)).toEqual([]);
  expect(
    keyInWords(
      seeds({ key: [] }),
      seeds({ key: [{ zone: 'dry', belongs: ['barley'], need: { rule: 'atLeast', n: 1 } }] }),
    ),
  ).toEqual(['barley is right in dry too', 'dry needs at least 1, not any number']);
});
