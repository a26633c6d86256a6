import type { QuestionModel } from '../judge/model';
import { heldIn, type Responded } from '../judge/response';
import type { EitherTally } from '../judge/tally';
import type { Judged } from './mark';

/** What one zone came to: `satisfied` null for a neutral one, of which nothing is right or wrong. */
export interface ZoneResult {
  readonly satisfied: boolean | null;
  readonly right: number;
  readonly wrong: number;
  readonly items: readonly string[];
}

/** A graded response, in the form that the command line prints. */
export interface Result extends Pick<Judged, 'mark' | 'max' | 'fraction' | 'fullMarks' | 'right' | 'wrong'> {
  readonly id: unknown;
  /** Of each either entry, in their order; left out where there is none. */
  readonly either?: readonly Pick<EitherTally, 'satisfied' | 'right'>[];
  readonly zones: Readonly<Record<string, ZoneResult>>;
  readonly turnedAway: number;
}

export function resultOf(
  model: QuestionModel,
  id: unknown,
  { judged, board, turnedAway }: Extract<Responded, { ok: true }>,
): Result {
  const { mark, max, fraction, fullMarks, right, wrong, tallies, either } = judged;
  const zones: [string, ZoneResult][] = model.zones.map((zone, z) => [
    zone.id,
    { satisfied: null, right: 0, wrong: 0, items: heldIn(model, board, z) },
  ]);
  for (const { entry, satisfied, right: r, wrong: w } of tallies) {
    const zone = zones[entry.zone] as [string, ZoneResult];
    zone[1] = { satisfied, right: r, wrong: w, items: zone[1].items };
  }
  return {
    id: id ?? null,
    mark,
    max,
    fraction,
    fullMarks,
    right,
    wrong,
    ...(either.length > 0 ? { either: either.map(({ satisfied, right: r }) => ({ satisfied, right: r })) } : {}),
    zones: Object.fromEntries(zones),
    turnedAway,
  };
}
