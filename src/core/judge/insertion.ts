import { middleOf, type Point } from '../geometry/space';
import { type Board, cloneBoard, lift } from './board';
import { boundsAtOrigin } from './homes';
import { type Copy, itemOf, type SceneModel } from './model';
import { restIn } from './rest';

/** Do the copies in a zone lie in the order they have there, so that one can be let in among others? */
export const keepsOrder = ({ settle }: SceneModel['zones'][number]): boolean =>
  settle.rule === 'row' || settle.rule === 'column' || settle.rule === 'grid';

/**
 * At which index of a zone's order a copy let go with its middle at a point would stand: before or after the one whose
 * middle is nearest, as they follow one another in the zone. Null: the zone is empty, or its places do not follow its
 * order.
 */
export function indexAt(model: SceneModel, board: Board, copy: Copy, zone: number, middle: Point): number | null {
  const into = model.zones[zone] as SceneModel['zones'][number];
  if (!keepsOrder(into)) return null;
  const without = cloneBoard(board);
  lift(without, copy);
  const others = [...restIn(model, without, zone)].map(([other, at]) => {
    const box = boundsAtOrigin(model.items[itemOf(other)] as SceneModel['items'][number]);
    return { x: at.x + box.x, y: at.y + box.y, w: box.w, h: box.h };
  });
  let nearest = -1;
  let least = Infinity;
  others.forEach((box, i) => {
    const { x, y } = middleOf(box);
    const distance = Math.hypot(x - middle.x, y - middle.y);
    if (distance < least) [nearest, least] = [i, distance];
  });
  const box = others[nearest];
  if (!box) return null;
  const [along, from, size, across, acrossFrom, acrossSize] =
    into.settle.rule === 'column'
      ? [middle.y, box.y, box.h, middle.x, box.x, box.w]
      : [middle.x, box.x, box.w, middle.y, box.y, box.h];
  // In the line before or after the nearest one, or beside it in its own.
  const after = across < acrossFrom ? false : across > acrossFrom + acrossSize ? true : along > from + size / 2;
  return after ? nearest + 1 : nearest;
}

/** Do the copies in a zone stand in one line, whose places are worth saying? */
export const isLine = ({ settle }: SceneModel['zones'][number]): boolean =>
  settle.rule === 'row' || settle.rule === 'column';

/** Where in the line of its zone a copy stands, from 0, of how many; null: in no zone, or in one that is no line. */
export function placeInOrder(
  model: SceneModel,
  board: Pick<Board, 'zones' | 'zoneOf'>,
  copy: Copy,
): { readonly zone: number; readonly at: number; readonly of: number } | null {
  const zone = board.zoneOf.get(copy);
  const into = zone === undefined ? undefined : model.zones[zone];
  if (zone === undefined || !into || !isLine(into)) return null;
  const held = board.zones[zone] ?? [];
  return { zone, at: held.indexOf(copy), of: held.length };
}
