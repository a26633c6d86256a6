import type { Rich } from '../../../core';
import { gapsLaidOut } from '../../../core/kinds';
import { identifierOf } from '../../identifiers';
import { type Arriving, type Draft, responseFor, wholeIn } from '../arriving';
import { type Leaving, type Out, zoneName } from '../outgoing';
import { richIn } from '../richIn';
import { itemIn } from '../shownIn';
import { promptIn, textsIn } from '../words';
import { childrenNamed, element, isElement, within, type XmlElement } from '../xml';
import { zonesFrom } from './associations';
import { gapChoices } from './gapChoices';
import { groupOf, pairsOut } from './pairs';

/** Words moved into the gaps of a text: `qti-gap-match-interaction`. */
export function gapMatchOut(leaving: Leaving): Out {
  const { question } = leaving;
  const at = new Map<string, number>(question.zones.map(({ id }, i) => [id, i]));
  const choices = gapChoices(leaving);
  const gap = (zone: string) => {
    const i = at.get(zone) ?? 0;
    return [
      element('qti-gap', {
        identifier: zoneName(leaving, i),
        'match-group': groupOf(question.zones[i]?.family ?? null, identifierOf),
      }),
    ];
  };
  const texts = textsIn(question, gap);
  return {
    ...pairsOut(leaving),
    interaction: 'gapMatch',
    body: [
      element(
        'qti-gap-match-interaction',
        {
          'response-identifier': 'RESPONSE',
          'max-associations': 0,
          shuffle: question.tray?.order === 'shuffled' ? 'true' : 'false',
        },
        [...promptIn(question), ...choices, ...texts],
      ),
    ],
    notes: [],
  };
}

/** A `gap-match-interaction`: words moved into the gaps of a text. */
export function gapMatchIn(of: XmlElement, arriving: Arriving): Draft {
  const response = responseFor(of, arriving);
  const gaps = within(of, 'gap');
  const choices = childrenNamed(of, 'gap-text', 'gap-img');
  const { marked } = zonesFrom(
    response,
    gaps.map(({ attributes }) => ({ id: attributes.identifier ?? '', capacity: 1 })),
    arriving,
  );
  const text = of.children.filter(
    (child) => !isElement(child) || !['gap-text', 'gap-img', 'prompt'].includes(child.name),
  );
  return {
    kind: 'gaps',
    items: choices.map((choice) => {
      const most = wholeIn(choice, 'match-max', 1);
      return itemIn(choice, arriving, { copies: most > 0 ? Math.min(most, gaps.length) : gaps.length });
    }),
    zones: gaps.map(({ attributes }, i) => gapZone(attributes.identifier ?? '', i)),
    fixtures: [
      textOfGaps(richIn(text, (node) => (node.name === 'gap' ? (node.attributes.identifier ?? '') : undefined))),
    ],
    tray: { side: 'bottom', size: 120, order: of.attributes.shuffle === 'true' ? 'shuffled' : 'asListed' },
    marked,
    lay: gapsLaidOut,
  };
}

/** A gap of a text as a zone. */
export const gapZone = (id: string, i: number) => ({
  id,
  label: `Gap ${i + 1}`,
  shape: { type: 'slot' },
  capacity: 1,
  whenFull: 'swap',
});

/** The text in which gaps stand. */
export const textOfGaps = (text: Rich | null) => ({
  type: 'text',
  id: 'text',
  label: 'Text',
  x: 28,
  y: 20,
  w: 904,
  h: 100,
  text: text ?? { blocks: [] },
});
