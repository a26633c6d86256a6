import { createContext, type ReactNode, useContext } from 'react';

/** A picture, sound, film or font for a page: its URL and its text alternative. */
export interface Shown {
  readonly url: string;
  readonly kind: 'picture' | 'sound' | 'film' | 'font';
  /** Empty: decorative. */
  readonly description: string;
  /** The URL of its captions, as WebVTT. */
  readonly captions?: string | undefined;
  /** For a picture: its URL in a width in pixels. */
  readonly inWidth?: (width: number) => string;
}
export type MediaSource = (id: string) => Shown | null;

const Source = createContext<MediaSource>(() => null);

/** Provides the source of media for everything drawn inside. */
export function MediaFrom({ source, children }: { source: MediaSource; children: ReactNode }) {
  return <Source value={source}>{children}</Source>;
}

export const useMediaSource = (): MediaSource => useContext(Source);

/** A picture that fits into its box uncropped. `width`: of the box in CSS pixels, so that no larger file is loaded. */
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
