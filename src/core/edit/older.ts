import { splitCosts } from '../document/migrations';
import type { Edit } from './edit';

/** Stored edits that were made on a question of an older version, as they would be made on one of the present. */
export const editsUpToDate = (edits: readonly Edit[]): readonly Edit[] =>
  edits.map((edit) =>
    edit.type === 'setQuestion' && edit.field === 'marks'
      ? { ...edit, to: current(edit.to), from: current(edit.from) }
      : edit,
  );

const current = <Marks extends object>(marks: Marks): Marks =>
  'wrongCosts' in marks ? ((splitCosts({ ...marks }) ?? marks) as Marks) : marks;
