import type { FixtureId, ItemId, MediaId, ZoneId } from '../document/ids';
import { newItem, newZone } from '../document/make';
import type { Fixture, Item, Question, Zone } from '../document/schema';

/** A picture cut into pieces by a grid: each piece is a picture of its own. `media[i]` is that of row ⌊i / columns⌋. */
export interface Pieces {
  readonly fixture: FixtureId;
  readonly rows: number;
  readonly columns: number;
  readonly media: readonly MediaId[];
}

/** The picture gives way to its pieces, which wait in the tray, and to the places in which they meet. */
export function intoPieces(question: Question, { fixture, rows, columns, media }: Pieces): Question {
  const whole = question.fixtures.find((one): one is Extract<Fixture, { type: 'picture' }> => one.type === 'picture' && one.id === fixture);
  if (!whole) return question;
  const size = { w: whole.w / columns, h: whole.h / rows };
  const at = (i: number) => ({ row: Math.floor(i / columns), column: i % columns });
  const name = (i: number) => `row ${at(i).row + 1}, column ${at(i).column + 1}`;
  const items = media.map(
    (picture, i): Item => newItem({ id: `piece-${i + 1}` as ItemId, label: `Piece ${i + 1}`, size, content: { text: null, picture, sound: null }, look: null }),
  );
  const zones = media.map((_, i): Zone => {
    const { row, column } = at(i);
    return newZone({
      id: `joint-${i + 1}` as ZoneId,
      label: '',
      shape: { type: 'rect', x: whole.x + column * size.w, y: whole.y + row * size.h, w: size.w, h: size.h },
      reach: { rule: 'share', share: 0.5 },
      settle: { rule: 'anchor', at: 'middle', gap: 0 },
      capacity: 1,
      whenFull: 'swap',
    });
  });
  const perRow = Math.max(1, Math.floor((question.scene.width - 8) / (size.w + 8)));
  const band = Math.ceil(media.length / perRow) * (size.h + 8) + 8;
  const below = whole.y + whole.h + 24;
  return {
    ...question,
    kind: 'build',
    scene: { ...question.scene, height: Math.ceil(below + band) },
    tray: { side: 'bottom', size: Math.ceil(band), order: 'shuffled' },
    fixtures: question.fixtures.filter(({ id }) => id !== fixture),
    items: [...question.items, ...items],
    zones: [...question.zones, ...zones],
    media: Object.fromEntries(
      Object.entries(question.media).map(([id, medium]) => [
        id,
        media.includes(id as MediaId) ? { ...medium, description: medium.description ?? `A piece: ${name(media.indexOf(id as MediaId))}` } : medium,
      ]),
    ),
    key: [
      ...question.key,
      ...media.map((_, i) => ({
        zone: `joint-${i + 1}` as ZoneId,
        belongs: [`piece-${i + 1}` as ItemId],
        need: { rule: 'exactly' as const, n: 1 },
        sum: null,
        sequence: false,
        weight: null,
        says: null,
      })),
    ],
    marks: { ...question.marks, max: question.key.length + media.length },
  };
}
