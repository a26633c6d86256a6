import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Kept } from '../../demo/made';

/** The demo's media as if they were stored. */
export const demoMedia = (): Kept =>
  Object.fromEntries(
    readdirSync(join(import.meta.dirname, '../../demo/media'))
      .filter((file) => !file.endsWith('.vtt'))
      .map((file) => [
        file.replace(/\..*$/, ''),
        {
          hash: 'a'.repeat(64),
          kind: file.endsWith('.wav') ? 'sound' : file.endsWith('.webm') ? 'film' : 'picture',
          weight: 1000,
        },
      ]),
  );
