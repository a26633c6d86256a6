import { type Expression, isNull, not, or, variable } from '../expressions';
import type { Leaving, Out, Response } from '../outgoing';
import { blocksIn } from '../words';
import { element, type XmlElement } from '../xml';
import { inlineChoiceGap } from './inlineChoice';
import { textEntryGaps } from './textEntry';

/** A gap with a response of its own. */
export interface Gap {
  readonly response: Response;
  readonly element: XmlElement;
  readonly copiesFor: (item: number) => readonly Expression[];
  /** The value of the response for what the gap holds. */
  readonly valueFor: (item: number) => string;
}

/** Gaps of which each has its own interaction and response: typed ones and menus. */
export function gapByGapOut(leaving: Leaving): Out {
  const { question } = leaving;
  const typed = textEntryGaps(leaving);
  const gaps = question.zones.map((_, zone) => typed.get(zone) ?? inlineChoiceGap(leaving, zone));
  const at = new Map<string, Gap>(question.zones.map(({ id }, i) => [id, gaps[i] as Gap]));
  const moved = question.zones.flatMap((zone, i) =>
    zone.typed || zone.menu
      ? []
      : [{ path: `zones[${i}]`, message: 'Beside gaps of another way of answering, it becomes a menu.' }],
  );
  return {
    interaction: typed.size > 0 ? 'textEntry' : 'inlineChoice',
    responses: gaps.map(({ response }) => response),
    body: [
      ...blocksIn(question.prompt),
      ...question.fixtures.flatMap((fixture) =>
        fixture.type === 'text'
          ? [
              element(
                'div',
                {},
                blocksIn(fixture.text, (zone) => [at.get(zone)?.element ?? '___']),
              ),
            ]
          : [],
      ),
    ],
    holding: {
      answered: or(...gaps.map(({ response }) => not(isNull(variable(response.identifier))))),
      copiesIn: (zone, item) => gaps[zone]?.copiesFor(item) ?? [],
      inOrder: null,
    },
    valuesOf: (arrangement) =>
      new Map(
        gaps.map(({ response, valueFor }, zone) => [
          response.identifier,
          (arrangement[zone] ?? []).slice(0, 1).map(({ item }) => valueFor(item)),
        ]),
      ),
    notes: moved,
  };
}
