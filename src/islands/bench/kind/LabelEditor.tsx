import { Pipette, Slash } from 'lucide-react';
import { toast } from 'sonner';
import { add, type Fixture, outlineOf, type Question, refTo, type Zone } from '../../../core';
import { freshId } from '../../../core/document';
import { mediumUrl } from '../media/source';
import { Section } from '../parts/Section';
import type { BenchStore } from '../store';

type Picture = Extract<Fixture, { type: 'picture' }>;
type ShapeFixture = Extract<Fixture, { type: 'shape' }>;

/** Places on a picture: a printed word is covered with the picture's own ground, and a line leads from a zone to its place. */
export function LabelEditor({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const zones = question.zones.filter(({ id }) => selection.has(refTo('zone', id)));
  const picture = question.fixtures.find((one): one is Picture => one.type === 'picture');
  const cover = async () => {
    if (!picture) return;
    const shapes: ShapeFixture[] = [];
    for (const zone of zones) {
      const box = boundsOf(zone);
      const medium = question.media[picture.media];
      const fill = box && medium ? await groundAt(mediumUrl(medium.hash), picture, box).catch(() => null) : null;
      if (box && fill) shapes.push(shapeFixture(store.getState().question, shapes, { ...box, fill, edge: null, label: `Cover of ${zone.label || zone.id}` }));
    }
    if (shapes.length === 0) return void toast.error('The colour could not be taken from the picture', { description: 'A zone has to lie on it.' });
    store.getState().do(add(store.getState().question, 'fixtures', shapes), 'Covered with the picture’s own ground');
  };
  const lead = () => {
    const now = store.getState().question;
    const lines: ShapeFixture[] = [];
    for (const zone of zones) {
      const box = boundsOf(zone);
      if (box && picture) lines.push(shapeFixture(now, lines, { ...lineTo(box, picture), edge: 'ink', fill: 'ink', label: `Line of ${zone.label || zone.id}` }));
    }
    store.getState().do(add(now, 'fixtures', lines), 'Lines lead to the picture: pull their far ends to the places');
    store.getState().select(lines.map(({ id }) => refTo('fixture', id)));
  };
  return (
    <Section title="On the picture">
      <p className="text-mute">
        {!picture ? 'Add a picture at Lay out, and a zone over each place.' : zones.length === 0 ? 'Select the zones that are meant.' : `${zones.length} selected: ${named(zones)}`}
      </p>
      <div className="flex flex-wrap gap-2 mt-2">
        <button type="button" className="btn btn-edge btn-xs" disabled={!picture || zones.length === 0} onClick={() => void cover()}>
          <Pipette size={13} aria-hidden /> Cover what is printed there
        </button>
        <button type="button" className="btn btn-edge btn-xs" disabled={!picture || zones.length === 0} onClick={lead}>
          <Slash size={13} aria-hidden /> Draw a leader line
        </button>
      </div>
    </Section>
  );
}

const boundsOf = ({ shape, rotation }: Zone) => outlineOf(shape, rotation)?.box ?? null;
const named = (zones: readonly Zone[]) => zones.map(({ label, id }) => label || id).join(', ');

function shapeFixture(
  question: Question,
  made: readonly ShapeFixture[],
  { x, y, w, h, rotation = 0, fill, edge, label }: { x: number; y: number; w: number; h: number; rotation?: number; fill: string | null; edge: string | null; label: string },
): ShapeFixture {
  const taken = new Set<string>([...question.fixtures, ...made].map(({ id }) => id));
  return {
    type: 'shape',
    id: freshId('shape', taken) as ShapeFixture['id'],
    label,
    x,
    y,
    w,
    h,
    rotation,
    front: false,
    shape: { type: 'rect', x: 0, y: 0, w, h },
    fill,
    edge,
    edgeWidth: edge ? 1 : 0,
  };
}

/** A thin bar from the zone's nearer side to the middle of the picture. */
function lineTo(box: { x: number; y: number; w: number; h: number }, picture: Picture) {
  const to = { x: picture.x + picture.w / 2, y: picture.y + picture.h / 2 };
  const from = { x: to.x < box.x ? box.x : to.x > box.x + box.w ? box.x + box.w : box.x + box.w / 2, y: box.y + box.h / 2 };
  const length = Math.max(20, Math.hypot(to.x - from.x, to.y - from.y));
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  return { x: middle.x - length / 2, y: middle.y - 1, w: length, h: 2, rotation: Math.round((Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI) };
}

/** The colour of a picture just outside a box that lies on it, as its corners have it most: six hexadecimal digits. */
async function groundAt(url: string, picture: Picture, box: { x: number; y: number; w: number; h: number }): Promise<string> {
  const image = new Image();
  image.src = url;
  await image.decode();
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [image.naturalWidth, image.naturalHeight];
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('No canvas');
  context.drawImage(image, 0, 0);
  const scale = Math.min(picture.w / image.naturalWidth, picture.h / image.naturalHeight);
  const [left, top] = [picture.x + (picture.w - image.naturalWidth * scale) / 2, picture.y + (picture.h - image.naturalHeight * scale) / 2];
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
