import { gapsLaidOut } from '../../../core/kinds';
import { type Arriving, type Draft, responseFor } from '../arriving';
import { type Expression, isNull, not, or, variable } from '../expressions';
import { zoneOfResponse } from '../names';
import type { Leaving, Out, Response } from '../outgoing';
import { richIn } from '../richIn';
import { blocksIn, textsIn } from '../words';
import { markedBy, worthOf } from '../worth';
import { within, type XmlElement } from '../xml';
import { gapZone, textOfGaps } from './gapMatch';
import { inlineChoiceGap, menusIn } from './inlineChoice';
import { textEntryGaps, textEntryIn } from './textEntry';

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
    body: [...blocksIn(question.prompt), ...textsIn(question, (zone) => [at.get(zone)?.element ?? '___'])],
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

/** `inline-choice` and `text-entry` interactions of one text: a gap each. */
export function gapByGapIn(body: XmlElement, arriving: Arriving): Draft {
  const found = within(body, 'inline-choice-interaction', 'text-entry-interaction');
  const menus = menusIn(found, arriving);
  const gaps = found.map((of) => {
    const response = responseFor(of, arriving);
    const zone = zoneOfResponse(response.identifier);
    const worth = worthOf(response, arriving);
    return of.name === 'text-entry-interaction'
      ? { of, zone, ...textEntryIn(of, zone, response, worth, arriving) }
      : { of, zone, ...menus.gap(of, worth) };
  });
  const typedItems = gaps.flatMap(({ items }) => items);
  const idIn = new Map(gaps.map(({ of, zone }) => [of, zone]));
  const costs = gaps.reduce((most, gap) => Math.max(most, gap.costs), 0);
  return {
    kind: 'gaps',
    items: [...menus.items, ...typedItems],
    zones: gaps.map(({ zone, zoneFields }, i) => ({ ...gapZone(zone, i), ...zoneFields })),
    fixtures: [
      textOfGaps(richIn(body.children, (node) => idIn.get(node) ?? (node.name === 'prompt' ? null : undefined))),
    ],
    tray: null,
    marked: markedBy(
      gaps.map(({ zone, right }) => ({ zone, capacity: 1, right })),
      { costs, together: null, highest: null },
      arriving,
    ),
    lay: gapsLaidOut,
  };
}
