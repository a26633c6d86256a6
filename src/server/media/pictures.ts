import sharp from 'sharp';
import type { MediumType } from '../../contract';

export interface Encoded {
  readonly bytes: Uint8Array;
  readonly type: MediumType;
  readonly width: number;
  readonly height: number;
}

/** The most pixels of a picture. Larger ones are refused before they are decoded. */
const MAX_PIXELS = 60_000_000;
/** A scene is shown at up to twice its units on sharp screens. */
const SHARP_SCREENS = 2;
const QUALITY = 82;

/**
 * A picture for the scene: upright, at most twice the size of its room, without the camera's metadata, in the lighter
 * of its own type and WebP. Null: unreadable.
 */
export async function encodePicture(
  bytes: Uint8Array,
  type: MediumType,
  room: { width: number; height: number },
): Promise<Encoded | null> {
  try {
    const animated = type === 'image/gif' || type === 'image/webp';
    const source = sharp(bytes, { limitInputPixels: MAX_PIXELS, animated, failOn: 'error' });
    const { pages = 1 } = await source.metadata();
    const fitted = source.rotate().resize({
      width: Math.ceil(room.width * SHARP_SCREENS),
      height: Math.ceil(room.height * SHARP_SCREENS),
      fit: 'inside',
      withoutEnlargement: true,
    });
    const webp = await fitted.clone().webp({ quality: QUALITY, effort: 4 }).toBuffer({ resolveWithObject: true });
    const own =
      type === 'image/png'
        ? await fitted
            .clone()
            .png({ compressionLevel: 9, palette: true, quality: 90 })
            .toBuffer({ resolveWithObject: true })
        : null;
    const best =
      own && own.data.length < webp.data.length ? { ...own, type } : { ...webp, type: 'image/webp' as const };
    return {
      bytes: best.data,
      type: best.type,
      width: best.info.width,
      height: best.info.pageHeight ?? best.info.height / (pages > 1 && !best.info.pageHeight ? pages : 1),
    };
  } catch {
    return null;
  }
}

/** A stored picture in its own type, scaled down to a width; the picture itself if that is lighter. */
export async function narrowPicture({
  bytes,
  type,
  width,
}: {
  bytes: Uint8Array;
  type: MediumType;
  width: number;
}): Promise<Uint8Array> {
  const animated = type === 'image/gif' || type === 'image/webp';
  const fitted = sharp(bytes, { limitInputPixels: MAX_PIXELS, animated }).resize({ width, withoutEnlargement: true });
  const made = await (type === 'image/webp' ? fitted.webp({ quality: QUALITY, effort: 4 }) : fitted).toBuffer();
  return made.length < bytes.length ? made : bytes;
}

/** How wide a picture in a list is at most, in pixels. */
const SMALL = 240;

/** A picture of anybody's file as it stands in a list, in WebP; null: unreadable. */
export async function smallPicture(bytes: Uint8Array): Promise<Uint8Array | null> {
  try {
    return await sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: 'error' })
      .rotate()
      .resize({ width: SMALL, height: SMALL, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: QUALITY, effort: 2 })
      .toBuffer();
  } catch {
    return null;
  }
}

/** The natural size of a drawing; null: it cannot be drawn. */
export async function sizeOfSvg(bytes: Uint8Array): Promise<{ width: number; height: number } | null> {
  try {
    const { width, height } = await sharp(bytes, { limitInputPixels: MAX_PIXELS }).metadata();
    return width && height ? { width, height } : null;
  } catch {
    return null;
  }
}
