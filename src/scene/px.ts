import type { CSSProperties } from 'react';
import type { Box } from '../core';

/** Where a box of scene units stands on the stage, in pixels. */
export const px = ({ x, y, w, h }: Box, scale: number): CSSProperties => ({ left: x * scale, top: y * scale, width: w * scale, height: h * scale });
