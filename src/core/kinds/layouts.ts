import type { Fixture, Item, Question, Tray, Zone } from '../document/schema';
import { rectOutline } from '../geometry/outline';
import type { Extent } from '../geometry/settle';
import type { Box } from '../geometry/space';
import { questionModel } from '../judge/model';
import { widthForTitle } from '../proof/text/labels';
import { servesTypedOnly } from '../sitting/learnerEdition';

/** Ways to lay a question out: where its zones stand, and where its tray is. */
export const LAYOUTS = ['trayBelow', 'trayLeft', 'twoColumns', 'threeColumns', 'rows', 'ring', 'stair'] as const;
export type Layout = (typeof LAYOUTS)[number];

const WIDTH = 960;
const MIN_HEIGHT = 420;
const MARGIN = 28;
/** Between zones; above each stands half of its title. */
const BETWEEN = 22;
const TITLE = 14;
const MIN_ZONE = { w: 150, h: 96 };
/** The gap of a tray is the grid's own where none is given. */
const TRAY_GAP = 8;
const MIN_TRAY = 84;
const TEXT_GAP = 12;

/** Zones that stand on the scene by themselves, in view. */
export const isLaid = ({ shape, ridesOn, hidden }: Zone): boolean =>
  shape.type !== 'slot' && ridesOn === null && !hidden;

/**
 * Lays zones and tray out anew. Every zone is as large as what the neediest needs (so that no size tells), wide enough
 * for its title, and holds it by its settle rule; the tray holds all items; nothing overlaps. Items, key and rules stay
 * as they are; texts stand above, pictures in the middle of a ring or above.
 */
export function laidOut(question: Question, layout: Layout): Question {
  const zones = question.zones.filter(isLaid);
  const cell = largest(question);
  const need = mostNeeded(question);
  const gap = Math.max(14, ...zones.map(({ settle }) => ('gap' in settle ? settle.gap : 0)));
  const title = Math.max(0, ...zones.map(({ label, look }) => Math.ceil(widthForTitle(question, label, look))));
  const least = Math.max(MIN_ZONE.w, cell.w + 2 * gap, title);
  const sizeIn = (w: number): Extent => {
    const columns = Math.max(1, Math.floor((w - gap) / (cell.w + gap)));
    return { w, h: Math.max(MIN_ZONE.h, Math.ceil(need / columns) * (cell.h + gap) + gap) };
  };
  const lying = question.items.filter((item) => waits(question, item)).length;
  const side = layout === 'trayLeft' && lying > 0 ? sideTray(lying, cell) : 0;
  const above = heightAbove(question, layout);
  const room = { x: side + MARGIN, y: above + MARGIN + TITLE, w: WIDTH - side - 2 * MARGIN };
  const boxes =
    layout === 'ring'
      ? ring(zones.length, sizeIn(least), room, middleOf(question))
      : layout === 'stair'
        ? stair(zones.length, sizeIn(least), room)
        : columns(zones.length, layout, least, sizeIn, room);
  const right = Math.max(WIDTH - MARGIN, ...boxes.map(({ x, w }) => x + w));
  const below = boxes.length > 0 ? Math.max(...boxes.map(({ y, h }) => y + h)) + MARGIN : above + MARGIN;
  const width = right + MARGIN;
  const staying = stayingBelow(question, width, below);
  const floor = boxes.length > 0 ? Math.max(staying.below, MIN_HEIGHT - MIN_TRAY) : staying.below;
  const tray: Tray | null =
    lying === 0
      ? null
      : side > 0
        ? { side: 'left', size: side, order: order(question) }
        : { side: 'bottom', size: bandFor(lying, cell, width), order: order(question) };
  const height =
    tray?.side === 'bottom'
      ? floor + tray.size
      : Math.max(floor, side > 0 ? rowsIn(lying, side, cell) * (cell.h + TRAY_GAP) + TRAY_GAP : 0);
  let next = 0;
  return {
    ...question,
    scene: { width: Math.ceil(width), height: Math.ceil(height) },
    tray,
    zones: question.zones.map((zone): Zone => {
      if (!isLaid(zone)) return zone;
      const box = boxes[next++] as Box;
      const settle: Zone['settle'] =
        'gap' in zone.settle ? { ...zone.settle, gap: Math.max(14, zone.settle.gap) } : zone.settle;
      return {
        ...zone,
        rotation: 0,
        settle,
        shape: { type: 'rect', x: Math.round(box.x), y: Math.round(box.y), w: Math.floor(box.w), h: Math.ceil(box.h) },
      };
    }),
    items: question.items.map((item) => ({ ...item, home: item.stays ? (staying.at.get(item.id) ?? null) : null })),
    fixtures: fixturesPlaced(question, layout, width, boxes),
  };
}

