import type { Point } from './space';

const WHERE = [
  ['topLeft', 'top', 'topRight'],
  ['left', 'middle', 'right'],
  ['bottomLeft', 'bottom', 'bottomRight'],
] as const;
/** The ninth of a scene in which something stands. */
export type Where = (typeof WHERE)[number][number];

const third = (at: number, of: number): 0 | 1 | 2 => (at < of / 3 ? 0 : at <= (of * 2) / 3 ? 1 : 2);

/** The ninth of a scene that a point lies in; beside the scene, the nearest. In scene units. */
export const whereOn = ({ x, y }: Point, scene: { readonly width: number; readonly height: number }): Where =>
  WHERE[third(y, scene.height)][third(x, scene.width)];
