import { directedPair, isNull, member, not, variable } from '../expressions';
import { RESPONSE } from '../names';
import { type Arrangement, fits, type Leaving, namesOf, type Out, zoneName } from '../outgoing';

/** What the three interactions with pairs of an item and a zone have in common: the response and how it is counted. */
export function pairsOut(leaving: Leaving): Pick<Out, 'responses' | 'holding' | 'valuesOf'> {
  const response = variable(RESPONSE);
  return {
    responses: [{ identifier: RESPONSE, cardinality: 'multiple', type: 'directedPair' }],
    holding: {
      answered: not(isNull(response)),
      copiesIn: (zone, item) =>
        fits(leaving, zone, item)
          ? namesOf(leaving, item).map((name) => member(directedPair(name, zoneName(leaving, zone)), response))
          : [],
      inOrder: null,
    },
    valuesOf: (arrangement) => new Map([[RESPONSE, pairsIn(leaving, arrangement)]]),
  };
}

const pairsIn = (leaving: Leaving, arrangement: Arrangement): readonly string[] =>
  arrangement.flatMap((held, zone) =>
    held.map(({ item, copy }) => `${namesOf(leaving, item)[copy]} ${zoneName(leaving, zone)}`),
  );

/** A family as a match group. */
export const groupOf = (family: string | null, identifier: (id: string) => string): string | undefined =>
  family === null ? undefined : identifier(family);
