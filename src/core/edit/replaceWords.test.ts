import { expect, it } from 'vitest';
import { everything } from '../../../tests/support/everything';
import { seeds } from '../../../tests/support/seeds';
import { parseQuestion } from '../document';
import { applyAll, invertAll } from './edit';
import { replaceWords } from './replaceWords';

const how = { wholeWords: true, matchCase: false };

it('replaces words wherever people read them, and nothing that things are called by', () => {
  const parsed = parseQuestion(everything());
  if (!parsed.ok) throw new Error('The document is not valid');
  const { step, places } = replaceWords(parsed.question, { find: 'barley', to: 'rye', ...how });
  const after = applyAll(parsed.question, step);
  expect(
    JSON.stringify(after)
      .match(/barley/gi)
      ?.every((word) => word === 'barley'),
  ).toBe(true);
  expect(after.items.find(({ id }) => id === 'barley')?.label).toBe('rye');
  expect(places.length).toBeGreaterThan(1);
  expect(parseQuestion(after).ok).toBe(true);
  expect(applyAll(after, invertAll(step))).toEqual(parsed.question);
});

it('takes whole words of any script, and the case as it is asked', () => {
  const question = seeds({ title: 'Der Samen, die Samenbank, SAMEN' });
  const title = (more: Partial<typeof how>) =>
    applyAll(question, replaceWords(question, { find: 'Samen', to: 'Saat', ...how, ...more }).step).title;
  expect(title({})).toBe('Der Saat, die Samenbank, Saat');
  expect(title({ matchCase: true })).toBe('Der Saat, die Samenbank, SAMEN');
  expect(title({ wholeWords: false, matchCase: true })).toBe('Der Saat, die Saatbank, SAMEN');
});

it('reads what is sought as it stands, not as a pattern, and finds nothing where there is nothing', () => {
  const question = seeds({ title: 'Is it 5.0 (or 50)?' });
  const { step } = replaceWords(question, { find: '5.0 (', to: '$& (', wholeWords: false, matchCase: false });
  expect(applyAll(question, step).title).toBe('Is it $& (or 50)?');
  expect(replaceWords(question, { find: 'quinoa', to: 'x', ...how })).toEqual({ step: [], places: [] });
});
