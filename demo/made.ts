import type { Medium, Question } from '../src/core';
import { parseQuestion, richFromPlain } from '../src/core/document';

/**
 * The demo's questions that are made of drawings, sounds and rules of every sort; the plain ones stand in `questions/`
 * as documents.
 */
export type Kept = Readonly<Record<string, Pick<Medium, 'hash' | 'kind' | 'weight'>>>;
type Fields = Record<string, unknown>;

const ID = '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b';
export const idOf = (number: number): string => `${ID}${String(number).padStart(4, '0')}`;
const OWN = { source: 'Drawn for Tarn Hollow Seed Bank', licence: 'CC0' };
const DESCRIPTIONS: Readonly<Record<string, string>> = {
  bean: 'A germinating bean: roots below the ground, above it a stem between two halves of the seed, with two leaves at its top',
  jar: 'A jar with a screwed lid, a third full of seeds',
  'cold-room':
    'A plan of three rooms side by side: a desk and a round table in the first, two long shelves in the second, cabinets and a chest in the third',
  rack: 'A rack with three shelves',
  barley: 'An ear of barley',
  acorn: 'An acorn',
  poppy: 'A poppy head',
  chestnut: 'A chestnut',
  marker: 'A round marker',
  gloves: 'A glove',
  coat: 'A coat',
  dryer: 'A steady rush of air',
  sieve: 'Seeds shaken to and fro',
  sealer: 'A hum, then a hiss',
  click: 'A click',
  drying: 'Seeds on the two trays of a rack dry in moving air, and go into a sachet',
};

export const say = (text: string) => ({ text: richFromPlain(text) });
export const rect = (x: number, y: number, w: number, h: number) => ({ type: 'rect', x, y, w, h });
const slug = (label: string) => label.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');
const item = (label: string, more: Fields = {}): Fields => ({
  id: slug(label),
  label,
  size: { w: 135, h: 49 },
  ...more,
});
export const zone = (label: string, shape: Fields, more: Fields = {}): Fields => ({
  id: slug(label),
  label,
  shape,
  settle: { rule: 'grid', gap: 20 },
  ...more,
});
const all = (place: string, ...belongs: string[]) => ({
  zone: slug(place),
  belongs: belongs.map(slug),
  need: { rule: 'all' },
});
const trap = (place: string) => ({ zone: slug(place), belongs: [], need: { rule: 'exactly', n: 0 } });
export const picture = (id: string, x: number, y: number, w: number, h: number): Fields => ({
  type: 'picture',
  id,
  label: DESCRIPTIONS[id]?.split(/[:,]/)[0] ?? id,
  x,
  y,
  w,
  h,
  media: id,
});
const small = {
  settle: { rule: 'anchor', at: 'middle', gap: 0 },
  capacity: 1,
  whenFull: 'swap',
  reach: { rule: 'centre' },
};

/** A question about drawings and sounds by their names. */
export function question(number: number, title: string, prompt: string, fields: Fields, kept: Kept): Question {
  const text = JSON.stringify(fields);
  const media = Object.fromEntries(
    Object.entries(kept).flatMap(([name, medium]) =>
      text.includes(`"${name}"`) ? [[name, { ...medium, ...OWN, description: DESCRIPTIONS[name] }]] : [],
    ),
  );
  const parsed = parseQuestion({
    format: 'vault-drop/question',
    version: 2,
    id: idOf(number),
    title,
    kind: 'sort',
    scene: { width: 960, height: 540 },
    tray: { side: 'bottom', size: 150, order: 'shuffled' },
    tries: 3,
    afterMiss: 'sendWrongHome',
    prompt: richFromPlain(prompt),
    media,
    ...fields,
  });
  if (!parsed.ok) throw new Error(`${title}: ${JSON.stringify(parsed.problems)}`);
  return parsed.question;
}

const LABELLED = {
  settle: { rule: 'anchor', at: 'middle', gap: 0 },
  capacity: 1,
  whenFull: 'swap',
  reach: { rule: 'centre' },
};
const spot = (label: string, x: number, y: number, more: Fields = {}) =>
  zone(label, rect(x, y, 150, 52), { ...LABELLED, ...more });

