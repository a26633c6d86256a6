import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Rich } from '../../../core';
import { fromEditor, sameText, toEditor } from './convert';

const run = fc.oneof(
  fc.record(
    { text: fc.string({ minLength: 1 }), strong: fc.constant(true), colour: fc.constantFrom('brass', 'ink') },
    { requiredKeys: ['text'] },
  ),
  fc.record(
    { text: fc.string({ minLength: 1 }), em: fc.constant(true), mono: fc.constant(true) },
    { requiredKeys: ['text'] },
  ),
  fc.record(
    { slot: fc.constantFrom('gap-1', 'gap-2'), em: fc.constant(true), lang: fc.constant('fr') },
    { requiredKeys: ['slot'] },
  ),
);
const runs = fc.array(run, { maxLength: 4 });
const dir = fc.constantFrom('ltr', 'rtl', undefined);
const block = fc.oneof(
  fc.record({ type: fc.constant('paragraph'), dir, runs }),
  fc.record({
    type: fc.constant('list'),
    ordered: fc.boolean(),
    dir,
    entries: fc.array(runs, { minLength: 1, maxLength: 3 }),
  }),
);

describe('rich text and the editor', () => {
  it('what goes in comes out', () => {
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 4 }), (blocks) => {
        const rich = { blocks } as unknown as Rich;
        const out = fromEditor(toEditor(rich));
        const said = JSON.stringify(blocks).match(/"(text|slot)":"(?!\s*")/) !== null;
        if (said) expect(out).toEqual(rich);
      }),
      { seed: 5, numRuns: 300 },
    );
  });

  it('nothing but white space is nothing', () => {
    expect(fromEditor(toEditor(null))).toBeNull();
    expect(
      fromEditor({ type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: '  ' }] }] }),
    ).toBeNull();
  });

  it('a switch that is off is as one left out', () => {
    const paragraph = (run: object) =>
      ({ blocks: [{ type: 'paragraph', dir: undefined, runs: [run] }] }) as unknown as Rich;
    expect(sameText(paragraph({ text: 'Dry', strong: false, em: false }), paragraph({ text: 'Dry' }))).toBe(true);
    expect(sameText(paragraph({ text: 'Dry', strong: true }), paragraph({ text: 'Dry' }))).toBe(false);
    expect(sameText(null, paragraph({ text: ' ' }))).toBe(true);
  });

  it('what the editor may hold besides is left out', () => {
    expect(
      fromEditor({
        type: 'doc',
        content: [
          { type: 'horizontalRule' },
          {
            type: 'paragraph',
            content: [{ type: 'text', text: 'Dry', marks: [{ type: 'link', attrs: { href: 'javascript:x' } }] }],
          },
        ],
      }),
    ).toEqual({
      blocks: [{ type: 'paragraph', dir: undefined, runs: [{ text: 'Dry' }] }],
    });
  });
});
