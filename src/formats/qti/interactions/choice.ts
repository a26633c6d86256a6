import { alike, laidOut, WIDE_TAG } from '../../../core/kinds';
import { type Arriving, type Draft, responseFor, wholeIn } from '../arriving';
import { isNull, match, member, named, not, variable } from '../expressions';
import { RESPONSE } from '../names';
import { itemAt, itemsIn, type Leaving, namesOf, type Out } from '../outgoing';
import { itemIn } from '../shownIn';
import { contentOf, promptIn } from '../words';
import { markedBy, worthOf } from '../worth';
import { childrenNamed, element, type XmlElement } from '../xml';

/** Items picked where they stand, in one zone: `qti-choice-interaction`. */
export function choiceOut(leaving: Leaving): Out {
  const { question } = leaving;
  const [zone] = question.zones;
  const single = zone?.capacity === 1;
  const response = variable(RESPONSE);
  const choices = itemsIn(leaving).flatMap((item) =>
    namesOf(leaving, item).map((identifier) =>
      element('qti-simple-choice', { identifier }, contentOf(leaving, itemAt(leaving, item))),
    ),
  );
  return {
    interaction: 'choice',
    responses: [{ identifier: RESPONSE, cardinality: single ? 'single' : 'multiple', type: 'identifier' }],
    body: [
      element(
        'qti-choice-interaction',
        {
          'response-identifier': RESPONSE,
          'max-choices': zone?.capacity ?? 0,
          shuffle: question.tray?.order === 'shuffled' ? 'true' : 'false',
        },
        [...promptIn(question), ...choices],
      ),
    ],
    holding: {
      answered: not(isNull(response)),
      copiesIn: (_, item) =>
        namesOf(leaving, item).map((name) => (single ? match(response, named(name)) : member(named(name), response))),
      inOrder: null,
    },
    valuesOf: (arrangement) =>
      new Map([[RESPONSE, (arrangement[0] ?? []).map(({ item, copy }) => namesOf(leaving, item)[copy] ?? '')]]),
    notes: [],
  };
}

/** A `choice-interaction`: items that are picked where they stand, in the one zone `picked`. */
export function choiceIn(of: XmlElement, arriving: Arriving): Draft {
  const response = responseFor(of, arriving);
  const choices = childrenNamed(of, 'simple-choice');
  const single = response.cardinality === 'single';
  const most = wholeIn(of, 'max-choices', single ? 1 : 0);
  const capacity = single ? 1 : most > 0 ? most : null;
  const worth = worthOf(response, arriving);
  return {
    kind: 'pick',
    items: choices.map((choice) => itemIn(choice, arriving, { stays: true })),
    zones: [
      {
        id: 'picked',
        label: 'Picked',
        shape: { type: 'slot' },
        capacity,
        whenFull: capacity === 1 ? 'swap' : 'refuse',
      },
    ],
    tray: null,
    marked: markedBy([{ zone: 'picked', right: worth.right, capacity }], worth, arriving),
    lay: (question) => laidOut(alike(question, WIDE_TAG), 'trayBelow'),
  };
}
