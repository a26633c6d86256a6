import type { MediaSource } from '../../scene/media';
import { addressOf, api } from '../../ui/api';
import type { Judge } from './Sitting';
import type { PlayerState } from './store';
import type { SittingView } from './types';

export const beginSitting = (id: string) => api('POST /api/releases/{id}/sittings', { id });

/** The widths in which pictures are served (src/server/media/widths.ts). */
const WIDTHS = [160, 320, 640, 1280, 2560] as const;

/** The URLs of an attempt's media by their drawn names; pictures in the width at which they are shown. */
const sittingMedia =
  ({ id, place }: SittingView, media: PlayerState['media']): MediaSource =>
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

export const SERVER: Judge = {
  stored: true,
  send:
    ({ id, place }) =>
    (after, moves) =>
      api('POST /api/sittings/{id}/moves', { id, body: { question: place.at, after, moves } }),
  media: sittingMedia,
  goTo: ({ id }, question) => api('POST /api/sittings/{id}/at', { id, body: { question } }),
  finish: ({ id }) => api('POST /api/sittings/{id}/finish', { id }),
};
