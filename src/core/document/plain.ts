import type { Rich } from './rich';

type RichRun = Extract<Rich['blocks'][number], { type: 'paragraph' }>['runs'][number];

const textOf = (runs: readonly RichRun[]) => runs.map((r) => r.text ?? '___').join('');

/** The characters of a rich text, a line for each paragraph or list entry. */
export function plainText(rich: Rich | null): string {
  if (!rich) return '';
  return rich.blocks
    .map((b) => (b.type === 'paragraph' ? textOf(b.runs) : b.entries.map(textOf).join('\n')))
    .join('\n');
}

/** One paragraph a line; null for a text of nothing but white space. */
export function richFromPlain(text: string): Rich | null {
  if (text.trim() === '') return null;
  return {
    blocks: text.split('\n').map((line) => ({
      type: 'paragraph' as const,
      dir: undefined,
      runs: line === '' ? [] : [{ text: line } as RichRun],
    })),
  };
}
