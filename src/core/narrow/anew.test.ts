import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { ITEM_SIZE } from '../document/appearance';
import type { Question } from '../document/schema';
import { outlineOf } from '../geometry/outline';
import { type Box, meet, middleOf } from '../geometry/space';
import { type Board, emptyBoard } from '../judge/board';
import { itemOf, questionModel } from '../judge/model';
import { putDown } from '../judge/placement';
import { respond } from '../judge/response';
import { restIn } from '../judge/rest';
import { sceneModel } from '../judge/sceneModel';
import { lettersIn } from '../looks/lettersIn';
import { FACE_ADVANCES } from '../proof/text/faces';
import { linesIn } from '../proof/text/lines';
import { textWidth } from '../proof/text/measure';
import { type Random, random, seedOf } from '../random/random';
import { learnerEdition } from '../sitting/learnerEdition';
import { type Anew, laidAnew, zoneAt } from './anew';
import { placesCarryMeaning } from './meaning';
import { FINGER, NARROW_SCALE, type WidthIn } from './sizes';

const widthIn: WidthIn = (text, { size, face }) =>
  textWidth(text, { size, advances: face ? FACE_ADVANCES[face] : undefined });

const WORDS = [
  'barley',
  'poppy',
  'acorn',
  'Tarn',
  'Hollow',
  'to',
  'a',
  'dry',
  'germination',
  'Saatgutaufbewahrung',
  '50 g',
  'keeps',
];
/** A question whose places carry no meaning, drawn from a seed. */
function drawn(seed: string): Question {
  const next: Random = random(seedOf(seed));
  const upTo = (n: number) => Math.floor(next() * (n + 1));
  const oneOf = <T>(...values: readonly T[]): T => values[upTo(values.length - 1)] as T;
  const words = (most: number) => Array.from({ length: 1 + upTo(most - 1) }, () => oneOf(...WORDS)).join(' ');
  const families = next() < 0.3 ? ['a', 'b', null] : [null];
  const settle = () =>
    oneOf<object>(
      { rule: 'row', gap: oneOf(4, 10, 24) },
      { rule: 'column', gap: 10 },
      { rule: 'grid', gap: 10 },
      { rule: 'anchor', at: oneOf('middle', 'topLeft', 'bottom'), gap: 6 },
      { rule: 'pile' },
    );
  const look = next() < 0.3 ? 'label' : null;
  return seeds({
    items: Array.from({ length: 1 + upTo(11) }, (_, i) => ({
      id: `i${i}`,
      label: next() < 0.1 ? '' : words(oneOf(1, 2, 7)),
      size: { w: oneOf(30, 90, 150), h: oneOf(24, 40) },
      family: oneOf(...families),
      copies: oneOf(1, 1, 2),
      look,
    })),
    looks: look
      ? { label: { of: 'item', name: 'Label', states: { right: { fontSize: oneOf(9, 22), face: 'joined' } } } }
      : {},
    zones: Array.from({ length: 1 + upTo(5) }, (_, z) => ({
      id: `z${z}`,
      label: words(oneOf(1, 5)),
      shape: { type: 'rect', x: 10 + (z % 3) * 316, y: 30 + Math.floor(z / 3) * 200, w: 300, h: 170 },
      settle: settle(),
      reach: oneOf({ rule: 'touch' }, { rule: 'centre' }, { rule: 'share', share: 0.5 }, { rule: 'pointer' }),
      capacity: oneOf(null, null, 1, 3),
      whenFull: oneOf('refuse', 'swap'),
      family: oneOf(...families, null),
    })),
    fixtures: [
      ...(next() < 0.5
        ? [{ id: 't', type: 'text', text: paragraph(words(30)), x: 10, y: 2, w: 500, h: 24, rotation: 0, label: '' }]
        : []),
    ],
    dress: next() < 0.3 ? { letters: { face: oneOf('hand', 'steady', null), size: oneOf(12, 15, 24) } } : null,
    tray: { side: 'bottom', size: 110, order: 'asListed' },
    key: [{ zone: 'z0', belongs: ['i0'], need: { rule: 'all' } }],
    tries: null,
  });
}
const paragraph = (text: string) => ({ blocks: [{ type: 'paragraph', runs: [{ text }] }] });

const ROOMS = [296, 366, 744];
const SEEDS = Array.from({ length: 500 }, (_, i) => `narrow ${i}`);
const edition = (question: Question, who = 'a learner') => learnerEdition(question, random(seedOf(who)));

/** A board on which some of everything lies somewhere. */
function filled(question: ReturnType<typeof edition>['question'], next: Random): Board {
  const model = sceneModel(question);
  const board = emptyBoard(model);
  for (const { id, copies } of question.items)
    for (let copy = 0; copy < (copies as number); copy++) {
      const zone = question.zones[Math.floor(next() * question.zones.length * 1.3)];
      if (zone) putDown(model, board, { item: id, copy, zone: zone.id }, null);
    }
  return board;
}

