import { describe, expect, test } from 'vitest';
import { everyDemoQuestion } from '../../../tests/support/demoMedia';
import { interpreterOf } from '../../../tests/support/qti';
import { randomQuestion } from '../../../tests/support/randomQuestion';
import { KINDS, modelAnswerOf, type Question, questionModel, random, respond, seedOf } from '../../core';
import { parseQuestion } from '../../core/document';
import { boardFromPlacements } from '../../core/judge/placements';
import { exampleOf } from '../../core/kinds';
import { copiesOut } from './carried';
import { type AnswerPlacement, arrangementOf, type Item, itemOut } from './item';
import { readXml } from './xml';

type Carried = Extract<Item, { carried: true }>;
const NOTHING = { media: new Map(), modelAnswer: null };
const out = (question: Question) => itemOut(question, NOTHING);

/** Placements that the zones can hold: each copy in some zone or none. */
function randomPlacements(question: Question, seed: string): AnswerPlacement[] {
  const model = questionModel(question);
  const next = random(seedOf(seed));
  const share = next();
  const placements: AnswerPlacement[] = [];
  const copies = question.items.flatMap(({ id }, i) =>
    Array.from({ length: copiesOut(model)[i] as number }, (_, copy) => ({ id, copy })),
  );
  for (const { id, copy } of copies.sort(() => next() - 0.5)) {
    if (question.zones.length === 0 || next() > share) continue;
    const zone = question.zones[Math.floor(next() * question.zones.length)]?.id as string;
    if (boardFromPlacements(model, [...placements, { item: id, copy, zone }]).ok)
      placements.push({ item: id, copy, zone });
  }
  return placements;
}

/** Our mark and that of the item's response processing, for one arrangement. */
function comparing(question: Question, item: Carried) {
  const model = questionModel(question);
  const process = interpreterOf(item.xml);
  return (placements: readonly AnswerPlacement[]) => {
    const responded = respond(model, { placements });
    if (!responded.ok) throw new Error(responded.fault);
    const outcomes = process(item.valuesOf(arrangementOf(model, placements)));
    return { ours: responded.judged.mark, theirs: outcomes.get('SCORE'), max: outcomes.get('MAXSCORE') };
  };
}

function holdsFor(question: Question, item: Carried, seed: string, arrangements: number): void {
  const marksOf = comparing(question, item);
  for (let i = 0; i < arrangements; i++) {
    const placements = i === 0 ? [] : randomPlacements(question, `${seed} ${i}`);
    const { ours, theirs, max } = marksOf(placements);
    expect(theirs, `${seed} ${JSON.stringify(placements)}`).toBe(ours);
    expect(max).toBe(question.marks.max);
  }
}

describe('the scoring identity: SCORE is the mark at the first try', () => {
  test('2,000 random questions, each under arrangements of every kind', { timeout: 120_000 }, () => {
    const ways = new Map<string, number>();
    for (let i = 0; i < 2000; i++) {
      const question = randomQuestion(`qti ${i}`, { items: 5, zones: i % 4 === 0 ? 1 : 3, copies: 2 });
      const item = out(question);
      const way = item.carried ? item.interaction : 'refused';
      ways.set(way, (ways.get(way) ?? 0) + 1);
      if (item.carried) holdsFor(question, item, `${i}`, 5);
    }
    // Each way is met often enough for the test to say something of it.
    for (const way of ['graphicGapMatch', 'match', 'order', 'refused']) expect(ways.get(way), way).toBeGreaterThan(50);
  });

  test.each(KINDS)('the example of %s goes out, and its model answer has full marks', (kind) => {
    const question = exampleOf(kind, `example-${kind}`);
    const model = questionModel(question);
    const answer = modelAnswerOf(model, 2000, { now: () => performance.now() });
    const item = itemOut(question, { media: new Map(), modelAnswer: answer });
    if (!item.carried) throw new Error(JSON.stringify(item.reasons));
    expect(readXml(item.xml).ok).toBe(true);
    expect(comparing(question, item)(answer ?? []).theirs).toBe(question.marks.max);
    holdsFor(question, item, kind, 60);
  });

  test('every question of the demo goes out with it, or is refused with its reasons', () => {
    const refused = new Map<string, readonly string[]>();
    for (const question of everyDemoQuestion()) {
      const item = out(question);
      if (!item.carried)
        refused.set(question.title, [...new Set(item.reasons.map(({ path }) => path.split('.').at(-1) ?? ''))]);
      // What is typed is no arrangement of items: it is tested below.
      else if (item.interaction !== 'textEntry') holdsFor(question, item, question.title, 40);
    }
    expect(Object.fromEntries(refused)).toEqual({
      'Clear the drawer': ['pools', 'lid'],
      'Close a jar': ['ridesOn'],
      'Words to write down': ['slips'],
    });
  });

  test.each(['exactPosition', 'adjacentPairs', 'longestRun', 'pairsInOrder', 'allOrNothing'] as const)(
    'a sequence of six under %s',
    (sequenceRule) => {
      const example = exampleOf('order', 'steps');
      const question = { ...example, marks: { ...example.marks, max: 10, sequenceRule } };
      const item = out(question);
      if (!item.carried) throw new Error('It was refused');
      holdsFor(question, item, sequenceRule, 150);
    },
  );
});

