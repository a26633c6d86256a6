import type { MediaSource } from '../../scene/media';
import { type ApiResult, api } from '../../ui/api';
import type { PlayerState, Send } from './store';
import type { Answer, SittingView, Summary } from './types';

const path = (sitting: string, what: string) => `/api/sittings/${sitting}/${what}`;

export const toServer =
  ({ id, place }: SittingView): Send =>
  (after, moves) =>
    api<Answer>('POST', path(id, 'moves'), { question: place.at, after, moves });

export const goToQuestion = (sitting: string, question: number): Promise<ApiResult<SittingView>> => api('POST', path(sitting, 'at'), { question });
export const beginSitting = (release: string): Promise<ApiResult<unknown>> => api('POST', `/api/releases/${release}/sittings`, {});
export const finishSitting = (sitting: string): Promise<ApiResult<Summary>> => api('POST', path(sitting, 'finish'), {});

/** The widths pictures are had in (src/server/media/widths.ts). */
const WIDTHS = [160, 320, 640, 1280, 2560] as const;

/** Where a sitting's media are had from, by the names they have in it; pictures as wide as they are shown. */
export const sittingMedia =
  ({ id, place }: Pick<SittingView, 'id' | 'place'>, media: PlayerState['media']): MediaSource =>
  (name) => {
    const medium = Object.hasOwn(media, name) ? media[name] : undefined;
    if (!medium) return null;
    const url = `${path(id, 'media')}/${name}?q=${place.at}`;
    return { ...medium, url, captions: medium.captioned && `${url}&captions`, inWidth: (width) => `${url}&w=${WIDTHS.find((one) => one >= width) ?? WIDTHS.at(-1)}` };
  };
