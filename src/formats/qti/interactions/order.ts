import { alike, downThePage, startedWrong, WIDE_TAG } from '../../../core/kinds';
import { type Arriving, type Draft, Refused, responseFor } from '../arriving';
import { isNull, member, named, not, variable } from '../expressions';
import { RESPONSE } from '../names';
import { itemAt, itemsIn, type Leaving, namesOf, type Out } from '../outgoing';
import { itemIn } from '../shownIn';
import { contentOf, promptIn } from '../words';
import { childrenNamed, element, type XmlElement } from '../xml';

/** One sequence: `qti-order-interaction`. */
export function orderOut(leaving: Leaving): Out {
  const { question, model } = leaving;
  const entry = model.entries.find(({ sequence }) => sequence);
  const zone = entry?.zone ?? 0;
  const response = variable(RESPONSE);
  const all = itemsIn(leaving).flatMap((item) => namesOf(leaving, item).map((identifier) => ({ identifier, item })));
  const placed = question.start?.placements.filter((placement) => placement.zone === question.zones[zone]?.id) ?? [];
  const someOutside = (entry?.order.length ?? 0) < all.length || placed.length < all.length;
  const longest = Math.min(all.length, question.zones[zone]?.capacity ?? all.length);
  const isAlong = question.zones[zone]?.settle.rule === 'row';
  return {
    interaction: 'order',
    responses: [{ identifier: RESPONSE, cardinality: 'ordered', type: 'identifier' }],
    body: [
      element(
        'qti-order-interaction',
        {
          'response-identifier': RESPONSE,
          orientation: isAlong ? 'horizontal' : 'vertical',
          shuffle: question.tray?.order === 'shuffled' ? 'true' : 'false',
          ...(someOutside ? { 'min-choices': 1, 'max-choices': longest } : {}),
        },
        [
          ...promptIn(question),
          ...all.map(({ identifier, item }) =>
            element('qti-simple-choice', { identifier }, contentOf(leaving, itemAt(leaving, item))),
          ),
        ],
      ),
    ],
    holding: {
      answered: not(isNull(response)),
      copiesIn: (of, item) => (of === zone ? namesOf(leaving, item).map((name) => member(named(name), response)) : []),
      inOrder: { response, longest, nameOf: (item) => namesOf(leaving, item)[0] ?? '' },
    },
    valuesOf: (arrangement) =>
      new Map([[RESPONSE, (arrangement[zone] ?? []).map(({ item, copy }) => namesOf(leaving, item)[copy] ?? '')]]),
    notes: [],
  };
}

/** An `order-interaction`: one sequence, in the zone `order`; what is in no place of it belongs outside. */
export function orderIn(of: XmlElement, arriving: Arriving): Draft {
  return sequenceOf(
    childrenNamed(of, 'simple-choice').map((choice) => itemIn(choice, arriving)),
    of,
    arriving,
  );
}

/** Items that are put in order, as a question. */
export function sequenceOf(items: Draft['items'], of: XmlElement, arriving: Arriving): Draft {
  const response = responseFor(of, arriving);
  const { correct } = response;
  if (correct.length === 0) throw new Refused('Nothing in it says which order is right.');
  if (arriving.scoredBy.get(response.identifier)?.by === 'mapping')
    arriving.approximate(response.identifier, 'Its mapping scores entries wherever they stand: here the order counts.');
  const max = arriving.maximum ?? 1;
  return {
    kind: 'order',
    items,
    zones: [
      {
        id: 'order',
        label: 'In order',
        shape: { type: 'rect', x: 0, y: 0, w: 300, h: 300 },
        settle: { rule: 'column', gap: 14 },
      },
    ],
    marked: {
      key: [{ zone: 'order', belongs: correct, need: { rule: 'all' }, sequence: true }],
      marks: { max, rule: 'allOrNothing', extraCosts: 0, misplacedCosts: 0, places: 2 },
    },
    lay: (question) => {
      const sized = alike(question, WIDE_TAG);
      return downThePage(correct.length === items.length ? startedWrong(sized) : sized);
    },
  };
}
