import type { SourceContent } from '../../contract';
import type { Question } from '../../core';
import type { MediaSource } from '../../scene';
import type { SourceAddress } from '../player/place/Sources';

/** Where a source of one's own set is read: the file, and captions that stand in the set. */
export function ownSource(source: Pick<SourceContent, 'medium' | 'captions'> | undefined): SourceAddress {
  const file = mediumUrl(source?.medium?.hash ?? '');
  return { file, picture: file, captions: captionsUrl(source?.captions ?? '') };
}

const captionsUrl = (captions: string) => `data:text/vtt,${encodeURIComponent(captions)}`;

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
      captions: captions ? captionsUrl(captions) : undefined,
    };
  };
