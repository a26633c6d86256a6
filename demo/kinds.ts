import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Question } from '../src/core';
import { newQuestion, parseQuestion, richFromPlain } from '../src/core/document';
import {
  answeredBy,
  asSpots,
  byGrid,
  type FromText,
  gapsLaidOut,
  intoPieces,
  missesCost,
  propose,
  readListing,
} from '../src/core/kinds';
import { idOf, type Kept, picture, question, rect, say, zone } from './made';

/** Two questions or more of each kind that the others have not: most made from a pasted list, as an author would. */
export function kindQuestions(kept: Kept): Question[] {
  const from = (
    number: number,
    kind: FromText,
    title: string,
    prompt: string,
    text: string,
    more: (question: Question) => Question = (made) => made,
  ): Question => {
    const blank = { ...newQuestion(idOf(number), title), prompt: richFromPlain(prompt), tries: 3 };
    const proposed = propose(blank, kind, readListing(text));
    if (!proposed.ok) throw new Error(`${title}: ${proposed.message}`);
    return sound(more(proposed.question));
  };
  const found = (
    number: number,
    title: string,
    prompt: string,
    fields: Record<string, unknown>,
    places: Question['show']['places'],
    costs: boolean,
  ): Question => {
    const spots = asSpots(
      question(
        number,
        title,
        prompt,
        {
          kind: 'mark',
          scene: { width: 960, height: 470 },
          tray: { side: 'bottom', size: 76, order: 'asListed' },
          marks: { max: 3, rule: 'perPlacement' },
          afterMiss: 'leave',
          show: { places },
          ...fields,
        },
        kept,
      ),
    );
    return sound(costs ? missesCost(spots, true) : spots);
  };
  const every = (made: Question) => new Set<string>(made.zones.map(({ id }) => id));
  return [
    from(
      16,
      'gaps',
      'How a seed is banked',
      'Put the words back where they belong. Two are not wanted.',
      [
        'A lot that comes in is weighed and given a number.\tweighed',
        'It is dried at fifteen percent humidity, for a month.\tdried',
        'A sample is tested for life before it is sealed.\ttested',
        'The sachets are kept at minus twenty degrees.\tminus twenty',
      ].join('\n'),
      (made) => gapsLaidOut(withItems(made, ['watered', 'plus four'])),
    ),
    from(
      17,
      'gaps',
      'The germination protocol',
      'Choose from each menu what is done.',
      [
        'Lay fifty seeds on moist paper in a dish.\tmoist',
        'Close the dish, so that it does not fall dry.\tClose',
        'Count the seedlings on every third day.\tthird',
        'After four weeks cut open what has not come up.\tcut open',
      ].join('\n'),
      (made) => gapsLaidOut(answeredBy(withItems(made, ['frozen', 'Shake', 'tenth']), every(made), 'menu')),
    ),
    from(
      18,
      'gaps',
      'Words to write down',
      'Type the missing words.',
      [
        'The first root of a seedling is its radicle.\tradicle',
        'A seed that rests although it could grow is dormant.\tdormant',
        'What stands drying is called orthodox.\torthodox',
      ].join('\n'),
      (made) => {
        const typed = gapsLaidOut(answeredBy(made, every(made), 'typed'));
        return {
          ...typed,
          zones: typed.zones.map((zone) => ({ ...zone, typed: zone.typed && { ...zone.typed, slips: 1 } })),
        };
      },
    ),
    from(
      19,
      'order',
      'A germination test, step by step',
      'Put the steps in order, the first at the top.',
      [
        'Draw fifty seeds',
        'Soak them overnight',
        'Lay them on moist paper',
        'Cancel at twenty degrees',
        'Count what has come up',
      ].join('\n'),
    ),
    found(
      20,
      'Find the roots',
      'Put a marker on every root of the bean.',
      {
        fixtures: [picture('bean', 270, 10, 400, 362)],
        zones: [
          zone('Main root', rect(453, 262, 36, 76)),
          zone('Upper side root', { type: 'ellipse', cx: 430, cy: 278, rx: 22, ry: 20 }),
          zone('Right side root', { type: 'ellipse', cx: 509, cy: 303, rx: 20, ry: 22 }),
          zone('Lower side root', { type: 'ellipse', cx: 434, cy: 338, rx: 19, ry: 19 }),
        ],
        items: [
          { id: 'marker', label: 'Marker', size: { w: 34, h: 34 }, copies: 'endless', content: { picture: 'marker' } },
        ],
      },
      [
        { label: 'Below the ground, in the middle', x: 470, y: 310 },
        { label: 'Just below the ground, to the left', x: 430, y: 278 },
        { label: 'Below the ground, to the right', x: 509, y: 303 },
        { label: 'At the lowest, to the left', x: 434, y: 338 },
        { label: 'Just below the ground, to the right', x: 530, y: 262 },
        { label: 'Between the two halves', x: 470, y: 190 },
        { label: 'At the top', x: 440, y: 60 },
        { label: 'The left half', x: 400, y: 200 },
      ],
      true,
    ),
    found(
      21,
      'Where warm air gets in',
      'Mark the three places of the plan where warm air can get in. You have five markers.',
      {
        fixtures: [picture('cold-room', 40, 14, 880, 360)],
        zones: [
          zone('First doorway', rect(318, 146, 44, 88)),
          zone('Second doorway', rect(618, 216, 44, 80)),
          zone('Round table', { type: 'ellipse', cx: 260, cy: 304, rx: 76, ry: 50 }, { label: 'Under the table' }),
        ],
        items: [{ id: 'marker', label: 'Marker', size: { w: 34, h: 34 }, copies: 5, content: { picture: 'marker' } }],
        hints: [say('Look where walls end.')],
      },
      [
        { label: 'Between the first room and the second', x: 340, y: 190 },
        { label: 'Between the second room and the third', x: 640, y: 256 },
        { label: 'At the round table', x: 260, y: 304 },
        { label: 'At the desk', x: 120, y: 80 },
        { label: 'Behind the shelves', x: 490, y: 66 },
        { label: 'At the chest', x: 780, y: 314 },
      ],
      true,
    ),
    from(
      22,
      'pick',
      'What may be dried?',
      'Pick everything that stands drying.',
      ['Barley\tyes', 'Acorn\tno', 'Poppy\tyes', 'Chestnut\tno', 'Onion\tyes', 'Hazelnut\tno'].join('\n'),
    ),
    from(
      23,
      'pick',
      'May this lot be frozen?',
      'A lot was tested: nine percent water, eighty of a hundred came up. May it be frozen?',
      ['Yes\tright', 'No\twrong', 'Only after another test\twrong'].join('\n'),
      (made) => ({ ...made, tries: 1 }),
    ),
    from(
      26,
      'order',
      'The dryer’s program',
      'Put the lines in order, so that every lot is dried until it may be sealed.',
      [
        'for lot in lots:',
        '    weigh(lot)',
        '    while water(lot) > 15:',
        '        dry(lot, hours=6)',
        '    seal(lot)',
      ].join('\n'),
    ),
    filmed(
      question(
        25,
        'What the air does',
        'Watch the film, then pick what is true of it. Two are.',
        {
          kind: 'pick',
          scene: { width: 960, height: 390 },
          tray: null,
          tries: 2,
          fixtures: [
            { type: 'film', id: 'film', label: 'Seeds dry on a rack', x: 30, y: 30, w: 500, h: 320, media: 'drying' },
          ],
          items: [
            'The air is cool and dry',
            'The seed is roasted',
            'The seed keeps 15 % of its water',
            'The sachet is left open',
          ].map((label, i) => ({
            id: `choice-${i + 1}`,
            label,
            size: { w: 350, h: 62 },
            home: { x: 570, y: 40 + i * 80 },
            stays: true,
          })),
          zones: [{ id: 'picked', label: 'Picked', shape: { type: 'slot' }, capacity: 2 }],
          key: [{ zone: 'picked', belongs: ['choice-1', 'choice-3'], need: { rule: 'all' } }],
          marks: { max: 2, rule: 'perPlacement', extraCosts: 1, misplacedCosts: 1 },
        },
        kept,
      ),
    ),
    sound(
      intoPieces(
        question(
          24,
          'Put the rack together',
          'Six pieces of one picture: lay them so that they meet.',
          {
            kind: 'build',
            fixtures: [picture('rack', 220, 20, 520, 300)],
            marks: { max: 6, rule: 'perPlacement' },
            ...piecesOf(kept),
          },
          kept,
        ),
        'rack' as never,
        byGrid({ x: 220, y: 20, w: 520, h: 300 }, 2, 3).map((corners, i) => ({
          corners,
          media: `rack-${i + 1}` as never,
        })),
      ),
    ),
  ];
}

