import { describe, expect, it } from 'vitest';
import { seeds } from '../../../../tests/support/seeds';
import { parseQuestion } from '../../document/parse';
import { applyAll } from '../../edit/edit';
import { questionModel } from '../../judge/model';
import { mendOf } from '../mends/mends';
import { prove } from '../proof';
import { FINDING_CODES, type FindingCode } from '.';

type Changes = Record<string, unknown>;
const clock = { now: () => 0 };
const found = (changes: Changes) => prove(questionModel(seeds(changes)), 1000, clock).findings;

const rect = (id: string, x: number, y: number, w: number, h: number, more: Changes = {}) => ({
  id,
  label: id,
  shape: { type: 'rect', x, y, w, h },
  ...more,
});
const item = (id: string, x: number, more: Changes = {}) => ({
  id,
  label: id,
  size: { w: 100, h: 40 },
  home: { x, y: 440 },
  ...more,
});
const all = (zone: string, ...belongs: string[]) => ({ zone, belongs, need: { rule: 'all' } });
const sequence = (...belongs: string[]) => ({ zone: 'dry', belongs, sequence: true });
const dry = (more: Changes) => [rect('dry', 40, 40, 400, 300, more), rect('moist', 500, 40, 400, 300)];
const hash = 'a'.repeat(64);
const look = (of: string, states: unknown) => ({ looks: { one: { of, name: 'One', states } } });

/** Two gaps of one text, as wide as that many characters; the second of a family. */
const gaps = (first: number | null, second: number | null, family: string | null = null) => ({
  fixtures: [
    {
      type: 'text',
      id: 'text',
      x: 0,
      y: 0,
      w: 400,
      h: 80,
      text: { blocks: [{ type: 'paragraph', runs: [{ slot: 'g1' }, { text: ' and ' }, { slot: 'g2' }] }] },
    },
  ],
  zones: [
    { id: 'g1', shape: { type: 'slot' }, chars: first },
    { id: 'g2', shape: { type: 'slot' }, chars: second, family },
  ],
  key: [all('g1', 'barley')],
});

const PROMPT = { prompt: { blocks: [{ type: 'paragraph', runs: [{ text: 'Sort the seeds.' }] }] } };
const three = (labels: readonly string[], names: readonly string[], keys: readonly string[]) => ({
  items: ['barley', 'poppy', 'acorn'].map((id, i) => item(id, 20 + 120 * i, { label: labels[i] })),
  zones: names.map((label, i) => rect(`z${i}`, 40 + 200 * i, 40, 180, 300, { label })),
  key: keys.map((id, i) => all(`z${i}`, id)),
});
/** Items with these numbers in three numbered zones, the first in the first; shuffled, so that only they tell. */
const numbered = (...numbers: string[]) => ({
  ...three(
    numbers.map((number) => `Step ${number}`),
    ['Place 1', 'Place 2', 'Place 3'],
    ['barley', 'poppy', 'acorn'],
  ),
  tray: { order: 'shuffled' },
});
const inZoneOrder = (...keys: string[]) => three(['Barley', 'Poppy', 'Acorn'], ['Dry', 'Frozen', 'Moist'], keys);

