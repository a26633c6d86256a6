import { ITEM_SIZE, type LearnerQuestion, outlineOf, type SceneModel, sceneModel, trayBox } from '../../core';
import type { FillScene, PageScene } from '../player/scene/usePageScene';

/** What a class reads from the back of a room, and what is pressed there, in CSS pixels. */
const CLASS_READS = 24;
const CLASS_PRESSES = 44;
/** A scene of ordinary size on the largest class board. */
const LARGEST_SCALE = 4;
/** Of the room, for a tray beneath the scene. */
const DOCK_SHARE = 0.24;
const STEP = 0.05;

/** The height that the tray beneath a scene has in a room, in CSS pixels. */
export const dockHeight = (height: number): number => Math.round(height * DOCK_SHARE);

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
  if (zones.length > 0 && zones.every(({ shape }) => shape.type === 'slot'))
    return { ...shared, way: 'flows', scale: Math.max(scale, CLASS_READS / size) };
  if (wanted(scale) <= 1 || !canGrow(question)) return { ...shared, way: 'whole', scale };
  if (!tray) return { ...shared, way: 'whole', scale, ...grown(question, model, wanted(scale)) };
  const band = trayBox(tray, scene);
  const upright = tray.side === 'left' || tray.side === 'right';
  const part = upright
    ? { x: tray.side === 'left' ? band.w : 0, y: 0, w: scene.width - band.w, h: scene.height }
    : { x: 0, y: tray.side === 'top' ? band.h : 0, w: scene.width, h: scene.height - band.h };
  const near = Math.max(
    0.1,
    Math.min(LARGEST_SCALE, room.width / part.w, (room.height - dockHeight(room.height)) / part.h),
  );
  return { ...shared, way: 'panned', crop: part, scale: near, ...grown(question, model, wanted(near)) };
};

const leastSide = ({ items }: LearnerQuestion): number =>
  Math.min(CLASS_PRESSES, ...items.map(({ size }) => Math.min(size.w, size.h)));

/**
 * Items may grow where their size is no part of the question: nothing is built of them, nothing lies where it was let
 * go, and none begins among others on the scene.
 */
function canGrow({ items, zones, hides, start, tray, scene }: LearnerQuestion): boolean {
  const band = tray && trayBox(tray, scene);
  const begins = new Set(start.map(({ item }) => item));
  return (
    !hides &&
    items.length > 0 &&
    zones.every(({ ridesOn, shape }) => ridesOn === null && shape.type !== 'slot') &&
    items.every(
      ({ id, home, stays, rotation }) =>
        !stays &&
        rotation === 0 &&
        (begins.has(id) ||
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
    items: question.items.map((item) => ({ ...item, size: { w: item.size.w * by, h: item.size.h * by } })),
    dress: {
      ground: question.dress?.ground ?? null,
      letters: { face: null, ownFace: null, ...letters, size: (letters?.size ?? ITEM_SIZE) * by },
    },
  };
  return { question: larger, model: sceneModel(larger) };
}

/** True if each zone holds as many items of the largest that may come as it has places for, or its share of all. */
function hasRoom({ items, zones }: LearnerQuestion, by: number): boolean {
  return zones.every(({ shape, family, capacity }) => {
    const box = outlineOf(shape, 0)?.box;
    const those = items.filter((item) => family === null || item.family === family);
    if (!box || those.length === 0) return true;
    const w = Math.max(...those.map(({ size }) => size.w)) * by;
    const h = Math.max(...those.map(({ size }) => size.h)) * by;
    const holds = Math.floor(box.w / w) * Math.floor(box.h / h);
    return holds >= Math.min(capacity ?? Number.POSITIVE_INFINITY, Math.ceil((those.length * 1.5) / zones.length));
  });
}
