import { describe, expect, it } from 'vitest';
import { newItem, newQuestion, newZone } from '../document/make';
import { richFromPlain } from '../document/plain';
import type { Question } from '../document/schema';
import { applyAll } from './edit';
import { drawFormulas, type Formula, texIn, texOf } from './formulas';

const squared: Formula = { text: 'x squared', math: { is: 'math', holds: [{ is: 'mi', holds: ['x'] }] } };
const made = new Map([['x^2', squared]]);

const question: Question = {
  ...newQuestion('powers', 'About $x^2$'),
  prompt: richFromPlain('Where is $x^2$, for $5?'),
  items: [newItem({ id: 'a' as never, label: '$x^2$' }), newItem({ id: 'b' as never, label: 'Oak' })],
  zones: [newZone({ id: 'z' as never, label: 'Is $x^2$', shape: { type: 'rect', x: 0, y: 0, w: 9, h: 9 } })],
};

describe('TeX in a text', () => {
  it.each([
    ['a $x^2$ b', [{ words: 'a ' }, { tex: 'x^2' }, { words: ' b' }]],
    ['$x$', [{ tex: 'x' }]],
    ['costs $5 and $6', [{ words: 'costs $5 and $6' }]],
    ['from $5 to 6$7', [{ words: 'from $5 to 6$7' }]],
    ['$ x $', [{ words: '$ x $' }]],
    ['$a\\$b$', [{ tex: 'a\\$b' }]],
    ['$', [{ words: '$' }]],
    ['', []],
  ])('%s', (text, parts) => {
    expect(texIn(text)).toEqual(parts);
  });

  it('takes time that grows with the text', () => {
    expect(texIn('$x '.repeat(20_000))).toEqual([{ words: '$x '.repeat(20_000) }]);
  });
});

describe('the formulas of a question', () => {
  it('are found wherever they stand', () => {
    expect(texOf(question)).toEqual(new Set(['x^2']));
  });

  it('are drawn in texts, and in place of labels, which become how they are spoken', () => {
    const after = applyAll(question, drawFormulas(question, made));
    expect(after.title).toBe('About x squared');
    expect(after.prompt?.blocks[0]).toMatchObject({
      runs: [
        { text: 'Where is ' },
        { text: 'x squared', formula: { tex: 'x^2', math: squared.math } },
        { text: ', for $5?' },
      ],
    });
    expect(after.items[0]).toMatchObject({ label: 'x squared', content: { picture: null } });
    expect(after.items[1]).toEqual(question.items[1]);
    expect(after.zones[0]).toMatchObject({ label: 'Is x squared', title: { blocks: [{ type: 'paragraph' }] } });
    expect(texOf(after)).toEqual(new Set());
  });

  it('that are not drawn stay as they are typed', () => {
    expect(drawFormulas(question, new Map())).toEqual([]);
    expect(drawFormulas(question, new Map([['y', squared]]))).toEqual([]);
  });
});
