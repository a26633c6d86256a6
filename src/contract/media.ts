// Pictures, sounds, films and fonts.
import { number, object } from 'yup';
import { words } from './fields';
import { MAX_FILE_BYTES } from './limits';
import { file, json, type Operation } from './operation';

export const MEDIUM_KINDS = ['picture', 'sound', 'film', 'font'] as const;
export type MediumKind = (typeof MEDIUM_KINDS)[number];
/** What can be shown beside a question. */
export const SOURCE_KINDS = ['picture', 'sound', 'film'] as const;
export type SourceKind = (typeof SOURCE_KINDS)[number];
export const isShown = (kind: MediumKind): kind is SourceKind => kind !== 'font';

/** The accepted media types. */
export type MediumType =
  | 'image/png'
  | 'image/jpeg'
  | 'image/webp'
  | 'image/gif'
  | 'image/svg+xml'
  | 'audio/mpeg'
  | 'audio/ogg'
  | 'audio/wav'
  | 'video/mp4'
  | 'video/webm'
  | 'font/woff2';

export interface StoredMedium {
  readonly hash: string;
  readonly kind: MediumKind;
  readonly type: MediumType;
  /** Bytes in the learner's page. */
  readonly weight: number;
  /** Of pictures, in pixels; null of others. */
  readonly width: number | null;
  readonly height: number | null;
}

export interface MediumRow extends StoredMedium {
  readonly name: string;
}

export interface MediaUsage {
  /** Bytes. */
  used: number;
  quota: number;
  /** Unused files: their number and their bytes. */
  unused: { files: number; bytes: number };
}

/** A file: its name, and the size of the scene it is for, in scene units. */
const MAX_SIDE = 10_000;

const side = () =>
  number()
    .typeError('has to be a number')
    .transform((value: number) => Math.min(MAX_SIDE, Math.max(1, Math.round(value))))
    .default(1000);

export const newMedium = object({ name: words(200).required('is missing'), width: side(), height: side() });

export const mediaOperations = {
  'GET /media/{hash}': {
    who: 'teacher',
    does: 'A teacher’s own medium.',
    answer: file('image/*', 'audio/*', 'video/*', 'font/woff2'),
  },
  'GET /stand-in/film': {
    who: 'anyone',
    does: 'The stand-in for a film player that lies elsewhere.',
    answer: file('text/html'),
  },
  'GET /api/media': { who: 'teacher', does: 'The teacher’s media.', answer: json<MediumRow[]>() },
  'POST /api/media': {
    who: 'teacher',
    does: 'Stores a picture, a sound, a film or a font, after checking that it is what it claims to be.',
    sends: '*/*',
    query: newMedium,
    maxBytes: MAX_FILE_BYTES,
    answer: json<StoredMedium>(),
  },
  'GET /api/media/usage': {
    who: 'teacher',
    does: 'How much the teacher’s media take, and what of it nothing uses.',
    answer: json<MediaUsage>(),
  },
  'DELETE /api/media/usage': {
    who: 'teacher',
    does: 'Deletes the teacher’s media that nothing uses.',
    answer: json<MediaUsage>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