/**
 * Does an item wait in the tray? Not what is picked in its place, nor what stands in menus or for what is typed alone.
 */
function waits({ items, zones, key, either }: Question, { id, stays, family }: Item): boolean {
  if (stays) return false;
  const open = zones.filter(
    ({ typed, menu, shape, family: takes }) =>
      !typed && !(menu && shape.type === 'slot') && (takes === null || takes === family),
  );
  if (open.length > 0) return !servesTypedOnly({ items, zones, key, either }).has(id);
  return zones.every(({ typed, menu }) => !typed && !menu);
}

const order = ({ tray }: Question): Tray['order'] => tray?.order ?? 'shuffled';

function largest({ items }: Question): Extent {
  const boxes = items.map(({ size, rotation }) => rectOutline({ x: 0, y: 0, ...size }, rotation).box);
  return {
    w: Math.ceil(Math.max(1, ...boxes.map(({ w }) => w))),
    h: Math.ceil(Math.max(1, ...boxes.map(({ h }) => h))),
  };
}

function mostNeeded(question: Question): number {
  const { entries } = questionModel(question);
  return Math.max(1, ...entries.map(({ lo }) => lo).filter(Number.isFinite));
}

type Room = { readonly x: number; readonly y: number; readonly w: number };

function columns(n: number, layout: Layout, least: number, sizeIn: (w: number) => Extent, room: Room): Box[] {
  const wanted =
    layout === 'rows'
      ? 1
      : layout === 'twoColumns'
        ? 2
        : layout === 'threeColumns'
          ? 3
          : layout === 'trayLeft'
            ? n > 3
              ? 2
              : 1
            : Math.min(n, n > 8 ? 4 : n > 4 ? 3 : 4);
  const across = Math.max(1, Math.min(n, wanted));
  const w = Math.max(least, (room.w - (across - 1) * BETWEEN) / across);
  // Where there is room they take it, all alike.
  const rows = Math.ceil(n / across);
  const h = Math.max(
    sizeIn(w).h,
    Math.floor((MIN_HEIGHT - MIN_TRAY - MARGIN - room.y - (rows - 1) * (BETWEEN + TITLE)) / rows),
  );
  return Array.from({ length: n }, (_, i) => ({
    x: room.x + (i % across) * (w + BETWEEN),
    y: room.y + Math.floor(i / across) * (h + BETWEEN + TITLE),
    w,
    h,
  }));
}

/** One lower and further on than the other. */
function stair(n: number, { w, h }: Extent, room: Room): Box[] {
  const step = n > 1 ? Math.max(0, (room.w - w) / (n - 1)) : 0;
  return Array.from({ length: n }, (_, i) => ({ x: room.x + i * step, y: room.y + i * (h + BETWEEN + TITLE), w, h }));
}

const WIDEN = 1.06;

/** Around a middle that stays free, each at the same turn from the next, from the top on. */
function ring(n: number, { w, h }: Extent, room: Room, middle: Extent): Box[] {
  let [rx, ry] = [(w + middle.w) / 2 + BETWEEN, (h + middle.h) / 2 + BETWEEN + TITLE];
  for (;;) {
    const boxes = Array.from({ length: n }, (_, i): Box => {
      const turn = (i / n) * 2 * Math.PI - Math.PI / 2;
      return { x: rx * Math.cos(turn) - w / 2, y: ry * Math.sin(turn) - h / 2, w, h };
    });
    const free = { x: -middle.w / 2, y: -middle.h / 2, ...middle };
    if (boxes.every((box, i) => !near(box, free) && boxes.slice(i + 1).every((other) => !near(box, other)))) {
      const left = Math.min(0, ...boxes.map(({ x }) => x));
      const wide = Math.max(0, ...boxes.map((box) => box.x + box.w)) - left;
      const top = Math.min(0, ...boxes.map(({ y }) => y));
      const from = room.x + Math.max(0, (room.w - wide) / 2);
      return boxes.map((box) => ({ ...box, x: box.x - left + from, y: box.y - top + room.y }));
    }
    rx *= WIDEN;
    ry *= WIDEN;
  }
}

