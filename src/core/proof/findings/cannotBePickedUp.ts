import { rectOutline } from '../../geometry/outline';
import { type Corners, inPolygon } from '../../geometry/polygon';
import { type Box, meet } from '../../geometry/space';
import type { QuestionModel } from '../../judge/model';
import type { FindingRule } from './finding';
import { itemId, itemNamed } from './named';

/** What a finger needs: 16 × 16 units, in any shape. */
const MIN_AREA = 256;
const CELL = 2;

/**
 * At its home too little of an item is on the scene and not beneath other items. A cover that can be picked up, and
 * stays where it is let go, can be dragged off: what lies under it can be reached.
 */
export const cannotBePickedUp: FindingRule = ({ model }) => {
  const bodies = model.items.map((_, item) => bodyAtHome(model, item));
  const free = bodies.map(() => 0);
  const inTheWay: Body[] = [];
  // From the top down, so that it is known of what covers an item whether it can be dragged off.
  for (let item = bodies.length - 1; item >= 0; item--) {
    const body = bodies[item] as Body;
    const area = uncovered(
      model,
      body,
      inTheWay.filter(({ box }) => meet(box, body.box)),
    );
    free[item] = area;
    if (area < MIN_AREA || !comesOff(model, item)) inTheWay.push(body);
  }
  return free.flatMap((free, item) => {
    if (free >= MIN_AREA) return [];
    return [
      {
        where: [itemId(model, item)],
        message: `${itemNamed(model, item)} cannot be picked up: at its home ${free === 0 ? 'nothing' : `only ${Math.round(free)} square units`} of it can be pressed.`,
        mend: 'Move it onto the scene and from beneath what covers it, or make it larger.',
      },
    ];
  });
};

const comesOff = ({ question }: QuestionModel, item: number): boolean => {
  const { goesHome, stays, copies } = question.items[item] as QuestionModel['question']['items'][number];
  return !goesHome && !stays && copies !== 'endless';
};

interface Body {
  readonly corners: Corners;
  readonly box: Box;
}

function bodyAtHome({ items, homes }: QuestionModel, item: number): Body {
  const { w, h, rotation } = items[item] as QuestionModel['items'][number];
  const at = homes[item] as { x: number; y: number };
  const outline = rectOutline({ x: at.x, y: at.y, w, h }, rotation);
  return { corners: outline.type === 'polygon' ? outline.corners : [], box: outline.box };
}

/**
 * The area of an item on the scene that no later item lies over, in cells of two units, and no more of it than it takes
 * to know.
 */
function uncovered(model: QuestionModel, { corners, box }: Body, over: readonly Body[]): number {
  const { width, height } = model.source.scene;
  let area = 0;
  for (let y = box.y + CELL / 2; y < box.y + box.h; y += CELL)
    for (let x = box.x + CELL / 2; x < box.x + box.w; x += CELL) {
      if (
        x < 0 ||
        y < 0 ||
        x > width ||
        y > height ||
        !inPolygon(corners, x, y, 0) ||
        over.some((body) => inPolygon(body.corners, x, y, 0))
      )
        continue;
      area += CELL * CELL;
      if (area >= MIN_AREA) return area;
    }
  return area;
}
