import type { ZoneId } from '../document/ids';
import type { Rich } from '../document/rich';

type Block = Rich['blocks'][number];
type Run = Extract<Block, { type: 'paragraph' }>['runs'][number];

/** The text with its slots renamed; those for which there is no new name are taken out. */
export function withSlots(rich: Rich, name: (slot: ZoneId) => string | null): Rich {
  const runs = (all: readonly Run[]): Run[] =>
    all.flatMap((run): Run[] => {
      if (run.slot === undefined) return [run];
      const next = name(run.slot);
      return next === null ? [] : [{ ...run, slot: next as ZoneId }];
    });
  return {
    blocks: rich.blocks.map(
      (block): Block =>
        block.type === 'paragraph'
          ? { ...block, runs: runs(block.runs) }
          : { ...block, entries: block.entries.map(runs) },
    ),
  };
}

/** The zones that a rich text names as slots, in the order of the text. */
export function slotsIn(rich: Rich | null): ZoneId[] {
  const runs = (rich?.blocks ?? []).flatMap((b) => (b.type === 'paragraph' ? b.runs : b.entries.flat()));
  return runs.flatMap(({ slot }) => slot ?? []);
}
