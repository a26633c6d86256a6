import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { questionModel } from '../judge/model';
import { acceptSpelling, type Spelling } from './acceptSpelling';
import { applyAll } from './edit';

const accept = { barley: ['Barley'], poppy: ['Poppy'] };
const question = seeds({
  zones: [
    { id: 'gap', label: 'Gap 1', shape: { type: 'slot' }, typed: { accept, case: false, accents: false, slips: 0 } },
    { id: 'moist', label: 'moist', shape: { type: 'rect', x: 500, y: 40, w: 400, h: 300 } },
  ],
  key: [{ zone: 'gap', belongs: ['barley'], need: { rule: 'exactly', n: 1 } }],
});
const spelled = (zone: string, item: string, text: string) =>
  acceptSpelling(question, { zone, item, text } as unknown as Spelling);

describe('a spelling that is accepted', () => {
  it('is read as the item, and what was read before is read so still', () => {
    const read = (text: string) => {
      const changed = applyAll(question, spelled('gap', 'barley', ' Gerste ') ?? []);
      return questionModel(changed).readers[0]?.(text);
    };
    expect([read('gerste'), read('barley'), read('poppy'), read('oats')]).toEqual([0, 0, 1, question.items.length]);
    const first = applyAll(question, spelled('gap', 'acorn', 'Oak seed') ?? []);
    expect(first.zones[0]?.typed?.accept).toEqual({ ...accept, acorn: ['Oak seed'] });
  });

  it('is no other item’s, nor nothing, nor where nothing is typed', () => {
    expect(spelled('gap', 'barley', 'Poppy')).toBeNull();
    expect(spelled('gap', 'barley', 'Barley')).toBeNull();
    expect(spelled('gap', 'barley', '  ')).toBeNull();
    expect(spelled('gap', 'rye', 'Rye')).toBeNull();
    expect(spelled('moist', 'barley', 'Gerste')).toBeNull();
    expect(spelled('nowhere', 'barley', 'Gerste')).toBeNull();
  });
});
