import {
  type Anew,
  type Board,
  type Box,
  copyOf,
  emptyBoard,
  ITEM_SIZE,
  type LearnerQuestion,
  laidAnew,
  meet,
  NARROW_SCALE,
  outlineOf,
  type SceneModel,
  sceneModel,
  trayBox,
  type WidthIn,
  wordsFit,
} from '../../core';
import type { FillScene, PageScene } from '../player/scene/usePageScene';

/** What a class reads from the back of a room, and what is pressed there, in CSS pixels. */
const CLASS_READS = 24;
const CLASS_PRESSES = 44;
/** A scene of ordinary size on the largest class board. */
const LARGEST_SCALE = 4;
/** Of the room at most, for a tray beneath the scene. */
const DOCK_SHARE = 0.42;
/** Between items in it, and around them, in CSS pixels. */
export const DOCK_GAP = 14;
const STEP = 0.05;

interface Room {
  readonly width: number;
  readonly height: number;
  readonly widthIn: WidthIn;
}

/** How a question is shown for as long as it is played, whatever lies where. */
interface Plan {
  readonly inPlace: PageScene;
  /** The scale of the scene laid out anew; null: it stays as it is. */
  readonly anewScale: number | null;
  /** The height of a tray beneath the scene, in CSS pixels. */
  readonly dock: number;
}

/**
 * How a scene fills a room: a class's board. It is whole if its words can be read from afar; else the tray stands
 * beneath it, and items and words grow as far as the zones have room for them. Where that is too little, as on one half
 * of a small board, the scene is laid out anew, if its places carry no meaning.
 */
export const fillScene: FillScene = (question, model, board, room) => {
  const { inPlace, anewScale } = planFor(question, model, room);
  const anew = anewScale === null ? null : layAnew(question, board, anewScale, room);
  if (!anew || anewScale === null) return inPlace;
  const { scene } = anew.question;
  return {
    ...{ way: 'anew', scale: anewScale, anew, zoom: null, question: anew.question, model: anew.model },
    crop: { x: 0, y: 0, w: scene.width, h: scene.height },
  };
};

/**
 * The height of a tray beneath the scene, in CSS pixels: the rows its items need. It stays when the tray empties, so
 * that nothing moves under a hand.
 */
export const dockHeight = (question: LearnerQuestion, model: SceneModel, room: Room): number =>
  planFor(question, model, room).dock;

const latest = new WeakMap<LearnerQuestion, { readonly room: Room; readonly plan: Plan }>();

/** The plan of a question in a room: worked out once, since each move asks for it. */
function planFor(question: LearnerQuestion, model: SceneModel, room: Room): Plan {
  const known = latest.get(question);
  if (known && (['width', 'height', 'widthIn'] as const).every((field) => known.room[field] === room[field]))
    return known.plan;
  const plan = planOf(question, model, room);
  latest.set(question, { room, plan });
  return plan;
}

function planOf(question: LearnerQuestion, model: SceneModel, room: Room): Plan {
  const by = Math.max(CLASS_READS / (question.dress?.letters?.size ?? ITEM_SIZE), CLASS_PRESSES / leastSide(question));
  const dock = rowsHeight(question, by, room);
  const inPlace = withLargerLetters(inItsPlaces(question, model, room, dock), room.widthIn);
  const letters = (inPlace.question.dress?.letters?.size ?? ITEM_SIZE) * inPlace.scale;
  const asItIs = { inPlace, anewScale: null, dock };
  if (inPlace.way === 'flows' || letters >= CLASS_READS - ROUNDED) return asItIs;
  // The same size for as long as it is played: it has to have room for everything.
  const full = fullest(question, emptyBoard(model));
  for (const size of SMALLER) {
    const scale = size / ITEM_SIZE;
    const laid = size > letters ? layAnew(question, full, scale, room) : null;
    if (!laid) return asItIs;
    const own = rowsHeight(laid.question, scale, room);
    if (laid.question.scene.height * scale + own <= room.height) return { inPlace, anewScale: scale, dock: own };
  }
  return asItIs;
}

/** What steps of growing leave off, in CSS pixels. */
const ROUNDED = 0.5;
/** Sizes of words to try, in CSS pixels. */
const SMALLER = [CLASS_READS, 22, 20, 18, 16] as const;
/** In a room that is low, zones stand beside one another rather than one under another: scene units. */
const MIN_ZONE = 120;

