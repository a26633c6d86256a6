import type { MediumType } from '../../contract';
import type { WorkPool } from '../work/pool';
import type { MediaFiles } from './files';
import { TYPES } from './kinds';

/**
 * The widths pictures are had in, in pixels. What a page asks for is one of these, so that nobody fills the store with
 * others.
 */
const WIDTHS = [160, 320, 640, 1280, 2560];

/** A picture no wider than it is shown, made at the first asking and kept; drawings, sounds and films as they are. */
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
  // Rather a picture that is wider than needed than none.
  if (!made.ok) return whole;
  await files.put(name, made.value);
  return made.value;
}
