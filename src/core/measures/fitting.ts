import type { Question, Settle, Zone } from '../document/schema';
import type { Step } from '../edit/edit';
import { frames, setFrames } from '../edit/frames';
import { setItem } from '../edit/steps';
import { refTo } from '../edit/things';
import { fitCount, fitsAll } from '../geometry/fit';
import { rectOutline } from '../geometry/outline';
import type { Extent } from '../geometry/settle';
import type { Box } from '../geometry/space';
import { couldBelong } from '../judge/belong';
import type { EntryModel, QuestionModel } from '../judge/model';

/** So many are laid out to see; a zone that needs more holds them all or overflows long before. */
const MAX_LAID = 2000;

/**
 * The bounding boxes of what an entry's zone needs; where not all are needed, the largest are the ones to worry about.
 */
export function neededBoxes(model: QuestionModel, entry: EntryModel): Extent[] {
  const { lo } = entry;
  const boxes = couldBelong(model, entry).flatMap((item): Extent[] => {
    const { w, h, rotation, copies } = model.items[item] as (typeof model.items)[number];
    const { box } = rectOutline({ x: 0, y: 0, w, h }, rotation);
    return Array.from({ length: Math.min(copies, lo, MAX_LAID) }, () => ({ w: box.w, h: box.h }));
  });
  return boxes.sort((a, b) => b.w * b.h - a.w * a.h).slice(0, Math.min(lo, MAX_LAID));
}

const largestOf = (boxes: readonly Extent[]): Extent =>
  boxes.reduce((most, box) => ({ w: Math.max(most.w, box.w), h: Math.max(most.h, box.h) }), { w: 1, h: 1 });

/**
 * How the needed items sit in a zone: how many are needed, for how many of the largest there is room (Infinity: over
 * one another), and whether all fit.
 */
export interface Fitting {
  readonly needed: number;
  readonly room: number;
  readonly fits: boolean;
}

/** Null: the zone needs nothing, or the page lays it out. */
export function fittingOf(model: QuestionModel, zone: number): Fitting | null {
  const entry = model.entryOf[zone];
  const { outline, settle } = model.zones[zone] as QuestionModel['zones'][number];
  if (!entry || !outline || entry.lo === 0) return null;
  const boxes = neededBoxes(model, entry);
  return {
    needed: entry.lo,
    room: fitCount(settle, outline.box, largestOf(boxes)),
    fits: fitsAll(settle, outline.box, boxes),
  };
}

const MAX_STEPS = 4000;

/**
 * The smallest box from the same top left, grown downwards (a column: to the right, a pile: both ways) in whole units,
 * that holds all by the settle rule; null: none that is reasonable does.
 */
export function boxToHold(settle: Settle, box: Box, boxes: readonly Extent[]): Box | null {
  const widest = Math.max(...boxes.map(({ w }) => w));
  const tallest = Math.max(...boxes.map(({ h }) => h));
  const gap = 'gap' in settle ? settle.gap : 0;
  const least: Box = {
    ...box,
    w: Math.ceil(Math.max(box.w, widest + 2 * gap)),
    h: Math.ceil(Math.max(box.h, tallest + 2 * gap)),
  };
  const [dw, dh] = settle.rule === 'pile' ? [1, 1] : settle.rule === 'column' ? [1, 0] : [0, 1];
  for (let more = 0; more <= MAX_STEPS; more += 1) {
    const grown = { ...least, w: least.w + dw * more, h: least.h + dh * more };
    if (fitsAll(settle, grown, boxes)) return grown;
  }
  return null;
}

/** Makes a zone hold what it needs. It stays on the scene as far as the scene reaches. */
export function makeZoneHold(question: Question, model: QuestionModel, id: Zone['id']): Step {
  const index = model.zoneAt.get(id);
  const entry = index === undefined ? undefined : model.entryOf[index];
  const at = frames(question).find(({ ref }) => ref === refTo('zone', id));
  const zone = question.zones.find((zone) => zone.id === id);
  if (!entry || !at || !zone || entry.lo === 0) return [];
  const box = boxToHold(zone.settle, at.frame, neededBoxes(model, entry));
  if (!box) return [];
  const x = Math.max(0, Math.min(box.x, question.scene.width - box.w));
  const y = Math.max(0, Math.min(box.y, question.scene.height - box.h));
  return setFrames(question, [{ ref: at.ref, frame: { ...box, x, y, rotation: at.frame.rotation } }]);
}

/** Makes the items that belong in a zone as wide as it is, less the gap at either side. */
export function makeItemsAsWide(question: Question, model: QuestionModel, id: Zone['id']): Step {
  const index = model.zoneAt.get(id);
  const entry = index === undefined ? undefined : model.entryOf[index];
  const zone = index === undefined ? undefined : model.zones[index];
  if (!entry || !zone?.outline) return [];
  const gap = 'gap' in zone.settle ? zone.settle.gap : 0;
  const w = Math.max(1, Math.round(zone.outline.box.w - 2 * gap));
  return entry.order.flatMap((item): Step => {
    const one = question.items[item];
    return one ? setItem(question, one.id, 'size', { ...one.size, w }) : [];
  });
}

/**
 * The band at a zone's upper edge in which its title stands, in scene units: half the height of the line, which is set
 * into the edge.
 */
const TITLE_DEPTH = 10;

/** Do items that settle in the zone come to lie over its title? */
export function coversTitle(model: QuestionModel, zone: number): boolean {
  const { outline, settle } = model.zones[zone] as QuestionModel['zones'][number];
  if (!outline || !model.question.zones[zone]?.label) return false;
  switch (settle.rule) {
    case 'asDropped':
      return true;
    case 'pile': {
      const entry = model.entryOf[zone];
      return entry ? largestOf(neededBoxes(model, entry)).h > outline.box.h - 2 * TITLE_DEPTH : false;
    }
    case 'anchor': {
      const entry = model.entryOf[zone];
      const tallest = entry ? largestOf(neededBoxes(model, entry)).h : 0;
      if (settle.at.startsWith('top')) return settle.gap < TITLE_DEPTH;
      return settle.at.startsWith('bottom')
        ? outline.box.h - settle.gap - tallest < TITLE_DEPTH
        : (outline.box.h - tallest) / 2 < TITLE_DEPTH;
    }
    case 'row':
    case 'column':
    case 'grid':
      return settle.gap < TITLE_DEPTH;
  }
}

/** A gap at which nothing lies over the title. */
export const CLEAR_OF_TITLE = TITLE_DEPTH + 2;
