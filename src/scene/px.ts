import type { CSSProperties } from 'react';
import type { Box } from '../core';

/** Where a box of scene units stands on the stage, in pixels. */
export const px = ({ x, y, w, h }: Box, scale: number): CSSProperties => ({
  left: x * scale,
  top: y * scale,
  width: w * scale,
  height: h * scale,
});

/** The same of a box that is turned about its middle. */
export const pxTurned = (frame: Box & { readonly rotation: number }, scale: number): CSSProperties => ({
  ...px(frame, scale),
  ...(frame.rotation === 0 ? {} : { transform: `rotate(${frame.rotation}deg)` }),
});
