import type { MediumKind, MediumType } from '../../contract';

interface Known {
  readonly kind: MediumKind;
  readonly words: string;
  /** Its names in browsers and file systems. */
  readonly claims: readonly string[];
  readonly endings: readonly string[];
}

/** The accepted types, by their name in the application. */
export const TYPES = {
  'image/png': { kind: 'picture', words: 'PNG', claims: ['image/png'], endings: ['png'] },
  'image/jpeg': { kind: 'picture', words: 'JPEG', claims: ['image/jpeg', 'image/jpg'], endings: ['jpg', 'jpeg'] },
  'image/webp': { kind: 'picture', words: 'WebP', claims: ['image/webp'], endings: ['webp'] },
  'image/gif': { kind: 'picture', words: 'GIF', claims: ['image/gif'], endings: ['gif'] },
  'image/svg+xml': { kind: 'picture', words: 'SVG', claims: ['image/svg+xml'], endings: ['svg'] },
  'audio/mpeg': { kind: 'sound', words: 'MP3', claims: ['audio/mpeg', 'audio/mp3'], endings: ['mp3'] },
  'audio/ogg': {
    kind: 'sound',
    words: 'Ogg',
    claims: ['audio/ogg', 'application/ogg', 'video/ogg', 'audio/opus', 'audio/ogg; codecs=opus'],
    endings: ['ogg', 'oga', 'opus'],
  },
  'audio/wav': {
    kind: 'sound',
    words: 'WAV',
    claims: ['audio/wav', 'audio/x-wav', 'audio/wave', 'audio/vnd.wave'],
    endings: ['wav'],
  },
  'video/mp4': { kind: 'film', words: 'MP4', claims: ['video/mp4', 'video/x-m4v'], endings: ['mp4', 'm4v'] },
  'video/webm': { kind: 'film', words: 'WebM', claims: ['video/webm'], endings: ['webm'] },
  'font/woff2': { kind: 'font', words: 'WOFF2', claims: ['font/woff2', 'application/font-woff2'], endings: ['woff2'] },
} as const satisfies Record<string, Known>;

const entries = Object.entries(TYPES) as [MediumType, Known][];

/** The type of a MIME type or a file ending; null: not accepted. */
export function typeClaimed(claimed: string, name: string): MediumType | null {
  const ending = /\.([^.]+)$/.exec(name)?.[1]?.toLowerCase() ?? '';
  const byName = entries.find(([, { endings }]) => endings.includes(ending));
  return (byName ?? entries.find(([, { claims }]) => claims.includes(claimed)))?.[0] ?? null;
}

export const typeCalled = (mime: string): MediumType | null =>
  entries.find(([, { claims }]) => claims.includes(mime))?.[0] ?? null;

export const TAKEN =
  'Pictures are taken as PNG, JPEG, WebP, GIF or SVG, sounds as MP3, Ogg or WAV, films as MP4 or WebM, fonts as WOFF2.';
