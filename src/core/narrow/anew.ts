import type { Fixture, Settle } from '../document/schema';
import { boxOfShape } from '../geometry/riding';
import { type Extent, settleBoxes } from '../geometry/settle';
import type { Box, Point } from '../geometry/space';
import type { Board } from '../judge/board';
import { itemOf } from '../judge/copy';
import { type SceneModel, sceneModel } from '../judge/sceneModel';
import type { LearnerItem, LearnerQuestion, LearnerZone } from '../sitting/learnerEdition';
import { placesCarryMeaning } from './meaning';
import { FINGER, itemSize, NARROW_SCALE, textHeight, titleHeight, titleWidth, type WidthIn } from './sizes';

/** A question laid out anew for a narrow page: what is drawn, and where things come to rest there. */
export interface Anew {
  /** The question as it is drawn: its scene, zones, items and fixtures have other places and sizes. */
  readonly question: LearnerQuestion;
  readonly model: SceneModel;
  /** Where each zone takes what is put down: its box and its title. Null: it stands nowhere. */
  readonly areas: readonly (Box | null)[];
}

const MARGIN = 11;
const BETWEEN = 14;
const GAPS = { least: 8, most: 11 };
/** A zone that is one of several in a row is at least as wide as this, where there is room for more than one. */
const COMFORTABLE = 210;
const LEAST_COLUMN = 120;
const MOST_COLUMNS = 4;
/** Of more zones, two stand in a row on the narrowest page too, where they have room. */
const MANY_ZONES = 3;
/** The step from one item of a pile to the next grows by this (geometry/settle/pile.ts). */
const PILE_STEP = 7;
/** Of more items in a pile, the outermost may stick out. */
const MOST_SPREAD = 24;
const ENDLESS = 1e6;

/**
 * Lays a question out for a page so many CSS pixels wide: texts and pictures, zones one under another or beside one
 * another where they have room, each as high as what it holds and one more; items as large as their words need. What
 * waits is not placed: the page has a tray of its own. `leastZone`: a zone beside others is at least so wide, in scene
 * units. Null: the places carry meaning, so the scene stays as it is.
 */
export function laidAnew(
  question: LearnerQuestion,
  board: Board,
  room: number,
  widthIn: WidthIn,
  leastZone = COMFORTABLE,
): Anew | null {
  if (placesCarryMeaning(question)) return null;
  const width = room / NARROW_SCALE;
  const inner = width - 2 * MARGIN;
  const reading = inReadingOrder(question.zones);
  const gapOf = ({ settle }: LearnerZone) => ('gap' in settle ? clamp(settle.gap, GAPS.least, GAPS.most) : GAPS.least);
  const most = inner - 2 * GAPS.most - 2 * spreadOf(question);
  const sizes = question.items.map((item) => itemSize(question, item, item.stays ? inner : most, widthIn));
  const columns = columnsFor(question, sizes, { inner, leastZone }, widthIn);
  const column = (inner - (columns - 1) * BETWEEN) / columns;

  const [above, below] = split(question);
  const fixtures = new Map<string, Box>();
  let y = MARGIN;
  const stack = (fixture: Fixture) => {
    const box = fixtureBox(question, fixture, inner, widthIn);
    fixtures.set(fixture.id, { x: MARGIN + (inner - box.w) / 2, y, w: box.w, h: box.h });
    y += box.h + BETWEEN;
  };
  above.forEach(stack);

  const boxes: (Box | null)[] = question.zones.map(() => null);
  const areas: (Box | null)[] = question.zones.map(() => null);
  for (let from = 0; from < reading.length; from += columns) {
    const row = reading.slice(from, from + columns);
    const zones = row.map((index) => question.zones[index] as LearnerZone);
    const title = Math.max(...zones.map((zone) => titleHeight(question, zone, column, widthIn)));
    const high = Math.max(
      ...row.map((index) => zoneHeight(question, sizes, board.zones[index] ?? [], index, column, gapOf)),
    );
    row.forEach((index, at) => {
      const x = MARGIN + at * (column + BETWEEN);
      boxes[index] = { x, y: y + title, w: column, h: high };
      areas[index] = { x, y, w: column, h: title + high };
    });
    y += title + high + BETWEEN;
  }
  below.forEach(stack);
  const homes: Point[] = question.items.map(({ stays }, index) => {
    if (!stays) return { x: 0, y: 0 };
    const home = { x: MARGIN, y };
    y += (sizes[index] as Extent).h + GAPS.least;
    return home;
  });

  const drawn: LearnerQuestion = {
    ...question,
    scene: { width, height: Math.ceil(y - BETWEEN + MARGIN) },
    tray: null,
    fixtures: question.fixtures.flatMap((fixture) => {
      const box = fixtures.get(fixture.id);
      return box ? [{ ...fixture, ...box, rotation: 0 }] : [];
    }),
    items: question.items.map(
      (item, i): LearnerItem => ({ ...item, size: sizes[i] as Extent, home: homes[i] as Point }),
    ),
    zones: question.zones.map((zone, i): LearnerZone => {
      const box = boxes[i];
      return box
        ? {
            ...zone,
            shape: { type: 'rect', ...box },
            settle: settleAnew(zone.settle, gapOf(zone)),
            reach: { rule: 'centre' },
          }
        : zone;
    }),
  };
  return { question: drawn, model: sceneModel(drawn, homes), areas };
}