/** For each finding what provokes it, and its near neighbour that does not. */
const CASES: Readonly<Record<FindingCode, readonly (readonly [provokes: Changes, not: Changes])[]>> = {
  nothingKeyed: [[{ key: [] }, {}]],
  unsolvable: [
    [{ key: [all('dry', 'barley'), all('moist', 'barley')] }, { key: [all('dry', 'barley'), all('moist', 'poppy')] }],
    [
      { items: [item('barley', 20, { value: 4 })], key: [{ zone: 'dry', sum: { target: 6 } }] },
      { items: [item('barley', 20, { value: 4 })], key: [{ zone: 'dry', sum: { target: 4 } }] },
    ],
  ],
  needMoreThanExist: [
    [
      { key: [{ zone: 'dry', belongs: ['barley'], need: { rule: 'exactly', n: 2 } }] },
      { key: [{ zone: 'dry', belongs: ['barley'], need: { rule: 'exactly', n: 1 } }] },
    ],
  ],
  needMoreThanRoom: [[{ zones: dry({ capacity: 1 }) }, { zones: dry({ capacity: 2 }) }]],
  familyMismatch: [
    [
      { zones: dry({ family: 'seeds' }) },
      {
        items: ['barley', 'poppy', 'acorn', 'gravel'].map((id, i) => item(id, 120 * i, { family: 'seeds' })),
        zones: dry({ family: 'seeds' }),
      },
    ],
  ],
  keyedButTurnedAway: [
    [
      { zones: [rect('dry', 40, 40, 200, 200), rect('moist', 20, 20, 400, 300, { welcome: 'keyed' })] },
      { zones: [rect('moist', 20, 20, 400, 300, { welcome: 'keyed' }), rect('dry', 40, 40, 200, 200)] },
    ],
  ],
  reachImpossible: [
    [
      { zones: dry({ shape: { type: 'rect', x: 40, y: 40, w: 90, h: 300 }, reach: { rule: 'inside' } }) },
      { zones: dry({ shape: { type: 'rect', x: 40, y: 40, w: 100, h: 40 }, reach: { rule: 'inside' } }) },
    ],
    [
      { zones: dry({ shape: { type: 'rect', x: -500, y: 40, w: 400, h: 300 } }) },
      { zones: dry({ shape: { type: 'rect', x: -300, y: 40, w: 400, h: 300 } }) },
    ],
  ],
  neverWins: [
    [
      { zones: [rect('dry', 500, 40, 400, 300), rect('moist', 500, 40, 400, 300)] },
      { zones: [rect('dry', 450, 40, 400, 300), rect('moist', 600, 40, 300, 300)] },
    ],
  ],
  cannotBePickedUp: [
    [
      { items: [item('barley', 20), item('poppy', 20), item('acorn', 260), item('gravel', 380)] },
      { items: [item('barley', 20), item('poppy', 30), item('acorn', 260), item('gravel', 380)] },
    ],
    [
      { items: [item('barley', -95), item('poppy', 140), item('acorn', 260), item('gravel', 380)] },
      { items: [item('barley', -90), item('poppy', 140), item('acorn', 260), item('gravel', 380)] },
    ],
  ],
  overflow: [
    [
      { zones: dry({ shape: { type: 'rect', x: 40, y: 40, w: 150, h: 60 }, settle: { rule: 'row' } }) },
      { zones: dry({ shape: { type: 'rect', x: 40, y: 40, w: 230, h: 60 }, settle: { rule: 'row' } }) },
    ],
    [
      { zones: dry({ shape: { type: 'rect', x: 40, y: 40, w: 110, h: 70 } }) },
      { zones: dry({ shape: { type: 'rect', x: 40, y: 40, w: 110, h: 80 } }) },
    ],
  ],
  unclearWinner: [
    [
      { zones: [rect('dry', 40, 40, 400, 300), rect('moist', 350, 40, 400, 300)] },
      { zones: [rect('dry', 40, 40, 400, 300), rect('moist', 370, 40, 400, 300)] },
    ],
    [
      {
        zones: [
          rect('dry', 40, 40, 400, 300),
          { id: 'moist', shape: { type: 'ellipse', cx: 400, cy: 200, rx: 100, ry: 80 } },
        ],
      },
      {
        zones: [
          rect('dry', 40, 40, 400, 300),
          { id: 'moist', shape: { type: 'ellipse', cx: 520, cy: 200, rx: 100, ry: 80 } },
        ],
      },
    ],
  ],
  emptyEarns: [
    [
      {
        key: [all('dry', 'barley'), { zone: 'moist', belongs: [], need: { rule: 'all' }, weight: 1 }],
        marks: { max: 4, rule: 'perZone' },
      },
      {
        key: [all('dry', 'barley'), { zone: 'moist', belongs: [], need: { rule: 'all' } }],
        marks: { max: 4, rule: 'perZone' },
      },
    ],
  ],
  allInEarns: [[{}, { marks: { max: 3, rule: 'perPlacement', extraCosts: 1, misplacedCosts: 1 } }]],
  lookalikesKeyedApart: [
    [
      {
        items: [
          item('barley', 20, { label: 'Seed' }),
          item('poppy', 140),
          item('acorn', 260, { label: 'Seed' }),
          item('gravel', 380),
        ],
      },
      {
        items: [
          item('barley', 20, { label: 'Seed' }),
          item('poppy', 140, { label: 'Seed' }),
          item('acorn', 260),
          item('gravel', 380),
        ],
      },
    ],
  ],
  lastByElimination: [
    [
      { items: [item('barley', 20), item('acorn', 140)], key: [all('dry', 'barley'), all('moist', 'acorn')] },
      {
        items: [item('barley', 20), item('acorn', 140), item('gravel', 260)],
        key: [all('dry', 'barley'), all('moist', 'acorn')],
      },
    ],
  ],
  orderGivesAway: [
    [{ key: [sequence('barley', 'poppy', 'acorn')] }, { key: [sequence('poppy', 'barley', 'acorn')] }],
    [{}, { key: [all('moist', 'acorn'), all('dry', 'barley', 'poppy')] }],
    [
      { key: [sequence('barley', 'poppy', 'acorn')] },
      { key: [sequence('barley', 'poppy', 'acorn')], tray: { order: 'shuffled' } },
    ],
  ],
  tryingWins: [
    [
      { tries: null, judging: 'onLand' },
      { tries: null, judging: 'onLand', afterMiss: 'leave' },
    ],
    [
      { tries: null, zones: dry({ welcome: 'keyed' }) },
      { tries: 2, zones: dry({ welcome: 'keyed' }) },
    ],
  ],
  labelDoesNotFit: [
    [
      { items: [item('barley', 20, { label: 'A seed that can be dried and frozen' })], key: [all('dry', 'barley')] },
      { items: [item('barley', 20, { label: 'A seed of barley' })], key: [all('dry', 'barley')] },
    ],
    [
      { zones: dry({ label: 'Seeds that stand being dried and then frozen for a very long time' }) },
      { zones: dry({ label: 'Stands being dried' }) },
    ],
  ],
  targetSmall: [
    [
      { zones: dry({ shape: { type: 'rect', x: 40, y: 40, w: 400, h: 30 } }) },
      { zones: dry({ shape: { type: 'rect', x: 40, y: 40, w: 400, h: 40 } }) },
    ],
  ],
  contrastLow: [
    [
      look('item', { right: { text: 'mute', fill: 'rule' } }),
      look('item', { right: { text: 'ink', fill: 'verdigrisWash' } }),
    ],
    [look('zone', { rest: { text: '#999999' } }), look('zone', { rest: { text: '#555555' } })],
  ],
  noDescription: [
    [
      { media: { plan: { hash, kind: 'picture' } } },
      { media: { plan: { hash, kind: 'picture', description: 'The cold room from above' } } },
    ],
    [
      { media: { hum: { hash, kind: 'sound', description: ' ' } } },
      { media: { hum: { hash, kind: 'sound', decorative: true } } },
    ],
  ],
  cannotBeMissed: [
    [
      { items: [item('barley', 20)], zones: [rect('dry', 40, 40, 400, 300)], key: [all('dry', 'barley')] },
      {
        items: [item('barley', 20), item('poppy', 140)],
        zones: [rect('dry', 40, 40, 400, 300)],
        key: [all('dry', 'barley')],
      },
    ],
  ],
  gapWidthsDiffer: [
    [gaps(null, 20), gaps(12, 12)],
    [gaps(null, 20), gaps(null, 20, 'number')],
  ],
  wrongIsFree: [
    [{}, { marks: { max: 3, rule: 'perPlacement' } }],
    [
      {
        key: [all('dry', 'barley', 'poppy', 'acorn'), { zone: 'moist', belongs: [], need: { rule: 'exactly', n: 0 } }],
        marks: { max: 3, rule: 'perZone' },
      },
      {
        key: [
          all('dry', 'barley', 'poppy', 'acorn'),
          { zone: 'moist', belongs: [], need: { rule: 'exactly', n: 0 }, weight: 1 },
        ],
        marks: { max: 3, rule: 'perZone' },
      },
    ],
  ],
  nothingWelcome: [
    [
      { zones: dry({ welcome: 'keyed' }), key: [all('moist', 'acorn')] },
      { zones: dry({ welcome: 'keyed' }), key: [all('dry', 'acorn')] },
    ],
  ],
  noZoneAdmits: [
    [
      { zones: [rect('dry', 40, 40, 400, 300, { family: 'seeds' })], key: [] },
      { zones: [rect('dry', 40, 40, 400, 300)], key: [] },
    ],
  ],
  sameName: [
    [{ zones: dry({ label: 'moist' }) }, { zones: dry({ label: 'Moist' }) }],
    [
      { items: [item('barley', 20), item('poppy', 140, { label: 'barley', size: { w: 120, h: 40 } })], key: [] },
      { items: [item('barley', 20), item('poppy', 140, { label: 'barley' })], key: [] },
    ],
  ],
  worthNothing: [[{ marks: { max: 0, rule: 'perPlacement' } }, {}]],
  unnamed: [
    [{}, { prompt: { blocks: [{ type: 'paragraph', runs: [{ text: 'Sort the seeds.' }] }] } }],
    [
      { title: 'Untitled question', ...PROMPT },
      { title: 'Which seeds can be dried?', ...PROMPT },
    ],
  ],
  listGivesAway: [
    [numbered('1', '2', '3'), numbered('1', '3', '2')],
    [inZoneOrder('barley', 'poppy', 'acorn'), inZoneOrder('poppy', 'barley', 'acorn')],
  ],
  coversWords: [
    [
      { ...gaps(null, null), items: [item('barley', 20, { home: { x: 100, y: 20 } })] },
      { ...gaps(null, null), items: [item('barley', 20, { home: { x: 100, y: 100 } })] },
    ],
  ],
  noListForm: [
    [
      { zones: dry({ hidden: true }) },
      { zones: dry({ hidden: true }), show: { places: [{ label: 'the rack', x: 100, y: 100 }] } },
    ],
  ],
};

