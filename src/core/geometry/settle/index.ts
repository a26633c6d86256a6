import type { Settle } from '../../document/schema';
import type { Box, Point } from '../space';
import { anchor } from './anchor';
import { cellOf, grid } from './grid';
import { column, row } from './lines';
import { pile } from './pile';

export { cellOf };

/** Width and height of an item's bounding box. */
export interface Extent {
  readonly w: number;
  readonly h: number;
}

/**
 * Gives each settled box, in the zone's order, its top left (scene units); `letGo[i]` is where the box was let go, null
 * when it was put by name.
 */
export type SettleRule<Rule extends Settle['rule']> = (
  zone: Box,
  boxes: readonly Extent[],
  settle: Extract<Settle, { rule: Rule }>,
  letGo: readonly (Point | null)[],
) => Point[];

const asDropped: SettleRule<'asDropped'> = (zone, boxes, _settle, letGo) =>
  boxes.map((box, i) => letGo[i] ?? { x: zone.x + (zone.w - box.w) / 2, y: zone.y + (zone.h - box.h) / 2 });

const rules: { readonly [Rule in Settle['rule']]: SettleRule<Rule> } = { asDropped, anchor, row, column, grid, pile };

/** Where the boxes come to rest in a zone's bounding box, by the zone's settle rule. */
export function settleBoxes(
  settle: Settle,
  zone: Box,
  boxes: readonly Extent[],
  letGo: readonly (Point | null)[],
): Point[] {
  return (rules[settle.rule] as SettleRule<Settle['rule']>)(zone, boxes, settle as never, letGo);
}
