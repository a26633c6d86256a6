import { isNull, member, named, not, variable } from '../expressions';
import { RESPONSE } from '../names';
import { itemsIn, type Leaving, namesOf, type Out } from '../outgoing';
import { contentOf, promptIn } from '../words';
import { element } from '../xml';

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
            element('qti-simple-choice', { identifier }, contentOf(leaving, question.items[item] as never)),
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
