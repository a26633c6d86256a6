/**
 * Spaces and tolerances, all in one place.
 * Scene units: 1 unit = 1 CSS px at 100 %, origin top left, y down. Stage pixels: scene units times the scale the page
 * shows them at.
 */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** An axis-parallel rectangle in scene units: top left, width and height. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** "In the shape" has this slack, in scene units; shares and the largest overlap are compared with it too. */
export const SLACK = 1e-9;
/** An item is wholly inside from this overlap on, less the slack: 1 − 1e-6. */
export const WHOLLY = 1 - 1e-6;

export const toScene = (stage: Point, scale: number): Point => ({ x: stage.x / scale, y: stage.y / scale });
export const toStage = (scene: Point, scale: number): Point => ({ x: scene.x * scale, y: scene.y * scale });

/** Turns `p` about `centre`, clockwise as y grows downward, by the cosine and sine of the angle. */
export const turn = (p: Point, centre: Point, cos: number, sin: number): Point => {
  const dx = p.x - centre.x;
  const dy = p.y - centre.y;
  return { x: centre.x + dx * cos - dy * sin, y: centre.y + dx * sin + dy * cos };
};

/** Cosine and sine of a turn in degrees, exact at quarter turns (where Math.cos(π/2) is not 0). */
export function cosSin(degrees: number): readonly [number, number] {
  const whole = ((degrees % 360) + 360) % 360;
  if (whole === 0) return [1, 0];
  if (whole === 90) return [0, 1];
  if (whole === 180) return [-1, 0];
  if (whole === 270) return [0, -1];
  const radians = (whole * Math.PI) / 180;
  return [Math.cos(radians), Math.sin(radians)];
}

/** The same turn between -180 (not itself) and 180 degrees. */
export function nearTurn(degrees: number): number {
  const positive = ((degrees % 360) + 360) % 360;
  return positive > 180 ? positive - 360 : positive;
}

export const middleOf = ({ x, y, w, h }: Box): Point => ({ x: x + w / 2, y: y + h / 2 });

/** Do two boxes have a common area? */
export const meet = (a: Box, b: Box): boolean =>
  a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;
