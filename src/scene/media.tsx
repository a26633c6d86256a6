import { createContext, type ReactNode, useContext } from 'react';

/**
 * A picture, sound or film as a page can show it: where it is had from, and what is said of it to those who do not see
 * or hear it.
 */
export interface Shown {
  readonly url: string;
  readonly kind: 'picture' | 'sound' | 'film';
  /** Empty: decorative. */
  readonly description: string;
  /** Where its captions are had from, as WebVTT. */
  readonly captions?: string | undefined;
  /** Of a picture: where it is had from no wider than so many pixels. */
  readonly inWidth?: (width: number) => string;
}
export type MediaSource = (id: string) => Shown | null;

const Source = createContext<MediaSource>(() => null);

/** Says where the media of what is drawn inside come from. */
export function MediaFrom({ source, children }: { source: MediaSource; children: ReactNode }) {
  return <Source value={source}>{children}</Source>;
}

export const useMediaSource = (): MediaSource => useContext(Source);

/**
 * A picture that fills its box without being cropped. `width`: of the box in CSS pixels, so that no more is fetched
 * than is shown.
 */
export function Picture({ id, className = '', width }: { id: string; className?: string; width?: number | undefined }) {
  const shown = useMediaSource()(id);
  if (!shown) return null;
  const { url, inWidth, description } = shown;
  const sized =
    width !== undefined && inWidth
      ? { src: inWidth(width), srcSet: `${inWidth(width)}, ${inWidth(2 * width)} 2x` }
      : { src: url };
  return (
    <img
      className={`scene-picture ${className}`}
      {...sized}
      alt={description}
      draggable={false}
      loading="lazy"
      decoding="async"
    />
  );
}
