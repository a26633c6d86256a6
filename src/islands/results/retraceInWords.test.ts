import { expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { type Move, questionModel, retrace } from '../../core';
import { frameInWords } from './retraceInWords';

/** The words of each move of an attempt. */
function told(changes: Record<string, unknown>, moves: readonly Move[]): string[] {
  const model = questionModel(seeds(changes));
  return retrace(
    model,
    moves.map((move, i) => ({ move, at: i * 1000 })),
  )
    .slice(1)
    .map((frame) => frameInWords(model.question, frame));
}
const put = (item: string, zone: string, at?: number): Move => ({
  kind: 'put',
  item,
  zone,
  ...(at === undefined ? {} : { at }),
});

it('says where something went, and what a check came to as each thing is marked', () => {
  expect(told({}, [put('barley', 'dry'), put('gravel', 'moist'), { kind: 'check' }])).toEqual([
    'barley → dry',
    'gravel → moist',
    'Check: 1 right, 1 wrong, mark 1 of 3',
  ]);
});

it('says the place in a zone whose order counts', () => {
  const key = [{ zone: 'dry', belongs: ['poppy', 'barley', 'acorn'], sequence: true }];
  const settle = { rule: 'row', gap: 8 };
  const zones = seeds().zones.map((zone) => ({ ...zone, settle }));
  const [first, second, check] = told({ key, zones }, [put('barley', 'dry'), put('poppy', 'dry'), { kind: 'check' }]);
  expect([first, second]).toEqual(['barley → dry, place 1', 'poppy → dry, place 2']);
  expect(check).toMatch(/^Check: \d right, \d wrong, mark 0 of 3$/);
});