/** A dozen finished questions with those of `questions/`, good enough to copy; the last is faulty, to show Proof. */
export function demoQuestions(kept: Kept): Question[] {
  const make = (number: number, title: string, prompt: string, fields: Fields) =>
    question(number, title, prompt, fields, kept);
  const line = (id: string, x1: number, y1: number, x2: number, y2: number): Fields => {
    const [x, y, w, h] = [
      Math.min(x1, x2),
      Math.min(y1, y2),
      Math.max(2, Math.abs(x2 - x1)),
      Math.max(2, Math.abs(y2 - y1)),
    ];
    const down = (x2 - x1) * (y2 - y1) >= 0;
    return {
      type: 'shape',
      id,
      x,
      y,
      w,
      h,
      edge: 'mute',
      edgeWidth: 1,
      shape: {
        type: 'polygon',
        points: down
          ? [
              [0, 0],
              [w, h],
              [w, h - 0.5],
            ]
          : [
              [0, h],
              [w, 0],
              [w, 0.5],
            ],
      },
    };
  };
  return [
    make(4, 'Parts of a germinating bean', 'Name the parts. One name is not wanted.', {
      kind: 'label',
      fixtures: [
        picture('bean', 270, 10, 400, 362),
        line('to-leaf', 250, 60, 410, 66),
        line('to-stem', 710, 140, 486, 130),
        line('to-half', 250, 200, 400, 200),
        line('to-ground', 710, 300, 500, 320),
        line('to-root', 250, 330, 440, 320),
      ],
      zones: [spot('1', 90, 34), spot('2', 710, 114), spot('3', 90, 174), spot('4', 710, 274), spot('5', 90, 304)],
      items: ['First leaf', 'Stem', 'Seed half', 'Side root', 'Main root', 'Flower'].map((label) => item(label)),
      key: [
        all('1', 'First leaf'),
        all('2', 'Stem'),
        all('3', 'Seed half'),
        all('4', 'Side root'),
        all('5', 'Main root'),
      ],
      marks: { max: 5, rule: 'perPlacement', extraCosts: 0.25, misplacedCosts: 0.25 },
      feedback: {
        right: say('Every part has its name.'),
        partly: say('Some parts still have another’s name.'),
        wrong: say('Begin with the leaves, at the top.'),
      },
      hints: [say('Roots grow below the dashed line.')],
      show: { modelAnswer: 'atTheEnd' },
    }),
    make(5, 'A label on the jar', 'Put each line where it stands on a jar’s label.', {
      kind: 'label',
      fixtures: [picture('jar', 340, 8, 270, 374)],
      zones: [
        spot('Top line', 400, 140, { label: '' }),
        spot('Middle line', 400, 200, { label: '' }),
        spot('Foot line', 400, 260, { label: '' }),
        zone('Lid', rect(404, 14, 142, 50), { ...LABELLED, label: '' }),
      ],
      items: [
        item('Betula pendula'),
        item('Lot 0417'),
        item('Sealed 12 May'),
        item('Keep shut'),
        item('Odile was here'),
      ],
      key: [
        all('Top line', 'Betula pendula'),
        all('Middle line', 'Lot 0417'),
        all('Foot line', 'Sealed 12 May'),
        all('Lid', 'Keep shut'),
      ],
      marks: { max: 4, rule: 'perPlacement', extraCosts: 0.5, misplacedCosts: 0.5 },
      feedback: { right: say('So it can be found again in fifty years.'), partly: null, wrong: null },
    }),
    make(6, 'Where it stands in the cold-room plan', 'Put each thing where it stands.', {
      kind: 'label',
      fixtures: [picture('cold-room', 40, 14, 880, 360)],
      zones: [
        zone('Shelves', rect(366, 40, 250, 58), { ...LABELLED, label: '' }),
        zone(
          'Cabinets',
          {
            type: 'polygon',
            points: [
              [680, 42],
              [882, 42],
              [882, 166],
              [808, 166],
              [808, 112],
              [680, 112],
            ],
          },
          { ...LABELLED, label: '', reach: { rule: 'share', share: 0.5 } },
        ),
        zone('Round table', { type: 'ellipse', cx: 260, cy: 304, rx: 76, ry: 50 }, { ...LABELLED, label: '' }),
        zone('Chest', rect(678, 282, 206, 64), { ...LABELLED, label: '' }),
      ],
      items: ['Drying sacks', 'Sealed jars', 'Scales', 'Minus 20 stock', 'Wet boots'].map((label) => item(label)),
      key: [
        all('Shelves', 'Drying sacks'),
        all('Cabinets', 'Sealed jars'),
        all('Round table', 'Scales'),
        all('Chest', 'Minus 20 stock'),
      ],
      marks: { max: 4, rule: 'perPlacement', extraCosts: 0.5, misplacedCosts: 0.5 },
    }),
    make(7, 'A box of twelve sachets', 'Put exactly twelve sachets into the box.', {
      kind: 'count',
      tray: { side: 'right', size: 220, order: 'asListed' },
      zones: [zone('Box', rect(60, 60, 620, 420), { settle: { rule: 'grid', gap: 16 } })],
      items: [item('Sachet', { copies: 30, size: { w: 110, h: 60 } })],
      key: [{ zone: 'box', belongs: ['sachet'], need: { rule: 'exactly', n: 12 } }],
      marks: { max: 2, rule: 'allOrNothing' },
      tries: 2,
      afterMiss: 'leave',
      feedback: { right: say('A box holds twelve.'), partly: null, wrong: say('Count again: a box holds twelve.') },
    }),
    make(8, 'Weigh out 50 grams', 'Put weights on the scale until they come to 50 grams.', {
      kind: 'count',
      zones: [zone('Scale', rect(180, 60, 600, 290), { settle: { rule: 'row', gap: 20 } })],
      items: [
        item('5 g', { value: 5, copies: 2, size: { w: 90, h: 54 } }),
        item('10 g', { value: 10, copies: 2, size: { w: 100, h: 58 } }),
        item('20 g', { value: 20, copies: 2, size: { w: 110, h: 62 } }),
        item('100 g', { value: 100, size: { w: 130, h: 72 } }),
      ],
      key: [{ zone: 'scale', sum: { target: 50, tolerance: 0 } }],
      marks: { max: 3, rule: 'allOrNothing', tryCosts: 0.1 },
      afterMiss: 'leave',
      show: { runningTotal: true, aids: ['calculator'] },
    }),
    make(9, 'Close a jar', 'Build the jar: its ring, its lid and its hang tag go onto it.', {
      kind: 'build',
      tray: { side: 'right', size: 240, order: 'shuffled' },
      fixtures: [
        {
          type: 'shape',
          id: 'table',
          x: 60,
          y: 470,
          w: 560,
          h: 14,
          shape: rect(0, 0, 560, 14),
          fill: 'rule',
          edge: 'ink',
        },
      ],
      items: [
        item('Jar', { home: { x: 240, y: 230 }, size: { w: 200, h: 230 }, look: 'glass' }),
        item('Rubber ring', { size: { w: 180, h: 26 } }),
        item('Lid', { size: { w: 200, h: 44 } }),
        item('Hang tag', { size: { w: 150, h: 80 } }),
      ],
      zones: [
        zone('Rim', rect(10, -30, 180, 30), { ...small, label: '', ridesOn: 'jar' }),
        zone('Top', rect(0, -80, 200, 48), { ...small, label: '', ridesOn: 'jar' }),
        zone('String', rect(204, 60, 160, 90), { ...small, label: '', ridesOn: 'jar' }),
        zone('Table', rect(60, 60, 560, 410), {
          settle: { rule: 'asDropped' },
          reach: { rule: 'share', share: 0.6 },
          label: '',
          floor: true,
        }),
      ],
      looks: {
        glass: {
          of: 'item',
          name: 'Glass',
          states: { rest: { fill: 'verdigrisWash', edge: 'verdigris', text: 'ink', edgeWidth: 3 } },
        },
      },
      key: [all('Rim', 'Rubber ring'), all('Top', 'Lid'), all('String', 'Hang tag')],
      marks: { max: 3, rule: 'perZone' },
    }),
    make(10, 'The way of a seed', 'Lay the steps in their order, the first at the top.', {
      dress: { ground: { texture: 'leaves' }, letters: { face: 'book' } },
      kind: 'order',
      tray: { side: 'left', size: 320, order: 'shuffled' },
      zones: [zone('From sack to freezer', rect(400, 40, 480, 460), { settle: { rule: 'column', gap: 24 } })],
      items: ['Freezing', 'Sealing', 'Testing', 'Cleaning', 'Drying'].map((label) =>
        item(label, { size: { w: 240, h: 56 } }),
      ),
      key: [
        {
          zone: 'from-sack-to-freezer',
          belongs: ['drying', 'cleaning', 'testing', 'sealing', 'freezing'],
          sequence: true,
        },
      ],
      marks: { max: 5, rule: 'perPlacement', sequenceRule: 'longestRun' },
      hints: [say('Nothing is sealed before it has been tested.')],
      show: { modelAnswer: 'atTheEnd' },
    }),
    make(11, 'What to take into the cold room', 'Take along only what is needed at minus 20.', {
      zones: [zone('Taken along', rect(180, 50, 600, 300))],
      items: [
        item('Gloves', { size: { w: 110, h: 100 }, content: { ...say('Gloves'), picture: 'gloves' }, look: 'taken' }),
        item('Coat', { size: { w: 110, h: 100 }, content: { ...say('Coat'), picture: 'coat' }, look: 'taken' }),
        item('Door alarm', { size: { w: 120, h: 100 }, look: 'taken' }),
        item('Water bottle', { size: { w: 120, h: 100 }, look: 'taken' }),
        item('Wet towel', { size: { w: 120, h: 100 }, look: 'taken' }),
        item('Sandwich', { size: { w: 120, h: 100 }, look: 'taken' }),
      ],
      looks: {
        taken: {
          of: 'item',
          name: 'Taken',
          putAway: false,
          states: {
            rest: { fill: 'sheet' },
            overZone: { fill: 'brassWash' },
            settled: { fill: 'verdigrisWash', edge: 'verdigris', sound: 'click' },
            wrong: { fill: 'brickWash', motion: 'nudge' },
          },
        },
      },
      key: [all('Taken along', 'Gloves', 'Coat', 'Door alarm')],
      marks: { max: 3, rule: 'perPlacement', extraCosts: 1, misplacedCosts: 1 },
      feedback: {
        right: say('The alarm is the one people forget.'),
        partly: say('Think of being shut in.'),
        wrong: null,
      },
    }),
    make(12, 'Which machine do you hear?', 'Press a note to hear it, then move it to its machine.', {
      kind: 'free',
      zones: [
        zone('Dryer', rect(40, 60, 270, 290)),
        zone('Sieve', rect(345, 60, 270, 290)),
        zone('Sealer', rect(650, 60, 270, 290)),
      ],
      items: [
        item('First sound', { content: { ...say('First'), sound: 'sieve' } }),
        item('Second sound', { content: { ...say('Second'), sound: 'sealer' } }),
        item('Third sound', { content: { ...say('Third'), sound: 'dryer' } }),
      ],
      fixtures: [
        { type: 'sound', id: 'hear-1', label: 'First', x: 60, y: 8, w: 250, h: 40, media: 'sieve' },
        { type: 'sound', id: 'hear-2', label: 'Second', x: 355, y: 8, w: 250, h: 40, media: 'sealer' },
        { type: 'sound', id: 'hear-3', label: 'Third', x: 650, y: 8, w: 250, h: 40, media: 'dryer' },
      ],
      key: [all('Dryer', 'Third sound'), all('Sieve', 'First sound'), all('Sealer', 'Second sound')],
      marks: { max: 3, rule: 'perZone' },
      tries: 2,
    }),
    make(13, 'Which seeds are these?', 'Put each seed under what is done with it.', {
      items: ['barley', 'poppy', 'acorn', 'chestnut'].map((id) =>
        item(id[0]?.toUpperCase() + id.slice(1), {
          size: { w: 120, h: 110 },
          content: { ...say(id[0]?.toUpperCase() + id.slice(1)), picture: id },
        }),
      ),
      zones: [
        zone('Dried and frozen', rect(40, 44, 420, 320), { look: 'cold' }),
        zone('Kept moist, sown soon', rect(500, 44, 420, 320)),
      ],
      looks: {
        cold: {
          of: 'zone',
          name: 'Cold',
          states: { rest: { edge: 'verdigris', text: 'ink' }, underItem: { fill: 'verdigrisWash' } },
        },
      },
      key: [all('Dried and frozen', 'Barley', 'Poppy'), all('Kept moist, sown soon', 'Acorn', 'Chestnut')],
      marks: { max: 4, rule: 'perPlacement', extraCosts: 1, misplacedCosts: 1 },
    }),
    make(14, 'Sachets on the rack', 'Each shelf takes only what is sealed that way. Put every sachet on its shelf.', {
      dress: { ground: { texture: 'weave', frame: 'corners' } },
      kind: 'free',
      fixtures: [picture('rack', 60, 20, 540, 330)],
      zones: [
        zone('Foil shelf', rect(100, 46, 460, 80), { family: 'foil', settle: { rule: 'row', gap: 14 }, label: 'Foil' }),
        zone('Paper shelf', rect(100, 150, 460, 80), {
          family: 'paper',
          settle: { rule: 'row', gap: 14 },
          label: 'Paper',
        }),
        zone('Outer', rect(640, 46, 280, 300), { label: 'Not on this rack' }),
      ],
      items: [
        item('Foil 01', { family: 'foil', size: { w: 110, h: 50 } }),
        item('Foil 02', { family: 'foil', size: { w: 110, h: 50 } }),
        item('Paper 01', { family: 'paper', size: { w: 110, h: 50 } }),
        item('Paper 02', { family: 'paper', size: { w: 110, h: 50 } }),
        item('Torn foil', { family: 'foil', size: { w: 110, h: 50 } }),
        item('Damp paper', { family: 'paper', size: { w: 110, h: 50 } }),
      ],
      key: [
        all('Foil shelf', 'Foil 01', 'Foil 02'),
        all('Paper shelf', 'Paper 01', 'Paper 02'),
        all('Outer', 'Torn foil', 'Damp paper'),
      ],
      marks: { max: 6, rule: 'perPlacement', extraCosts: 1, misplacedCosts: 1 },
    }),
    make(27, 'Clear the drawer', 'Put what lies in the drawer where it is kept. Twine may lie in either place.', {
      dress: { ground: { colour: 'paper', texture: 'wood', frame: 'line' }, letters: { face: 'hand', size: 17 } },
      scene: { width: 960, height: 500 },
      tray: null,
      fixtures: [
        {
          type: 'text',
          id: 'cleared',
          x: 40,
          y: 452,
          w: 540,
          h: 34,
          text: richFromPlain('The shelf is full: the rest goes into the box.'),
          when: { events: [{ on: 'holds', zone: 'shelf', count: 3 }], does: 'appears' },
        },
      ],
      zones: [
        zone('Drawer', rect(40, 44, 540, 190), { lid: { label: 'Drawer', startsOpen: false } }),
        zone('Shelf', rect(40, 264, 540, 180)),
        zone('Box', rect(620, 44, 300, 400)),
      ],
      items: ['Pencil', 'Sieve', 'Jar labels', 'Twine', 'Dish', 'Scissors', 'Stapler'].map((label, i) =>
        item(label, { home: { x: 50 + 140 * (i % 4), y: 60 + 60 * Math.floor(i / 4) }, size: { w: 120, h: 46 } }),
      ),
      start: {
        placements: ['Pencil', 'Sieve', 'Jar labels', 'Twine', 'Dish', 'Scissors', 'Stapler'].map((label) => ({
          item: slug(label),
          zone: 'drawer',
        })),
      },
      key: [all('Shelf', 'Sieve', 'Dish'), all('Box', 'Pencil', 'Stapler', 'Jar labels', 'Scissors')],
      either: [{ belongs: ['twine'], zones: ['shelf', 'box'], need: { rule: 'all' } }],
      pools: [{ items: ['pencil', 'stapler', 'jar-labels', 'scissors'], take: 3 }],
      marks: { max: 6, rule: 'perPlacement', misplacedCosts: 1 },
      feedback: { right: say('An empty drawer finds nobody looking.'), partly: null, wrong: null },
      show: { aids: ['readAloud'] },
    }),
    make(15, 'Faulty on purpose: look at Proof', 'A question with much in the way of it.', {
      tray: { side: 'bottom', size: 150, order: 'asListed' },
      zones: [
        zone('Dry', rect(40, 50, 150, 70)),
        zone('Moist', rect(120, 90, 300, 240)),
        zone('Frozen', rect(560, 60, 120, 200), { reach: { rule: 'inside' }, family: 'frozen' }),
        zone('Reject', rect(720, 60, 200, 200), { welcome: 'keyed' }),
      ],
      items: [
        item('Barley'),
        item('Poppy'),
        item('Onion'),
        item('Acorn', { home: { x: 900, y: 410 } }),
        { ...item('Oak'), label: 'Acorn' },
        item('Gravel that nobody wanted'),
        item('Minus twenty', { family: null }),
      ],
      key: [
        { zone: 'dry', belongs: ['barley', 'poppy', 'onion'], need: { rule: 'exactly', n: 4 } },
        all('Moist', 'Acorn'),
        all('Frozen', 'Minus twenty', 'Oak'),
        trap('Reject'),
      ],
      tries: null,
      looks: { pale: { of: 'item', name: 'Too pale', states: { rest: { text: 'rule' } } } },
      marks: { max: 3, rule: 'perZone' },
    }),
  ];
}
