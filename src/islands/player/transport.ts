import type { MediaSource } from '../../scene/media';
import { addressOf, api } from '../../ui/api';
import type { PlayerState, Send } from './store';
import type { SittingView } from './types';

export const toServer =
  ({ id, place }: SittingView): Send =>
  (after, moves) =>
    api('POST /api/sittings/{id}/moves', { id, body: { question: place.at, after, moves } });

export const goToQuestion = (id: string, question: number) =>
  api('POST /api/sittings/{id}/at', { id, body: { question } });
export const beginSitting = (id: string) => api('POST /api/releases/{id}/sittings', { id });
export const finishSitting = (id: string) => api('POST /api/sittings/{id}/finish', { id });

/** The widths in which pictures are served (src/server/media/widths.ts). */
const WIDTHS = [160, 320, 640, 1280, 2560] as const;

/** The URLs of an attempt's media by their drawn names; pictures in the width at which they are shown. */
export const sittingMedia =
  ({ id, place }: Pick<SittingView, 'id' | 'place'>, media: PlayerState['media']): MediaSource =>
  (name) => {
    const medium = Object.hasOwn(media, name) ? media[name] : undefined;
    if (!medium) return null;
    const url = addressOf('GET /api/sittings/{id}/media/{name}', { id, name, query: { q: place.at } });
    return {
      ...medium,
      url,
      captions: medium.captioned && `${url}&captions`,
      inWidth: (width) => `${url}&w=${WIDTHS.find((candidate) => candidate >= width) ?? WIDTHS.at(-1)}`,
    };
  };
