import type { Digest } from '../analysis/digest';
import { copyOf, itemOf, numberOf, type QuestionModel } from '../judge/model';

/** A digest of a question as it was drawn, with the indices of the question with all its items. */
export function inWhole(digest: Digest, drawn: QuestionModel, whole: QuestionModel): Digest {
  if (drawn === whole) return digest;
  const indexOf = (item: number) => {
    const id = drawn.items[item]?.id;
    // A typed text that is none of those accepted stands one after the last item.
    return id === undefined ? whole.items.length : (whole.itemAt.get(id) ?? whole.items.length);
  };
  return {
    ...digest,
    put: digest.put.map(([copy, first, last]) => [copyOf(indexOf(itemOf(copy)), numberOf(copy)), first, last] as const),
    drops: digest.drops.map(([item, x, y]) => [indexOf(item), x, y] as const),
    orders: digest.orders.map(([zone, first, last]) => [zone, first.map(indexOf), last.map(indexOf)] as const),
    typed: digest.typed.map(([zone, text, item]) => [zone, text, indexOf(item)] as const),
    marks: digest.marks.map(([item, at, marked]) => [indexOf(item), at, marked] as const),
    went: digest.went.map(([item, zones]) => [indexOf(item), zones] as const),
  };
}
