import { meet } from '../../geometry/arrange';
import { rectOutline } from '../../geometry/outline';
import { type Corners, inPolygon } from '../../geometry/polygon';
import type { Box } from '../../geometry/space';
import type { QuestionModel } from '../../judge/model';
import type { FindingRule } from './finding';
import { itemId, itemNamed } from './named';

/** What a finger needs: 16 × 16 units, in any shape. */
const MIN_AREA = 256;
const CELL = 2;

/** At its home too little of an item is on the scene and not beneath other items. */
export const cannotBePickedUp: FindingRule = ({ model }) => {
  const bodies = model.items.map((_, item) => bodyAtHome(model, item));
  return bodies.flatMap((body, item) => {
    const over = bodies.slice(item + 1).filter(({ box }) => meet(box, body.box));
    const free = uncovered(model, body, over);
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
