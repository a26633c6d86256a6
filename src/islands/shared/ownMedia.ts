import type { Question } from '../../core';
import type { MediaSource } from '../../scene';

export const mediumUrl = (hash: string) => `/media/${hash}`;

/** The Bench's source of media: the author's own, by their hashes. */
export const benchMedia =
  (media: Question['media']): MediaSource =>
  (id) => {
    const medium = Object.hasOwn(media, id) ? media[id] : undefined;
    if (!medium) return null;
    const { kind, captions, description, decorative } = medium;
    // A file that is not stored yet exists only here.
    return {
      url: mediumUrl(medium.hash),
      kind,
      description: decorative ? '' : (description ?? ''),
      captions: captions ? `data:text/vtt,${encodeURIComponent(captions)}` : undefined,
    };
  };
