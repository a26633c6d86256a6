import { expect, it } from 'vitest';
import type { Look } from '../document/schema';
import { coloursIn, styleIn } from './style';

const look = (states: Record<string, Record<string, unknown>>): Look =>
  ({ of: 'item', name: 'Dark', putAway: false, states }) as unknown as Look;

it('a state is as at rest where it says nothing, sound and motion aside', () => {
  const dark = look({
    rest: { fill: 'ink', text: 'sheet', sound: 'click', motion: 'nudge' },
    inHand: { edge: 'brass' },
  });
  expect(styleIn(dark, 'inHand')).toEqual({ fill: 'ink', text: 'sheet', edge: 'brass' });
});

it('what was judged keeps the colours of its verdict, whatever it looks like at rest, unless it has its own', () => {
  const dark = look({ rest: { fill: 'ink', text: 'sheet', edge: 'brass', picture: 'bench' } });
  expect(coloursIn(dark, 'right')).toEqual({ fill: 'verdigrisWash', text: 'ink' });
  expect(coloursIn(dark, 'wrong')).toEqual({ fill: 'brickWash', text: 'ink' });
  expect(styleIn(dark, 'right')).toEqual({ picture: 'bench' });
  expect(coloursIn(look({ rest: { fill: 'ink' }, right: { fill: 'sheet' } }), 'right').fill).toBe('sheet');
});
