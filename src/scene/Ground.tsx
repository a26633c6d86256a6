import type { CSSProperties } from 'react';
import type { Ground as GroundOf } from '../core';
import { cssColour } from './dress';
import { Picture } from './media';

/** Where the drawing of a texture is. */
export const groundTexture = (texture: string): string => `/grounds/${texture}.svg`;

/** What lies beneath everything on a scene. */
export function Ground({ ground, width }: { ground: GroundOf; width: number }) {
  const { colour, texture, picture, frame } = ground;
  return (
    <div
      className="ground"
      data-frame={frame ?? undefined}
      style={{ ...(colour ? { '--ground': cssColour(colour) } : {}) } as CSSProperties}
      aria-hidden
    >
      {picture && <Picture id={picture} width={width} className="ground-picture" />}
      {texture && <span className="ground-texture" style={{ maskImage: `url(${groundTexture(texture)})` }} />}
    </div>
  );
}
