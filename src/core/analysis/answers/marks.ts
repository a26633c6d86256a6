import { itemOf, type QuestionModel } from '../../judge/model';
import type { Digest, MarkOutcome } from '../digest';

/** What was marked on a picture whose places are hidden. */
export interface MarkAnswers {
  /** Where markers were at last: their middles, in scene units. */
  readonly points: readonly (readonly [x: number, y: number, MarkOutcome])[];
  readonly counts: Readonly<Record<MarkOutcome, number>>;
  /** The places that are sought, with how many found each. */
  readonly found: readonly { readonly zone: number; readonly learners: number }[];
}

const MAX_POINTS = 4000;

/** Null: no place of the question is hidden. */
export function marksOf(model: QuestionModel, digests: readonly Digest[]): MarkAnswers | null {
  if (!model.hides) return null;
  const all = digests.flatMap(({ marks }) => marks);
  const count = (marked: MarkOutcome) => all.filter(([, , of]) => of === marked).length;
  return {
    points: all.flatMap(([, at, marked]) => (at ? [[at[0], at[1], marked] as const] : [])).slice(0, MAX_POINTS),
    counts: { hit: count('hit'), double: count('double'), miss: count('miss') },
    found: model.entries
      .filter(({ hi, belongs, zone }) => hi > 0 && belongs.size > 0 && model.zones[zone]?.hidden)
      .map(({ zone, belongs }) => ({
        zone,
        learners: digests.filter(({ put }) => put.some(([copy, , last]) => last === zone && belongs.has(itemOf(copy))))
          .length,
      })),
  };
}
