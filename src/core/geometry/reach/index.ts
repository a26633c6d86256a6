import type { Reach } from '../../document/schema';
import { contains, type Outline } from '../outline';
import { type Point, SLACK, WHOLLY } from '../space';

/** What a reach rule is asked: an item over a zone, at one moment. `overlap` is area(item ∩ zone) / area(item). */
export interface Over {
  readonly zone: Outline;
  readonly corners: readonly (readonly [number, number])[];
  readonly overlap: number;
  readonly centre: Point;
  readonly pointer: Point;
}

type ReachRules = { readonly [Rule in Reach['rule']]: (over: Over, reach: Extract<Reach, { rule: Rule }>) => boolean };

const rules: ReachRules = {
  touch: ({ overlap }) => overlap > SLACK,
  centre: ({ zone, centre }) => contains(zone, centre),
  share: ({ overlap }, { share }) => overlap >= share - SLACK,
  inside: ({ zone, corners, overlap }) =>
    zone.type === 'ellipse' ? corners.every(([x, y]) => contains(zone, { x, y })) : overlap >= WHOLLY,
  pointer: ({ zone, pointer }) => contains(zone, pointer),
};

/** Does the zone's reach rule hold? */
export function reaches(reach: Reach, over: Over): boolean {
  return (rules[reach.rule] as (over: Over, reach: Reach) => boolean)(over, reach);
}
