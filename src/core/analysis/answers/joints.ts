import type { Box } from '../../geometry/space';
import { isKeyed, itemOf, type QuestionModel } from '../../judge/model';
import type { Digest } from '../digest';

/** Two things that are put together, and how many had them so at last. */
export interface JointAnswers {
  /** The place where something is joined on. */
  readonly zone: number;
  /** To what: the place beside it, or the item that it rides on. */
  readonly to: { readonly zone: number } | { readonly item: number };
  /** So many had what belongs there on both sides. */
  readonly learners: number;
}

/** Places nearer than this are beside each other: scene units. */
const NEAR = 8;
/** As long an edge at least do places have in common that are not only corner to corner: scene units. */
const MIN_EDGE = 8;

/** How far two spans overlap; less than 0: how far they are apart. */
const common = (a: number, aLength: number, b: number, bLength: number): number =>
  Math.min(a + aLength, b + bLength) - Math.max(a, b);

function areBeside(a: Box, b: Box): boolean {
  const [x, y] = [common(a.x, a.w, b.x, b.w), common(a.y, a.h, b.y, b.h)];
  return Math.min(x, y) >= -NEAR && Math.max(x, y) >= MIN_EDGE;
}

/** The joints of what is built: places side by side, and places that ride on what they are joined to. */
export function jointsOf(model: QuestionModel, digests: readonly Digest[]): JointAnswers[] {
  if (model.question.kind !== 'build') return [];
  const places = model.entries.filter(({ hi, belongs }) => hi > 0 && belongs.size > 0).map(({ zone }) => zone);
  const standing = places.filter((zone) => model.zones[zone]?.outline && model.zones[zone]?.ridesOn === -1);
  const right = digests.map(
    ({ put }) =>
      new Set(put.flatMap(([copy, , last]) => (last >= 0 && isKeyed(model, last, itemOf(copy)) ? [last] : []))),
  );
  const boxOf = (zone: number) => model.zones[zone]?.outline?.box;
  const beside = standing.flatMap((zone, i) =>
    standing.slice(i + 1).flatMap((other): JointAnswers[] => {
      const [a, b] = [boxOf(zone), boxOf(other)];
      if (!a || !b || !areBeside(a, b)) return [];
      return [{ zone, to: { zone: other }, learners: right.filter((of) => of.has(zone) && of.has(other)).length }];
    }),
  );
  const riding = places.flatMap((zone): JointAnswers[] => {
    const item = model.zones[zone]?.ridesOn;
    if (item === undefined || item === -1) return [];
    return [{ zone, to: { item }, learners: right.filter((of) => of.has(zone)).length }];
  });
  return [...beside, ...riding];
}