/** The zone at a point of the page so laid out, that could take something of a family. */
export function zoneAt({ areas, model }: Anew, { x, y }: Point, family: string | null): number | null {
  const at = areas.findIndex(
    (area, i) =>
      area !== null &&
      (model.zones[i]?.family == null || model.zones[i]?.family === family) &&
      x >= area.x &&
      x <= area.x + area.w &&
      y >= area.y &&
      y <= area.y + area.h,
  );
  return at < 0 ? null : at;
}

const clamp = (value: number, least: number, most: number) => Math.max(least, Math.min(most, value));

const settleAnew = (settle: Settle, gap: number): Settle => ('gap' in settle ? { ...settle, gap } : settle);

/** The zones that stand on the scene as they are read: those that overlap in height are one line. */
function inReadingOrder(zones: readonly LearnerZone[]): number[] {
  const laid = zones.flatMap(({ shape }, index) => {
    const box = shape.type === 'slot' ? null : boxOfShape(shape);
    return box ? [{ index, box }] : [];
  });
  const lines: (typeof laid)[] = [];
  for (const one of laid.toSorted((a, b) => a.box.y - b.box.y)) {
    const line = lines.at(-1);
    const first = line?.[0];
    if (line && first && one.box.y + one.box.h / 2 < first.box.y + first.box.h) line.push(one);
    else lines.push([one]);
  }
  return lines.flatMap((line) => line.toSorted((a, b) => a.box.x - b.box.x).map(({ index }) => index));
}

/** How many zones stand beside one another. */
function columnsFor(
  question: LearnerQuestion,
  sizes: readonly Extent[],
  { inner, leastZone }: { readonly inner: number; readonly leastZone: number },
  widthIn: WidthIn,
): number {
  const laid = question.zones.filter(({ shape }) => shape.type !== 'slot');
  const widest = Math.max(
    LEAST_COLUMN,
    ...laid.map((zone) => titleWidth(question, zone, widthIn)),
    ...sizes.flatMap(({ w }, i) => (question.items[i]?.stays ? [] : [w + 2 * GAPS.most + 2 * spreadOf(question)])),
  );
  const room = (least: number) => Math.max(1, Math.floor((inner + BETWEEN) / (least + BETWEEN)));
  const comfortable = room(Math.max(leastZone, widest));
  const columns = laid.length > MANY_ZONES ? Math.max(comfortable, Math.min(2, room(widest))) : comfortable;
  return Math.max(1, Math.min(columns, laid.length, MOST_COLUMNS));
}

