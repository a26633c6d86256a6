import { createContext, type ReactNode, useContext } from 'react';

/** A picture, sound or film as a page can show it: where it is had from, and what is said of it to those who do not see or hear it. */
export interface Shown {
  readonly url: string;
  readonly kind: 'picture' | 'sound' | 'film';
  /** Empty: decorative. */
  readonly description: string;
}
export type MediaSource = (id: string) => Shown | null;

const Source = createContext<MediaSource>(() => null);

/** Says where the media of what is drawn inside come from. */
export function MediaFrom({ source, children }: { source: MediaSource; children: ReactNode }) {
  return <Source value={source}>{children}</Source>;
}

export const useMediaSource = (): MediaSource => useContext(Source);

/** A picture that fills its box without being cropped. */
export function Picture({ id, className = '' }: { id: string; className?: string }) {
  const shown = useMediaSource()(id);
  if (!shown) return null;
  return <img className={`scene-picture ${className}`} src={shown.url} alt={shown.description} draggable={false} />;
}
