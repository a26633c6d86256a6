import { isKeyed, type QuestionModel } from '../../judge/model';
import type { Digest } from '../digest';

/** What was typed into a gap, by what it was read as. */
export interface TypedAnswers {
  readonly zone: number;
  /** Those that most typed first. */
  readonly groups: readonly {
    /** Null: none of what is accepted. */
    readonly item: number | null;
    readonly right: boolean;
    readonly learners: number;
    /** As they were typed, those that most typed first. */
    readonly texts: readonly { readonly text: string; readonly learners: number }[];
  }[];
}

export const typedOf = (model: QuestionModel, digests: readonly Digest[]): TypedAnswers[] =>
  model.question.zones.flatMap(({ typed }, zone) => (typed ? [gapOf(model, zone, digests)] : []));

function gapOf(model: QuestionModel, zone: number, digests: readonly Digest[]): TypedAnswers {
  const groups = new Map<number, Map<string, number>>();
  for (const { typed } of digests)
    for (const [of, text, item] of typed) {
      if (of !== zone) continue;
      const texts = groups.get(item) ?? new Map<string, number>();
      groups.set(item, texts);
      texts.set(text, (texts.get(text) ?? 0) + 1);
    }
  return {
    zone,
    groups: [...groups]
      .map(([item, texts]) => ({
        item: item < model.items.length ? item : null,
        right: isKeyed(model, zone, item),
        learners: [...texts.values()].reduce((sum, n) => sum + n, 0),
        texts: [...texts]
          .map(([text, learners]) => ({ text, learners }))
          .sort((a, b) => b.learners - a.learners || (a.text < b.text ? -1 : 1)),
      }))
      .sort((a, b) => b.learners - a.learners || Number(b.right) - Number(a.right)),
  };
}