const laid = (question: ReturnType<typeof edition>['question'], board: Board, room: number): Anew => {
  const anew = laidAnew(question, board, room, widthIn);
  if (!anew) throw new Error('Its places carry meaning');
  return anew;
};

describe('a question laid out anew for a narrow page', () => {
  it('cuts no word, and nothing is smaller than a finger', () => {
    for (const seed of SEEDS) {
      const { question } = edition(drawn(seed));
      for (const room of ROOMS) {
        const anew = laid(question, filled(question, random(seedOf(seed))), room);
        for (const { label, size, look } of anew.question.items) {
          expect(Math.min(size.w, size.h), seed).toBeGreaterThanOrEqual(FINGER);
          for (const lettering of lettersIn(question, look, ITEM_SIZE)) {
            const grown = { ...lettering, size: Math.max(ITEM_SIZE, lettering.size) };
            const lines = linesIn(label, (text) => widthIn(text, grown), size.w - 11);
            expect(lines * grown.size * 1.15, `${seed} ${room} ${label}`).toBeLessThanOrEqual(size.h - 5.5);
          }
        }
      }
    }
  });

  it('keeps everything on the page and apart, and in each zone all that it holds', () => {
    for (const seed of SEEDS) {
      const { question } = edition(drawn(seed));
      for (const room of ROOMS) {
        const board = filled(question, random(seedOf(seed)));
        const anew = laid(question, board, room);
        const { scene, fixtures } = anew.question;
        expect(scene.width * NARROW_SCALE).toBeCloseTo(room);
        const boxes = [...anew.areas, ...fixtures.map(({ x, y, w, h }) => ({ x, y, w, h }))].flatMap(
          (box) => box ?? [],
        );
        boxes.forEach((box, i) => {
          expect(
            box.x >= 0 && box.y >= 0 && box.x + box.w <= scene.width + 1e-6 && box.y + box.h <= scene.height,
            seed,
          ).toBe(true);
          for (const other of boxes.slice(i + 1)) expect(meet(box, other), seed).toBe(false);
        });
        anew.model.zones.forEach(({ outline }, zone) => {
          const area = outline?.box;
          if (!area) return;
          for (const [copy, at] of restIn(anew.model, board, zone)) {
            const { w, h } = anew.model.items[itemOf(copy)] as Anew['model']['items'][number];
            expect(
              at.x >= area.x - 1e-6 &&
                at.y >= area.y - 1e-6 &&
                at.x + w <= area.x + area.w + 1e-6 &&
                at.y + h <= area.y + area.h + 1e-6,
              `${seed} ${room} zone ${zone} ${JSON.stringify({ settle: anew.model.zones[zone]?.settle, at, w, h, area })}`,
            ).toBe(true);
          }
        });
      }
    }
  });

  it('is answered by the same moves, to the same arrangement and mark, as the scene on a wide page', () => {
    let compared = 0;
    const some = SEEDS.slice(0, 120);
    for (const seed of some) {
      const question = drawn(seed);
      const { question: learner, names } = edition(question);
      const wide = sceneModel(learner);
      const next = random(seedOf(`${seed} answers`));
      const [here, there] = [emptyBoard(wide), emptyBoard(wide)];
      const [narrowMoves, wideMoves]: [object[], object[]] = [[], []];
      for (let turn = 0; turn < 8; turn++) {
        const item = Math.floor(next() * learner.items.length);
        const zone = Math.floor(next() * learner.zones.length);
        const { id, family } = learner.items[item] as (typeof learner.items)[number];
        const page = laid(learner, here, 296);
        const at = middleOf(page.areas[zone] as NonNullable<Anew['areas'][number]>);
        const into = zoneAt(page, at, family);
        const put = { item: id, copy: 0, zone: into === null ? null : (learner.zones[into]?.id ?? null) };
        putDown(wide, here, put, null);
        narrowMoves.push({ item: names.itemId.get(id), copy: 0, zone: put.zone && names.zoneId.get(put.zone) });
        const { shape } = learner.zones[zone] as (typeof learner.zones)[number];
        const middle = middleOf(outlineOf(shape, 0)?.box as Box);
        const { w, h } = wide.items[item] as (typeof wide.items)[number];
        const drop = { item: id, copy: 0, x: middle.x - w / 2, y: middle.y - h / 2, px: middle.x, py: middle.y };
        putDown(wide, there, drop, null);
        wideMoves.push({ ...drop, item: names.itemId.get(id) });
        expect(here.zones, seed).toEqual(there.zones);
      }
      const judge = (drops: object[]) => {
        const answer = respond(questionModel(question), { drops });
        if (!answer.ok) throw new Error(answer.fault);
        return { mark: answer.judged.mark, zones: answer.board.zones, turnedAway: answer.turnedAway };
      };
      expect(judge(narrowMoves), seed).toEqual(judge(wideMoves));
      compared++;
    }
    expect(compared).toBe(some.length);
  });

  it('keeps its zones in the order in which they are read', () => {
    const box = (id: string, x: number, y: number) => ({
      ...{ id, label: id, settle: { rule: 'grid', gap: 8 } },
      shape: { type: 'rect', x, y, w: 200, h: 150 },
    });
    const { question } = edition(
      seeds({ zones: [box('moist', 400, 40), box('cold', 40, 300), box('dry', 40, 60)], key: [] }),
    );
    const { areas } = laid(question, emptyBoard(sceneModel(question)), 296);
    const order = question.zones.map(({ label }, i) => ({ label, y: areas[i]?.y ?? 0 })).toSorted((a, b) => a.y - b.y);
    expect(order.map(({ label }) => label)).toEqual(['dry', 'moist', 'cold']);
  });

  it('grows a zone with what it holds', () => {
    const zone = {
      id: 'dry',
      label: 'Dry',
      shape: { type: 'rect', x: 40, y: 40, w: 300, h: 200 },
      settle: { rule: 'column', gap: 8 },
    };
    const { question } = edition(seeds({ zones: [zone], key: [] }));
    const model = sceneModel(question);
    const board = emptyBoard(model);
    const heights = question.items.map(({ id }) => {
      putDown(model, board, { item: id, zone: question.zones[0]?.id ?? '' }, null);
      return laid(question, board, 296).areas[0]?.h ?? 0;
    });
    expect(heights).toEqual(heights.toSorted((a, b) => a - b));
    expect(new Set(heights).size).toBeGreaterThan(2);
  });
});