const near = (a: Box, b: Box) =>
  a.x < b.x + b.w + BETWEEN &&
  b.x < a.x + a.w + BETWEEN &&
  a.y < b.y + b.h + BETWEEN + TITLE &&
  b.y < a.y + a.h + BETWEEN + TITLE;

const perRow = (room: number, cell: Extent) => Math.max(1, Math.floor((room - TRAY_GAP) / (cell.w + TRAY_GAP)));
const rowsIn = (n: number, room: number, cell: Extent) => Math.ceil(n / perRow(room, cell));
/** The height of a tray below that holds so many. */
export const bandFor = (n: number, cell: Extent, width: number) =>
  Math.max(MIN_TRAY, rowsIn(n, width, cell) * (cell.h + TRAY_GAP) + TRAY_GAP);
const MAX_BESIDE = 9;
const sideTray = (n: number, cell: Extent) => Math.ceil(n / MAX_BESIDE) * (cell.w + TRAY_GAP) + TRAY_GAP;

const isText = (fixture: Fixture) => fixture.type === 'text';
const isPicture = (fixture: Fixture) => fixture.type === 'picture' || fixture.type === 'film';

function heightAbove({ fixtures }: Question, layout: Layout): number {
  const stacked = fixtures.filter(
    (fixture) => isText(fixture) || fixture.type === 'sound' || (layout !== 'ring' && isPicture(fixture)),
  );
  return stacked.reduce((sum, { h }) => sum + h + TEXT_GAP, 0);
}

function middleOf({ fixtures }: Question): Extent {
  const inside = fixtures.filter(isPicture);
  return { w: Math.max(0, ...inside.map(({ w }) => w)), h: inside.reduce((sum, { h }) => sum + h + TEXT_GAP, 0) };
}

/** Texts above one another at the top, pictures under them or in the middle of a ring; shapes stay where they are. */
function fixturesPlaced(question: Question, layout: Layout, width: number, boxes: readonly Box[]): Fixture[] {
  let y = TEXT_GAP;
  const across =
    boxes.length > 0
      ? { from: Math.min(...boxes.map(({ x }) => x)), to: Math.max(...boxes.map(({ x, w }) => x + w)) }
      : { from: 0, to: width };
  const down =
    boxes.length > 0
      ? { from: Math.min(...boxes.map((box) => box.y)), to: Math.max(...boxes.map((box) => box.y + box.h)) }
      : { from: 0, to: 0 };
  let inRing = (down.from + down.to - middleOf(question).h) / 2;
  return question.fixtures.map((fixture) => {
    if (fixture.type === 'shape') return fixture;
    if (layout === 'ring' && isPicture(fixture)) {
      const at = { ...fixture, x: Math.round((across.from + across.to - fixture.w) / 2), y: Math.round(inRing) };
      inRing += fixture.h + TEXT_GAP;
      return at;
    }
    const w = isText(fixture) ? width - 2 * MARGIN : Math.min(fixture.w, width - 2 * MARGIN);
    const at = { ...fixture, w, x: isText(fixture) ? MARGIN : Math.round((width - w) / 2), y };
    y += fixture.h + TEXT_GAP;
    return at;
  });
}

/** What is picked in its place stands in rows under everything else. */
function stayingBelow(
  { items }: Question,
  width: number,
  from: number,
): { readonly at: Map<string, { x: number; y: number }>; readonly below: number } {
  const staying = items.filter(({ stays }) => stays);
  const at = new Map<string, { x: number; y: number }>();
  if (staying.length === 0) return { at, below: from };
  const cell = { w: Math.max(...staying.map(({ size }) => size.w)), h: Math.max(...staying.map(({ size }) => size.h)) };
  const across = Math.max(
    1,
    Math.min(staying.length > 4 ? 2 : 1, Math.floor((width - 2 * MARGIN + BETWEEN) / (cell.w + BETWEEN))),
  );
  const left = Math.round((width - across * (cell.w + BETWEEN) + BETWEEN) / 2);
  for (const [i, item] of staying.entries())
    at.set(item.id, {
      x: left + (i % across) * (cell.w + BETWEEN),
      y: from + Math.floor(i / across) * (cell.h + TEXT_GAP),
    });
  return { at, below: from + Math.ceil(staying.length / across) * (cell.h + TEXT_GAP) + MARGIN };
}
