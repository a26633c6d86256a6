import type { CSSProperties } from 'react';
import { type Look, type Style, styleIn } from '../core';
import { faceCss } from './letters';
import type { MediaSource } from './media';

/** A token's name, or a colour of the author's, as CSS has it. */
export const cssColour = (colour: string): string =>
  colour.startsWith('#') ? colour : `var(--color-${colour.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)})`;

/** The CSS of a look in a state; empty if the look says nothing and the page's own drawing applies. */
export function dress(look: Look | undefined, state: string, scale: number, media: MediaSource): CSSProperties {
  return look ? cssOf(styleIn(look, state), scale, media) : {};
}

function cssOf(
  { fill, edge, text, edgeWidth, edgeStyle, fontSize, face, ownFace, picture }: Style,
  scale: number,
  media: MediaSource,
): CSSProperties {
  const shown = picture ? media(picture) : null;
  return {
    ...(fill ? { backgroundColor: cssColour(fill), backgroundImage: 'none' } : {}),
    ...(edge ? { borderColor: cssColour(edge) } : {}),
    ...(text ? { color: cssColour(text) } : {}),
    ...(edgeWidth === undefined ? {} : { borderWidth: edgeWidth * scale }),
    ...(edgeStyle ? { borderStyle: edgeStyle } : {}),
    ...(fontSize ? { fontSize: fontSize * scale } : {}),
    ...faceCss({ face, ownFace }, media),
    ...(shown
      ? {
          backgroundImage: `url("${shown.url}")`,
          backgroundSize: 'contain',
          backgroundPosition: 'center',
          backgroundRepeat: 'no-repeat',
        }
      : {}),
  };
}

/** The class that moves a thing as it comes into the state. */
export function motionIn(look: Look | undefined, state: string): string {
  const motion = look && styleIn(look, state).motion;
  return motion && motion !== 'none' ? `motion-${motion}` : '';
}