describe('places carry meaning', () => {
  const grid = { rule: 'grid', gap: 8 };
  const zone = (id: string, x: number, more: object = {}) => ({
    ...{ id, label: id, shape: { type: 'rect', x, y: 40, w: 400, h: 300 }, settle: grid },
    ...more,
  });
  const two = [zone('dry', 40), zone('moist', 500)];
  const picture = { id: 'p', type: 'picture', media: 'bench', y: 40, w: 200, h: 200, rotation: 0, label: '' };
  const line = (x: number, y: number, w: number, h: number) => ({
    ...{ id: 'l', type: 'shape', x, y, w, h, rotation: 0, label: '', fill: null, edge: 'ink', edgeWidth: 2 },
    shape: { type: 'rect', x: 0, y: 0, w, h },
  });
  const media = { bench: { kind: 'picture', hash: 'a'.repeat(64), weight: 10, decorative: true } };
  it.each<[string, Record<string, unknown>, boolean]>([
    ['not in boxes that lie apart', {}, false],
    ['where one has no name', { zones: [zone('dry', 40), zone('moist', 500, { label: '' })] }, true],
    ['not where the only one has no name', { zones: [zone('dry', 40, { label: '' })] }, false],
    ['where they overlap', { zones: [zone('dry', 40), zone('moist', 300)] }, true],
    ['where items lie as dropped', { zones: [zone('dry', 40, { settle: { rule: 'asDropped' } })] }, true],
    ['where an item has to be inside', { zones: [zone('dry', 40, { reach: { rule: 'inside' } })] }, true],
    ['where one is turned', { zones: [zone('dry', 40, { rotation: 10 })] }, true],
    ['on a floor', { zones: [zone('dry', 40, { floor: true })] }, true],
    ['on a picture', { fixtures: [{ ...picture, x: 100 }], media }, true],
    ['not beside a picture', { zones: [zone('dry', 500)], fixtures: [{ ...picture, x: 100 }], media }, false],
    ['where a line leads to one', { fixtures: [line(430, 200, 60, 2)] }, true],
    ['not within a frame', { fixtures: [line(30, 30, 900, 330)] }, false],
    ['where items may lie loose', { items: [{ id: 'jar', goesHome: false, size: { w: 40, h: 40 } }] }, true],
    [
      'where items wait on a picture',
      {
        items: [{ id: 'jar', size: { w: 40, h: 40 }, home: { x: 60, y: 400 } }],
        fixtures: [{ ...picture, x: 20, y: 360, h: 100 }],
        media,
      },
      true,
    ],
  ])('%s', (_, changes, expected) => {
    const items = [{ id: 'jar', size: { w: 40, h: 40 } }];
    const question = seeds({ items, zones: two, key: [], ...changes });
    expect(placesCarryMeaning(question)).toBe(expected);
    expect(placesCarryMeaning(edition(question).question)).toBe(expected);
  });
});
