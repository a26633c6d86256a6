import type { FixtureId, ItemId, ZoneId } from '../document/ids';
import { newItem, newQuestion, newZone } from '../document/make';
import { richFromPlain } from '../document/plain';
import type { Fixture, Kind, Question } from '../document/schema';
import { newEntry } from '../edit/keying';
import { needing, withFrame } from './count';
import { readListing } from './listing';
import { asSpots, missesCost } from './mark';
import { type FromText, propose } from './propose';

const LISTS: Readonly<Record<FromText, { readonly title: string; readonly prompt: string; readonly text: string }>> = {
  sort: {
    title: 'Example: two groups',
    prompt: 'Put each seed where it belongs.',
    text: 'Stands drying:\nBarley\nPoppy\nOnion\nMust stay moist:\nAcorn\nChestnut\nNone:\nGravel',
  },
  order: {
    title: 'Example: a sequence',
    prompt: 'Put the steps in order, the first at the top.',
    text: 'Weigh the lot\nDry it\nTest a sample\nSeal it\nFreeze it',
  },
  gaps: {
    title: 'Example: words into a text',
    prompt: 'Put the words back.',
    text: 'Seed is dried before it is sealed.\tdried\nA sample is tested for life.\ttested\nSachets are kept at minus twenty degrees.\tminus twenty',
  },
  pick: {
    title: 'Example: the right ones',
    prompt: 'Pick everything that stands drying.',
    text: 'Barley\tyes\nAcorn\tno\nPoppy\tyes\nChestnut\tno',
  },
  label: {
    title: 'Example: names to places',
    prompt: 'Put each name beside what it means.',
    text: 'First root of a seedling\tRadicle\nHalf of a bean\tCotyledon\nSkin of a seed\tTesta',
  },
};

/** A finished example of a kind, to be changed into one’s own. It needs no media. */
export function exampleOf(kind: Kind, id: string): Question {
  switch (kind) {
    case 'sort':
    case 'order':
    case 'gaps':
    case 'pick':
    case 'label': {
      const { title, prompt, text } = LISTS[kind];
      const proposed = propose({ ...newQuestion(id, title), prompt: richFromPlain(prompt) }, kind, readListing(text));
      if (!proposed.ok) throw new Error(proposed.message);
      return proposed.question;
    }
    case 'mark':
      return markExample(newQuestion(id, 'Example: every spot found'));
    case 'count':
      return countExample(newQuestion(id, 'Example: an amount'));
    case 'build':
      return buildExample(newQuestion(id, 'Example: pieces that meet'));
    case 'free':
      return freeExample(newQuestion(id, 'Example: by hand'));
  }
}

const drawn = (id: string, x: number, y: number, w: number, h: number, round: boolean): Fixture => ({
  type: 'shape',
  id: id as FixtureId,
  label: round ? 'A round seed' : 'A chip of wood',
  x,
  y,
  w,
  h,
  rotation: 0,
  front: false,
  when: null,
  shape: round ? { type: 'ellipse', cx: w / 2, cy: h / 2, rx: w / 2, ry: h / 2 } : { type: 'rect', x: 0, y: 0, w, h },
  fill: round ? 'brassWash' : 'rule',
  edge: 'ink',
  edgeWidth: 2,
});

function markExample(blank: Question): Question {
  const seeds = [
    [140, 90],
    [430, 220],
    [740, 120],
  ] as const;
  const chips = [
    [290, 110],
    [600, 250],
    [200, 270],
  ] as const;
  const spots = asSpots({
    ...blank,
    prompt: richFromPlain('Put a marker on every round seed.'),
    fixtures: [
      ...seeds.map(([x, y], i) => drawn(`seed-${i + 1}`, x, y, 70, 70, true)),
      ...chips.map(([x, y], i) => drawn(`chip-${i + 1}`, x, y, 80, 46, false)),
    ],
    items: [newItem({ id: 'marker' as ItemId, label: '×', size: { w: 40, h: 40 } })],
    zones: seeds.map(([x, y], i) =>
      newZone({
        id: `spot-${i + 1}` as ZoneId,
        label: '',
        shape: { type: 'ellipse', cx: x + 35, cy: y + 35, rx: 38, ry: 38 },
      }),
    ),
    marks: { ...blank.marks, max: 3 },
    tray: { side: 'bottom', size: 90, order: 'asListed' },
    scene: { width: 960, height: 450 },
  });
  const all = [...seeds, ...chips].map(([x, y]) => ({ x: x + 35, y: y + 30 })).sort((a, b) => a.x - b.x);
  return missesCost(
    {
      ...spots,
      afterMiss: 'leave',
      show: { ...spots.show, places: all.map((at, i) => ({ ...at, label: `Thing ${i + 1} from the left` })) },
    },
    true,
  );
}

function countExample(blank: Question): Question {
  const box = newZone({ id: 'box' as ZoneId, label: 'Box', shape: { type: 'rect', x: 60, y: 50, w: 560, h: 300 } });
  const sachet = newItem({ id: 'sachet' as ItemId, label: 'Sachet', size: { w: 110, h: 56 }, copies: 12 });
  const question: Question = {
    ...blank,
    kind: 'count',
    prompt: richFromPlain('Put exactly five sachets into the box.'),
    scene: { width: 960, height: 400 },
    tray: { side: 'right', size: 240, order: 'asListed' },
    items: [sachet],
    zones: [box],
    marks: { ...blank.marks, max: 1, rule: 'allOrNothing' },
  };
  return needing(question, box.id, { rule: 'exactly', n: 5 }, null, [sachet.id]);
}

function buildExample(blank: Question): Question {
  const framed = withFrame(
    {
      ...blank,
      kind: 'build',
      prompt: richFromPlain('Put the four quarters together, so that the circle closes.'),
      tray: { side: 'right', size: 260, order: 'shuffled' },
    },
    { rows: 2, columns: 2, x: 200, y: 90, cell: { w: 150, h: 150 }, gap: 0 },
  );
  const names = ['Upper left', 'Upper right', 'Lower left', 'Lower right'];
  const items = names.map((label, i) => newItem({ id: `quarter-${i + 1}` as ItemId, label, size: { w: 110, h: 60 } }));
  return {
    ...framed,
    scene: { width: 960, height: 460 },
    items,
    key: framed.zones.map(({ id }, i) =>
      newEntry(id, [`quarter-${i + 1}` as ItemId], { need: { rule: 'exactly' as const, n: 1 } }),
    ),
    marks: { ...framed.marks, max: 4 },
  };
}

function freeExample(blank: Question): Question {
  const zone = newZone({
    id: 'zone-1' as ZoneId,
    label: 'Here',
    shape: { type: 'rect', x: 300, y: 60, w: 360, h: 280 },
  });
  const items = ['This', 'Not this'].map((label, i) => newItem({ id: `item-${i + 1}` as ItemId, label }));
  return {
    ...blank,
    kind: 'free',
    prompt: richFromPlain('Move what belongs there into the zone.'),
    items,
    zones: [zone],
    key: [newEntry(zone.id, ['item-1' as ItemId])],
  };
}
