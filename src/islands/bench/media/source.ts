import type { Question } from '../../../core';
import type { MediaSource } from '../../../scene';

export const mediumUrl = (hash: string) => `/media/${hash}`;

/** Where the Bench has a question's media from: the author's own, by their content. */
export const benchMedia =
  (media: Question['media']): MediaSource =>
  (id) => {
    const medium = Object.hasOwn(media, id) ? media[id] : undefined;
    if (!medium) return null;
    const { kind, captions, description, decorative } = medium;
    // What is not kept yet is nowhere but here.
    return {
      url: mediumUrl(medium.hash),
      kind,
      description: decorative ? '' : (description ?? ''),
      captions: captions ? `data:text/vtt,${encodeURIComponent(captions)}` : undefined,
    };
  };
