import type { Box, Corners, Fixture } from '../../../core';

/** What the kinds of question do with the pixels of a picture on the scene. */
export type PictureFixture = Extract<Fixture, { type: 'picture' }>;

export async function loaded(url: string): Promise<HTMLImageElement> {
  const image = new Image();
  image.src = url;
  await image.decode();
  return image;
}

/** Where on the scene a picture is drawn, in its own proportion within its box, and by how much it is scaled. */
function fitted({ x, y, w, h }: Box, { naturalWidth, naturalHeight }: HTMLImageElement) {
  const scale = Math.min(w / naturalWidth, h / naturalHeight);
  return { scale, left: x + (w - naturalWidth * scale) / 2, top: y + (h - naturalHeight * scale) / 2 };
}

/** What of a picture lies within an outline on the scene, as a picture of its own: clear outside of it. */
export async function cutOut(image: HTMLImageElement, picture: Box, corners: Corners, name: string): Promise<File> {
  const { scale, left, top } = fitted(picture, image);
  const inPixels = corners.map(([x, y]) => [(x - left) / scale, (y - top) / scale] as const);
  const [xs, ys] = [inPixels.map(([x]) => x), inPixels.map(([, y]) => y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [
    Math.max(1, Math.round(Math.max(...xs) - x)),
    Math.max(1, Math.round(Math.max(...ys) - y)),
  ];
  const context = canvas.getContext('2d');
  if (!context) throw new Error('No canvas');
  context.beginPath();
  for (const [px, py] of inPixels) context.lineTo(px - x, py - y);
  context.closePath();
  context.clip();
  context.drawImage(image, -x, -y);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('The canvas gave no picture');
  return new File([blob], name, { type: 'image/png' });
}

/** The colour of a picture just outside a box that lies on it, as its corners have it most: six hexadecimal digits. */
export async function groundAt(url: string, picture: PictureFixture, box: Box): Promise<string> {
  const image = await loaded(url);
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [image.naturalWidth, image.naturalHeight];
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('No canvas');
  context.drawImage(image, 0, 0);
  const { scale, left, top } = fitted(picture, image);
  const at = (x: number, y: number) => {
    const [px, py] = [Math.round((x - left) / scale), Math.round((y - top) / scale)];
    if (px < 0 || py < 0 || px >= canvas.width || py >= canvas.height) return null;
    const [r = 0, g = 0, b = 0, a = 0] = context.getImageData(px, py, 1, 1).data;
    return a < 128 ? null : `#${[r, g, b].map((part) => part.toString(16).padStart(2, '0')).join('')}`;
  };
  const out = 2;
  const steps = Array.from({ length: 9 }, (_, i) => i / 8);
  const around = steps.flatMap((t) => [
    at(box.x + t * box.w, box.y - out),
    at(box.x + t * box.w, box.y + box.h + out),
    at(box.x - out, box.y + t * box.h),
    at(box.x + box.w + out, box.y + t * box.h),
  ]);
  const counts = new Map<string, number>();
  for (const colour of around) if (colour) counts.set(colour, (counts.get(colour) ?? 0) + 1);
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  if (!most) throw new Error('The zone does not lie on the picture');
  return most[0];
}