const layAnew = (question: LearnerQuestion, board: Board, scale: number, room: Room): Anew | null =>
  laidAnew(question, board, (room.width / scale) * NARROW_SCALE, room.widthIn, MIN_ZONE);

/** The rows that all items of a question need beside one another at a scale, in CSS pixels. */
function rowsHeight({ items }: LearnerQuestion, scale: number, room: Room): number {
  const sizes = items.map(({ size }) => ({ w: size.w * scale + DOCK_GAP, h: size.h * scale + DOCK_GAP }));
  const rows = Math.ceil(sizes.reduce((sum, { w }) => sum + w, 0) / Math.max(1, room.width - 2 * DOCK_GAP));
  const tallest = Math.max(0, ...sizes.map(({ h }) => h));
  return Math.round(Math.min(room.height * DOCK_SHARE, rows * tallest + 2 * DOCK_GAP));
}

/** Everything in a zone, spread evenly. */
function fullest({ items, zones }: LearnerQuestion, board: Board): Board {
  items.forEach(({ family, copies, stays }, item) => {
    if (stays) return;
    for (let n = 0; n < (copies === 'endless' ? MANY : copies); n++) {
      const open = board.zones.filter((inside, i) => {
        const zone = zones[i];
        return zone && (zone.family === null || zone.family === family) && inside.length < (zone.capacity ?? Infinity);
      });
      open.toSorted((a, b) => a.length - b.length)[0]?.push(copyOf(item, n));
    }
  });
  return board;
}
/** So many of what is without end. */
const MANY = 5;

/** Letters as large as a class reads, or as the boxes of all items have room for; texts of the scene keep theirs. */
function withLargerLetters(page: PageScene, widthIn: WidthIn): PageScene {
  const { question, scale } = page;
  const letters = question.dress?.letters;
  const size = letters?.size ?? ITEM_SIZE;
  let factor = CLASS_READS / (size * scale);
  if (page.way === 'flows' || question.fixtures.some(({ type }) => type === 'text')) return page;
  while (factor > 1 && !question.items.every((item) => wordsFit(question, item, factor, widthIn))) factor -= STEP;
  if (factor <= 1) return page;
  const larger: LearnerQuestion = {
    ...question,
    dress: {
      ground: question.dress?.ground ?? null,
      letters: { face: null, ownFace: null, ...letters, size: size * factor },
    },
  };
  return { ...page, question: larger, model: sceneModel(larger) };
}

function inItsPlaces(question: LearnerQuestion, model: SceneModel, room: Room, dock: number): PageScene {
  const { scene, tray, zones } = question;
  const crop = { x: 0, y: 0, w: scene.width, h: scene.height };
  const shared = { question, model, anew: null, crop, zoom: null };
  const fits = (w: number, h: number) => Math.max(0.1, Math.min(LARGEST_SCALE, room.width / w, room.height / h));
  const scale = fits(scene.width, scene.height);
  const size = question.dress?.letters?.size ?? ITEM_SIZE;
  const wanted = (at: number) => Math.max(CLASS_READS / (size * at), CLASS_PRESSES / (leastSide(question) * at));
  const isText = zones.length > 0 && zones.every(({ shape }) => shape.type === 'slot');
  if (isText && question.items.every(({ stays }) => !stays))
    return { ...shared, way: 'flows', scale: Math.max(scale, CLASS_READS / size, textScale(question, room)) };
  if (wanted(scale) <= 1 || !canGrow(question)) return { ...shared, way: 'whole', scale };
  if (!tray || isText) return { ...shared, way: 'whole', scale, ...grown(question, model, wanted(scale)) };
  const band = trayBox(tray, scene);
  const upright = tray.side === 'left' || tray.side === 'right';
  const part = upright
    ? { x: tray.side === 'left' ? band.w : 0, y: 0, w: scene.width - band.w, h: scene.height }
    : { x: 0, y: tray.side === 'top' ? band.h : 0, w: scene.width, h: scene.height - band.h };
  const near = Math.max(0.1, Math.min(LARGEST_SCALE, room.width / part.w, (room.height - dock) / part.h));
  return { ...shared, way: 'panned', crop: part, scale: near, ...grown(question, model, wanted(near)) };
}

