import type { MediumType } from '../../contract';
import type { WorkPool } from '../work/pool';
import type { MediaFiles } from './files';
import { TYPES } from './kinds';

/** The widths in which pictures are served, in pixels. Other widths are refused, so that nobody can fill the store. */
const WIDTHS = [160, 320, 640, 1280, 2560];

/** A picture scaled to the width at which it is shown, made on first use and cached; other media as they are. */
export async function inWidth(
  { files, work }: { readonly files: MediaFiles; readonly work: WorkPool },
  hash: string,
  type: MediumType,
  width: number | null,
): Promise<Uint8Array | null> {
  if (width === null || !WIDTHS.includes(width) || TYPES[type].kind !== 'picture' || type === 'image/svg+xml')
    return files.get(hash);
  const name = `${hash}-${width}`;
  const kept = await files.get(name);
  if (kept) return kept;
  const whole = await files.get(hash);
  if (!whole) return null;
  const made = await work.run('narrowPicture', { bytes: whole, type, width });
  // Better a picture that is too wide than none.
  if (!made.ok) return whole;
  await files.put(name, made.value);
  return made.value;
}