/** How far items of a pile lie from its middle, where there is one. */
function spreadOf({ items, zones }: LearnerQuestion): number {
  const copies = items.reduce((sum, { copies }) => sum + (copies === 'endless' ? MOST_SPREAD : copies), 0);
  return zones.some(({ settle }) => settle.rule === 'pile') ? PILE_STEP * Math.sqrt(Math.min(copies, MOST_SPREAD)) : 0;
}

/** As high as what it holds and one more that may come. */
function zoneHeight(
  { items, zones }: LearnerQuestion,
  sizes: readonly Extent[],
  held: Board['zones'][number],
  index: number,
  width: number,
  gapOf: (zone: LearnerZone) => number,
): number {
  const zone = zones[index] as LearnerZone;
  const gap = gapOf(zone);
  if (zone.typed || zone.menu) return FINGER + 2 * gap;
  const taken = items.flatMap(({ family, stays }, i) =>
    !stays && (zone.family === null || zone.family === family) ? [sizes[i] as Extent] : [],
  );
  const largest = taken.reduce((most, { w, h }) => ({ w: Math.max(most.w, w), h: Math.max(most.h, h) }), {
    w: FINGER,
    h: FINGER,
  });
  const inside = held.map((copy) => sizes[itemOf(copy)] as Extent);
  const boxes = inside.length < (zone.capacity ?? Infinity) ? [...inside, largest] : inside;
  return Math.ceil(Math.max(largest.h + 2 * gap, heightFor(settleAnew(zone.settle, gap), width, boxes)));
}

/** How high a zone of a width has to be to hold boxes by a settle rule. */
export function heightFor(settle: Settle, width: number, boxes: readonly Extent[]): number {
  const tallest = Math.max(0, ...boxes.map(({ h }) => h));
  switch (settle.rule) {
    case 'row':
    case 'column':
    case 'grid': {
      const zone = { x: 0, y: 0, w: width, h: ENDLESS };
      const places = settleBoxes(
        settle,
        zone,
        boxes,
        boxes.map(() => null),
      );
      return Math.max(0, ...places.map(({ y }, i) => y + (boxes[i] as Extent).h)) + settle.gap;
    }
    case 'anchor':
      return tallest + 2 * settle.gap;
    case 'pile':
    case 'asDropped':
      return tallest + 2 * PILE_STEP * Math.sqrt(boxes.length);
  }
}

/** Texts, pictures, sounds and films: those that begin above the last zone ends, and those beneath. Shapes adorn. */
function split({ fixtures, zones }: LearnerQuestion): [Fixture[], Fixture[]] {
  const ends = zones
    .flatMap(({ shape }) => (shape.type === 'slot' ? [] : [boxOfShape(shape)]))
    .map((box) => (box ? box.y + box.h : 0));
  const lowest = Math.max(0, ...ends);
  const shown = fixtures
    .filter((fixture) => fixture.type !== 'shape' || fixture.when)
    .toSorted((a, b) => a.y - b.y || a.x - b.x);
  return [
    shown.filter(({ y, h }) => y + h / 2 < lowest || ends.length === 0),
    shown.filter(({ y, h }) => !(y + h / 2 < lowest || ends.length === 0)),
  ];
}

function fixtureBox(question: LearnerQuestion, fixture: Fixture, inner: number, widthIn: WidthIn): Extent {
  if (fixture.type === 'text') return { w: inner, h: textHeight(question, fixture, inner, widthIn) };
  if (fixture.type === 'sound') return { w: Math.min(inner, Math.max(fixture.w, 280)), h: Math.max(FINGER, fixture.h) };
  const factor = Math.min(1, inner / fixture.w);
  return { w: fixture.w * factor, h: fixture.h * factor };
}
