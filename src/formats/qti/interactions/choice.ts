import { isNull, match, member, named, not, variable } from '../expressions';
import { RESPONSE } from '../names';
import { itemsIn, type Leaving, namesOf, type Out } from '../outgoing';
import { contentOf, promptIn } from '../words';
import { element } from '../xml';

/** Items picked where they stand, in one zone: `qti-choice-interaction`. */
export function choiceOut(leaving: Leaving): Out {
  const { question } = leaving;
  const [zone] = question.zones;
  const single = zone?.capacity === 1;
  const response = variable(RESPONSE);
  const choices = itemsIn(leaving).flatMap((item) =>
    namesOf(leaving, item).map((identifier) =>
      element('qti-simple-choice', { identifier }, contentOf(leaving, question.items[item] as never)),
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
