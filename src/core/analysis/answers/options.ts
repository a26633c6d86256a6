import { isKeyed, itemOf, type QuestionModel } from '../../judge/model';
import { type Digest, NOWHERE } from '../digest';

/** What was picked of what stays in its place. */
export interface OptionAnswers {
  readonly options: readonly {
    readonly item: number;
    readonly right: boolean;
    /** So many picked it at some time, and had it picked at last. */
    readonly ever: number;
    readonly last: number;
  }[];
  /** What was picked together at last; those that most had first. */
  readonly combinations: readonly {
    readonly items: readonly number[];
    readonly right: boolean;
    readonly learners: number;
  }[];
}

/** Null: nothing is picked. */
export function optionsOf(model: QuestionModel, digests: readonly Digest[]): OptionAnswers | null {
  const options = model.question.items.flatMap(({ stays }, item) => (stays ? [item] : []));
  if (options.length === 0) return null;
  const belongs = (item: number) => model.entries.some(({ zone }) => isKeyed(model, zone, item));
  const picked = digests.map(({ put }) =>
    put.flatMap(([copy, , last]) => (last === NOWHERE ? [] : [itemOf(copy)])).sort((a, b) => a - b),
  );
  const together = new Map<string, number>();
  for (const items of picked) together.set(items.join(' '), (together.get(items.join(' ')) ?? 0) + 1);
  /** Pick has one slot; a question with more is judged slot by slot, and its combinations are only counted. */
  const [entry] = model.entries;
  const isRight = (items: readonly number[]) =>
    entry !== undefined &&
    items.every(belongs) &&
    items.length >= Math.min(entry.lo, entry.order.length) &&
    items.length <= entry.hi;
  return {
    options: options.map((item) => ({
      item,
      right: belongs(item),
      ever: digests.filter(({ put }) => put.some(([copy, first]) => itemOf(copy) === item && first !== NOWHERE)).length,
      last: picked.filter((items) => items.includes(item)).length,
    })),
    combinations: [...together]
      .map(([key, learners]) => {
        const items = key === '' ? [] : key.split(' ').map(Number);
        return { items, right: isRight(items), learners };
      })
      .sort((a, b) => b.learners - a.learners),
  };
}