it('there is a case for every finding', () => expect(Object.keys(CASES).sort()).toEqual([...FINDING_CODES].sort()));

describe.each(FINDING_CODES)('%s', (code) => {
  it.each(CASES[code])('is found, and not in a neighbour of it (%#)', (provokes, not) => {
    const [hit] = found(provokes).filter((match) => match.code === code);
    expect(hit?.message).toMatch(/^[A-Z"“].*\.$/s);
    expect(hit?.mend).toMatch(/^[A-Z].*\.$/s);
    expect(found(not).filter((match) => match.code === code)).toEqual([]);
  });
});

/** Only the author can say what is meant. */
const NO_MEND: readonly FindingCode[] = [
  'nothingKeyed',
  'unsolvable',
  'lookalikesKeyedApart',
  'lastByElimination',
  'cannotBeMissed',
  'noListForm',
  'noZoneAdmits',
  'unnamed',
  'coversWords',
];

describe.each(FINDING_CODES.filter((code) => !NO_MEND.includes(code)))('the mend of %s', (code) => {
  it.each(CASES[code])('mends it in one step (%#)', (provokes) => {
    const question = seeds(provokes);
    const [hit] = found(provokes).filter((match) => match.code === code);
    if (!hit) throw new Error('not found');
    const mend = mendOf(question, hit);
    // A start order without a tray is the author's to change: which homes are meant? So are numbers that tell.
    if (!mend) return expect(['orderGivesAway', 'listGivesAway']).toContain(code);
    expect(mend.words).toMatch(/^[A-Z]/);
    const after = applyAll(question, mend.step);
    const parsed = parseQuestion(after);
    expect(parsed.ok ? [] : parsed.problems).toEqual([]);
    expect(
      prove(questionModel(after), 1000, clock).findings.filter(
        (finding) => finding.code === code && finding.where.join() === hit.where.join(),
      ),
    ).toEqual([]);
  });
});

it('an answer that cannot be is explained by the fewest rules', () => {
  const [hit] = found({ key: [all('dry', 'barley'), all('moist', 'barley')] }).filter(
    ({ code }) => code === 'unsolvable',
  );
  expect(hit?.where).toEqual(['dry', 'moist', 'barley']);
  expect(hit?.message).toBe(
    'No answer earns full marks. These cannot all hold: "dry" needs exactly 1 of "barley"; "moist" needs exactly 1 of "barley"; there is 1 of "barley".',
  );
});