/** The scale at which the texts of a scene, set anew as wide as the room, take about all of it. */
function textScale({ fixtures }: LearnerQuestion, room: { readonly width: number; readonly height: number }): number {
  const area = fixtures.reduce((sum, { type, w, h }) => sum + (type === 'text' ? w * h : 0), 0);
  return area === 0 ? 0 : Math.min(LARGEST_SCALE, Math.sqrt((FILLED * room.width * room.height) / area));
}
/** Of a room, by a text that has a tray beneath it. */
const FILLED = 0.7;

const leastSide = ({ items }: LearnerQuestion): number =>
  Math.min(CLASS_PRESSES, ...items.map(({ size }) => Math.min(size.w, size.h)));

/**
 * Items may grow where their size is no part of the question: nothing is built of them, and each begins in the tray, in
 * a zone, or in a place of its own in which it stays.
 */
function canGrow({ items, zones, hides, start, tray, scene }: LearnerQuestion): boolean {
  const band = tray && trayBox(tray, scene);
  const begins = new Set(start.map(({ item }) => item));
  return (
    !hides &&
    items.length > 0 &&
    zones.every(({ ridesOn }) => ridesOn === null) &&
    items.every(
      ({ id, home, stays, rotation }) =>
        rotation === 0 &&
        (stays ||
          begins.has(id) ||
          (band !== null &&
            home.x >= band.x - 1 &&
            home.y >= band.y - 1 &&
            home.x <= band.x + band.w &&
            home.y <= band.y + band.h)),
    )
  );
}

/** The question with items and words larger by a factor, or by as much of it as the zones have room for. */
function grown(question: LearnerQuestion, model: SceneModel, factor: number): Pick<PageScene, 'question' | 'model'> {
  let by = factor;
  while (by > 1 && !hasRoom(question, by)) by -= STEP;
  if (by <= 1) return { question, model };
  const letters = question.dress?.letters;
  const larger: LearnerQuestion = {
    ...question,
    items: question.items.map((item) => ({ ...item, ...boxIn(item, by) })),
    dress: {
      ground: question.dress?.ground ?? null,
      letters: { face: null, ownFace: null, ...letters, size: (letters?.size ?? ITEM_SIZE) * by },
    },
  };
  return { question: larger, model: sceneModel(larger) };
}

const withGap = ({ x, y, w, h }: Box): Box => ({ x: x - 3, y: y - 3, w: w + 6, h: h + 6 });

/** An item larger by a factor; one that stays in its place grows about its middle. */
const boxIn = ({ size, home, stays }: LearnerQuestion['items'][number], by: number) => ({
  size: { w: size.w * by, h: size.h * by },
  home: stays ? { x: home.x - (size.w * (by - 1)) / 2, y: home.y - (size.h * (by - 1)) / 2 } : home,
});

/**
 * True if nothing that stays in its place meets another, and each zone holds as many items of the largest that may come
 * as it has places for, or its share of all.
 */
function hasRoom({ items, zones, scene }: LearnerQuestion, by: number): boolean {
  const staying = items.flatMap((item) => (item.stays ? [boxIn(item, by)] : []));
  const stand = staying.every(
    ({ home, size }, i) =>
      home.x >= 0 &&
      home.y >= 0 &&
      home.x + size.w <= scene.width &&
      home.y + size.h <= scene.height &&
      staying
        .slice(0, i)
        .every((other) => !meet(withGap({ ...home, ...size }), withGap({ ...other.home, ...other.size }))),
  );
  return (
    stand &&
    zones.every(({ shape, family, capacity }) => {
      const box = outlineOf(shape, 0)?.box;
      const those = items.filter((item) => family === null || item.family === family);
      if (!box || those.length === 0) return true;
      const w = Math.max(...those.map(({ size }) => size.w)) * by;
      const h = Math.max(...those.map(({ size }) => size.h)) * by;
      const holds = Math.floor(box.w / w) * Math.floor(box.h / h);
      return holds >= Math.min(capacity ?? Number.POSITIVE_INFINITY, Math.ceil((those.length * 1.5) / zones.length));
    })
  );
}