describe('typed gaps', () => {
  const typed = (accept: Record<string, string[]>, more: object = {}) => ({
    accept,
    case: false,
    accents: false,
    slips: 0,
    ...more,
  });
  const question = (rules: object, copies = 1) => {
    const parsed = parseQuestion({
      format: 'vault-drop/question',
      version: 2,
      id: 'typed',
      title: 'The tags of a lot',
      kind: 'gaps',
      scene: { width: 960, height: 540 },
      fixtures: [
        {
          type: 'text',
          id: 'text',
          x: 20,
          y: 20,
          w: 800,
          h: 300,
          text: { blocks: [{ type: 'paragraph', runs: [{ text: 'Dry the ' }, { slot: 'one' }, { slot: 'two' }] }] },
        },
      ],
      items: ['barley', 'poppy', 'café'].map((id) => ({ id, label: id, size: { w: 90, h: 40 }, copies })),
      zones: ['one', 'two'].map((id) => ({
        id,
        shape: { type: 'slot' },
        capacity: 1,
        typed: typed({ barley: ['Barley', 'orge'], poppy: ['poppy $1.'], café: ['café'] }, rules),
      })),
      key: ['one', 'two'].map((zone) => ({ zone, belongs: ['barley', 'poppy'], need: { rule: 'exactly', n: 1 } })),
      marks: { max: 2, rule: 'perPlacement', misplacedCosts: 0.25 },
    });
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    return parsed.question;
  };
  const TEXTS = [
    '',
    '  ',
    'barley',
    'BARLEY ',
    ' Bárley',
    'orge',
    'órge',
    'poppy $1.',
    'poppy 1',
    'Poppy $1.',
    'cafe',
    'café',
    'cafe\u0301',
    'CAFÉ',
    'gravel',
    'b a r l e y',
  ];

  test.each([
    ['neither case nor accents', {}],
    ['case', { case: true }],
    ['accents', { accents: true }],
    ['case and accents', { case: true, accents: true }],
  ])('are read as the core reads them, minding %s', (_, rules) => {
    for (const copies of [1, 2]) {
      const asked = question(rules, copies);
      const item = out(asked);
      if (!item.carried) throw new Error(JSON.stringify(item.reasons));
      expect(item.interaction).toBe('textEntry');
      const model = questionModel(asked);
      const process = interpreterOf(item.xml);
      for (const one of TEXTS)
        for (const two of TEXTS) {
          const responded = respond(model, {
            drops: [
              { zone: 'one', text: one },
              { zone: 'two', text: two },
            ],
          });
          if (!responded.ok) throw new Error(responded.fault);
          const responses = new Map([
            ['RESPONSE_one', [one]],
            ['RESPONSE_two', [two]],
          ]);
          expect(process(responses).get('SCORE'), `${one} | ${two}`).toBe(responded.judged.mark);
        }
    }
  });

  test('with slips they are refused, with the place', () => {
    expect(out(question({ slips: 1 }))).toEqual({
      carried: false,
      reasons: [
        { path: 'zones[0].typed.slips', message: expect.stringContaining('Slips') },
        { path: 'zones[1].typed.slips', message: expect.stringContaining('Slips') },
      ],
    });
  });
});

describe('names', () => {
  test('an id that is no NCName goes out in hexadecimal; a name that is taken gets a line before it', () => {
    const example = exampleOf('sort', 'sort');
    const [first, second] = example.items;
    const [zone] = example.zones;
    const renamed = JSON.parse(
      JSON.stringify({ ...example, start: null })
        .replaceAll(`"${first?.id}"`, '"rye & oats"')
        .replaceAll(`"${second?.id}"`, `"${zone?.id}"`),
    );
    const parsed = parseQuestion(renamed);
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    const item = out(parsed.question);
    if (!item.carried) throw new Error('It was refused');
    expect(item.xml).toContain(`identifier="i_727965202620`);
    expect(item.xml).toContain(`identifier="_${zone?.id}"`);
    expect(item.notes.map(({ message }) => message)).toContainEqual(expect.stringContaining('was taken'));
    holdsFor(parsed.question, item, 'names', 30);
  });
});
