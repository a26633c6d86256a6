import type { Question } from '../../../core';
import type { MediaSource } from '../../../scene';

export const mediumUrl = (hash: string) => `/media/${hash}`;

/** Where the Bench has a question's media from: the author's own, by their content. */
export const benchMedia =
  (media: Question['media']): MediaSource =>
  (id) => {
    const medium = Object.hasOwn(media, id) ? media[id] : undefined;
    return medium ? { url: mediumUrl(medium.hash), kind: medium.kind, description: medium.decorative ? '' : (medium.description ?? '') } : null;
  };
