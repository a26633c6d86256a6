import type { Rich } from '../document/rich';

/** How much wider a list's entry is than its words: its sign and its indent. */
const INDENT = '     ';

/** The words of a rich text, a line for each paragraph and each entry of a list. */
export const linesOf = (rich: Rich | null): string[] =>
  (rich?.blocks ?? []).flatMap((block) =>
    block.type === 'paragraph'
      ? [block.runs.map(({ text }) => text ?? '').join('')]
      : block.entries.map((runs) => INDENT + runs.map(({ text }) => text ?? '').join('')),
  );
