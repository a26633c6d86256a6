import type { JSONContent } from '@tiptap/core';
import type { Rich } from '../../../core';

type Block = Rich['blocks'][number];
type Run = Extract<Block, { type: 'paragraph' }>['runs'][number];

/** What is shown for a slot, by the zone it names. */
export type SlotWords = Readonly<Record<string, string>>;

/** Converts our rich text to the editor's form; only our form is stored. */
export function toEditor(rich: Rich | null, words: SlotWords = {}): JSONContent {
  const content = (rich?.blocks ?? []).map((block) => blockToEditor(block, words));
  return { type: 'doc', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}

const paragraph = (runs: readonly Run[], words: SlotWords, dir?: string): JSONContent => ({
  type: 'paragraph',
  ...(dir ? { attrs: { dir } } : {}),
  content: runs.flatMap((run) => runToEditor(run, words)),
});

function blockToEditor(block: Block, words: SlotWords): JSONContent {
  if (block.type === 'paragraph') return paragraph(block.runs, words, block.dir);
  return {
    type: block.ordered ? 'orderedList' : 'bulletList',
    ...(block.dir ? { attrs: { dir: block.dir } } : {}),
    content: block.entries.map((runs) => ({ type: 'listItem', content: [paragraph(runs, words)] })),
  };
}

function runToEditor({ text, slot, strong, em, mono, colour, lang, formula }: Run, words: SlotWords): JSONContent[] {
  const marks = [
    ...(strong ? [{ type: 'bold' }] : []),
    ...(em ? [{ type: 'italic' }] : []),
    ...(mono ? [{ type: 'code' }] : []),
    ...(colour ? [{ type: 'tint', attrs: { colour } }] : []),
    ...(lang ? [{ type: 'lang', attrs: { lang } }] : []),
  ];
  if (slot !== undefined) return [{ type: 'slot', attrs: { zone: slot, word: words[slot] ?? slot }, marks }];
  if (formula) return [{ type: 'formula', attrs: { formula, words: text }, marks }];
  // The editor holds no empty texts.
  return text ? [{ type: 'text', text, marks }] : [];
}

/** Converts the editor's content to our rich text; null if it is only white space. */
export function fromEditor(doc: JSONContent): Rich | null {
  const blocks = (doc.content ?? []).flatMap(blockFromEditor);
  const empty = blocks.every((block) =>
    (block.type === 'paragraph' ? [block.runs] : block.entries).every((runs) =>
      runs.every((run) => run.slot === undefined && (run.text ?? '').trim() === ''),
    ),
  );
  return empty ? null : { blocks };
}

const dirOf = (node: JSONContent): 'ltr' | 'rtl' | undefined =>
  node.attrs?.dir === 'rtl' ? 'rtl' : node.attrs?.dir === 'ltr' ? 'ltr' : undefined;

function blockFromEditor(node: JSONContent): Block[] {
  switch (node.type) {
    case 'paragraph':
      return [{ type: 'paragraph', dir: dirOf(node), runs: (node.content ?? []).flatMap(runFromEditor) }];
    case 'bulletList':
    case 'orderedList':
      return [
        {
          type: 'list',
          ordered: node.type === 'orderedList',
          dir: dirOf(node),
          entries: (node.content ?? []).map((item) =>
            (item.content ?? []).flatMap((one) => (one.content ?? []).flatMap(runFromEditor)),
          ),
        },
      ];
    default:
      return [];
  }
}

function runFromEditor(node: JSONContent): Run[] {
  const mark = (type: string) => node.marks?.find((mark) => mark.type === type);
  const style = {
    ...(mark('bold') ? { strong: true } : {}),
    ...(mark('italic') ? { em: true } : {}),
    ...(mark('code') ? { mono: true } : {}),
    ...(mark('tint') ? { colour: mark('tint')?.attrs?.colour } : {}),
    ...(mark('lang') ? { lang: mark('lang')?.attrs?.lang } : {}),
  };
  if (node.type === 'slot') return [{ slot: node.attrs?.zone, ...style } as Run];
  if (node.type === 'formula') return [{ text: node.attrs?.words, formula: node.attrs?.formula, ...style } as Run];
  if (node.type === 'hardBreak') return [{ text: '\n', ...style } as Run];
  return node.type === 'text' && node.text ? [{ text: node.text, ...style } as Run] : [];
}

/** True if two texts have the same words and form. A switch that is off equals one that is left out. */
export const sameText = (a: Rich | null, b: Rich | null): boolean =>
  JSON.stringify(fromEditor(toEditor(a))) === JSON.stringify(fromEditor(toEditor(b)));
