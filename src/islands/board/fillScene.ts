import {
  type Box,
  ITEM_SIZE,
  type LearnerQuestion,
  meet,
  outlineOf,
  type SceneModel,
  sceneModel,
  trayBox,
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

/** The height of a tray beneath the scene, in CSS pixels: the rows its items need, in the size they have there. */
export function dockHeight(
  question: LearnerQuestion,
  room: { readonly width: number; readonly height: number },
): number {
  const by = Math.max(CLASS_READS / (question.dress?.letters?.size ?? ITEM_SIZE), CLASS_PRESSES / leastSide(question));
  const sizes = question.items.map(({ size }) => ({ w: size.w * by + DOCK_GAP, h: size.h * by + DOCK_GAP }));
  const rows = Math.ceil(sizes.reduce((sum, { w }) => sum + w, 0) / Math.max(1, room.width - 2 * DOCK_GAP));
  const tallest = Math.max(0, ...sizes.map(({ h }) => h));
  return Math.round(Math.min(room.height * DOCK_SHARE, rows * tallest + 2 * DOCK_GAP));
}

/**
 * How a scene fills a room: a class's board. It is whole if its words can be read from afar; else the tray stands
 * beneath it, and items and words grow as far as the zones have room for them.
 */
export const fillScene: FillScene = (question, model, room) => {
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
  const near = Math.max(
    0.1,
    Math.min(LARGEST_SCALE, room.width / part.w, (room.height - dockHeight(question, room)) / part.h),
  );
  return { ...shared, way: 'panned', crop: part, scale: near, ...grown(question, model, wanted(near)) };
};

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
