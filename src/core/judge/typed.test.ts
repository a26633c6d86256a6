import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { questionModel } from './model';
import { heldIn, respond } from './response';
import { distance } from './typed';

const gap = (typed: Record<string, unknown>) =>
  questionModel(
    seeds({
      items: ['minus18', 'minus20'].map((id) => ({ id, size: { w: 9, h: 9 } })),
      zones: [
        {
          id: 'gap',
          shape: { type: 'slot' },
          typed: { accept: { minus18: ['minus eighteen', 'Côté'], minus20: ['minus twenty'] }, ...typed },
        },
        { id: 'other', shape: { type: 'slot' } },
      ],
      key: [{ zone: 'gap', belongs: ['minus18'], need: { rule: 'all' } }],
      tries: 2,
    }),
  );
const typing = (typed: Record<string, unknown>, ...texts: string[]) => {
  const model = gap(typed);
  const responded = respond(model, { drops: texts.map((text) => ({ zone: 'gap', text })) });
  if (!responded.ok) return responded.fault;
  return {
    held: heldIn(model, responded.board, 0),
    wrong: responded.judged.wrong,
    fraction: responded.judged.fraction,
  };
};

describe('a typed answer', () => {
  it.each([
    ['an accepted spelling', {}, ' Minus Eighteen ', ['minus18'], 1],
    ['without its accents', {}, 'cote', ['minus18'], 1],
    ['without its accents where they matter', { accents: true }, 'cote', ['?'], 0],
    ['with capitals where they matter', { case: true }, 'Minus eighteen', ['?'], 0],
    ['with one slip of one', { slips: 1 }, 'minus eigthteen', ['minus18'], 1],
    ['with two slips of one', { slips: 1 }, 'minus eigteeen', ['?'], 0],
    ['with two slips of two', { slips: 2 }, 'mnus eigteen', ['minus18'], 1],
    ['with neighbours swapped, one slip', { slips: 1 }, 'minus eightene', ['minus18'], 1],
    ['another item’s spelling', {}, 'minus twenty', ['minus20'], 0],
    ['something else', {}, 'eighty', ['?'], 0],
  ])('%s', (_, typed, text, held, fraction) =>
    expect(typing(typed, text)).toMatchObject({ held, fraction, wrong: fraction === 1 ? 0 : 1 }),
  );

  it('replaces the one before, and white space empties the zone', () => {
    expect(typing({}, 'nonsense', 'minus eighteen')).toMatchObject({ held: ['minus18'], wrong: 0 });
    expect(typing({}, 'minus eighteen', '  ')).toMatchObject({ held: [], wrong: 0, fraction: 0 });
  });

  it('is refused where nothing is typed', () => {
    expect(respond(gap({}), { drops: [{ zone: 'other', text: 'x' }] })).toEqual({
      ok: false,
      fault: 'drops[0].zone: Zone "other" is not answered by typing',
    });
    expect(respond(gap({}), { drops: [{ zone: 'gap', text: 18 }] })).toEqual({
      ok: false,
      fault: 'drops[0].text: has to be a text',
    });
  });
});

it.each([
  ['', '', 0],
  ['barley', 'barley', 0],
  ['barley', 'barly', 1],
  ['barley', 'braley', 1],
  ['ca', 'abc', 2],
  ['acorn', 'a corns', 2],
  ['kitten', 'sitting', 3],
])('from "%s" to "%s" it is %i', (a, b, slips) => expect(distance([...a], [...b])).toBe(slips));