/** A film of the demo with what is said in it. */
const filmed = (made: Question): Question =>
  sound({
    ...made,
    media: Object.fromEntries(
      Object.entries(made.media).map(([id, medium]) => [
        id,
        medium.kind === 'film'
          ? { ...medium, captions: readFileSync(join(import.meta.dirname, 'media', `${id}.vtt`), 'utf8') }
          : medium,
      ]),
    ),
  });

/** The media of the pieces, so that the question has them before it is cut. */
const piecesOf = (kept: Kept) => ({
  media: Object.fromEntries(
    Object.entries(kept).flatMap(([name, medium]) =>
      /^rack(-\d)?$/.test(name)
        ? [
            [
              name,
              {
                ...medium,
                source: 'Drawn for Tarn Hollow Seed Bank',
                licence: 'CC0',
                description:
                  name === 'rack' ? 'A rack with three shelves' : `A piece of the rack, number ${name.at(-1)}`,
              },
            ],
          ]
        : [],
    ),
  ),
});

function withItems(question: Question, labels: readonly string[]): Question {
  const [first] = question.items;
  if (!first) return question;
  const items = [
    ...question.items,
    ...labels.map((label, i) => ({ ...first, id: `other-${i + 1}` as typeof first.id, label, copies: 1 })),
  ];
  return { ...question, items };
}

/** As it would be kept. */
function sound(question: Question): Question {
  const parsed = parseQuestion(JSON.parse(JSON.stringify(question)));
  if (!parsed.ok) throw new Error(`${question.title}: ${JSON.stringify(parsed.problems)}`);
  return parsed.question;
}
