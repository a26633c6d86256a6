import type { FixtureId, ItemId, MediaId, ZoneId } from '../document/ids';
import { freshIds, newItem, newZone } from '../document/make';
import type { Fixture, Item, Look, Question, Zone } from '../document/schema';
import { newEntry } from '../edit/keying';
import { cutAlong, endsOf } from '../geometry/bar';
import type { Corners } from '../geometry/polygon';
import type { Box } from '../geometry/space';
import { random, seedOf, shuffled } from '../random/random';

/** Pieces have no edge of their own, which would run through the picture that they make. */
const PIECE = 'piece';
const BARE: Look = {
  of: 'item',
  name: 'Piece',
  putAway: false,
  states: { rest: { edgeStyle: 'none' }, settled: { edgeStyle: 'none' } },
};

type Picture = Extract<Fixture, { type: 'picture' }>;

/** Part of a picture: its outline on the scene, and the medium that shows it alone. */
export interface Piece {
  readonly corners: Corners;
  readonly media: MediaId;
}

/** Less of a picture than this, in scene units, is no piece. */
const SLIVER = 8;
const CLOSE = 0.5;

const boxOf = (corners: Corners): Box => {
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, w: Math.max(...xs) - x, h: Math.max(...ys) - y };
};

const cornersOf = ({ x, y, w, h }: Box): Corners => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];

/** The pieces of a box by a grid, row by row. */
export function byGrid({ x, y, w, h }: Box, rows: number, columns: number): Corners[] {
  const size = { w: w / columns, h: h / rows };
  return Array.from({ length: rows * columns }, (_, i) =>
    cornersOf({ x: x + (i % columns) * size.w, y: y + Math.floor(i / columns) * size.h, ...size }),
  );
}

/** The lines that were drawn on the scene: long, thin shapes. */
export const linesOn = ({ fixtures }: Question): Extract<Fixture, { type: 'shape' }>[] =>
  fixtures.filter(
    (fixture): fixture is Extract<Fixture, { type: 'shape' }> =>
      fixture.type === 'shape' &&
      fixture.shape.type === 'rect' &&
      Math.max(fixture.w, fixture.h) >= 10 * Math.min(fixture.w, fixture.h),
  );

/** The pieces of a box along lines: each goes on through the whole of it. */
export function byLines(box: Box, lines: readonly (Box & { readonly rotation: number })[]): Corners[] {
  return lines.reduce<Corners[]>(
    (parts, line) => parts.flatMap((part) => cutAlong(part, endsOf(line), SLIVER)),
    [cornersOf(box)],
  );
}

/** Is an outline its own box? */
const isBox = (corners: Corners): boolean => {
  const { x, y, w, h } = boxOf(corners);
  return (
    corners.length === 4 &&
    corners.every(
      ([cx, cy]) =>
        (Math.abs(cx - x) < CLOSE || Math.abs(cx - x - w) < CLOSE) &&
        (Math.abs(cy - y) < CLOSE || Math.abs(cy - y - h) < CLOSE),
    )
  );
};

/**
 * Where a piece fits: over its own outline. What is not square is taken where the pointer is, since two such pieces may
 * have the same box.
 */
function placeOf(id: ZoneId, corners: Corners): Zone {
  const common = {
    id,
    label: '',
    settle: { rule: 'anchor', at: 'middle', gap: 0 },
    capacity: 1,
    whenFull: 'swap',
  } as const;
  if (isBox(corners))
    return newZone({ ...common, shape: { type: 'rect', ...boxOf(corners) }, reach: { rule: 'share', share: 0.5 } });
  return newZone({
    ...common,
    shape: { type: 'polygon', points: corners.map(([x, y]): [number, number] => [x, y]) },
    reach: { rule: 'pointer' },
  });
}

/**
 * The picture gives way to its pieces, which wait in the tray, and to the places in which they meet; `lines` go with
 * it.
 */
export function intoPieces(
  question: Question,
  picture: FixtureId,
  pieces: readonly Piece[],
  lines: readonly FixtureId[] = [],
): Question {
  const whole = question.fixtures.find(
    (fixture): fixture is Picture => fixture.type === 'picture' && fixture.id === picture,
  );
  if (!whole || pieces.length === 0) return question;
  const gone = new Set<string>([picture, ...lines]);
  const made = withPieces(question, pieces);
  const cut = new Set<string>(pieces.map(({ media }) => media));
  return {
    ...made,
    fixtures: made.fixtures.filter(({ id }) => !gone.has(id)),
    media: Object.fromEntries(
      Object.entries(made.media).map(([id, medium]) => [
        id,
        // Where in the picture it is from is what is asked.
        cut.has(id) ? { ...medium, description: medium.description ?? 'A piece of the picture' } : medium,
      ]),
    ),
  };
}

/** Pieces and their places, with room for them in a tray below what is there. */
function withPieces(question: Question, pieces: readonly Piece[]): Question {
  const fresh = freshIds(question);
  const before = question.items.filter(({ id }) => id.startsWith('piece-')).length;
  // Names in another order than the places: as a list, they would tell.
  const numbers = shuffled(pieces.length, random(seedOf(`${question.id} ${before} ${pieces.length}`)));
  const made = pieces.map(({ corners, media }, i) => {
    const { w, h } = boxOf(corners);
    const item: Item = newItem({
      id: fresh('items', 'piece') as ItemId,
      label: `Piece ${before + (numbers[i] as number) + 1}`,
      size: { w, h },
      content: { text: null, picture: media, sound: null },
      look: PIECE,
    });
    return { item, zone: placeOf(fresh('zones', 'joint') as ZoneId, corners) };
  });
  const items = [...question.items, ...made.map(({ item }) => item)];
  const [w, h] = [Math.max(...items.map(({ size }) => size.w)), Math.max(...items.map(({ size }) => size.h))];
  const perRow = Math.max(1, Math.floor((question.scene.width - 8) / (w + 8)));
  const band = Math.ceil(items.length / perRow) * (h + 8) + 8;
  const below =
    Math.max(
      ...pieces.map(({ corners }) => boxOf(corners)).map((box) => box.y + box.h),
      ...question.zones.flatMap(({ shape }) => (shape.type === 'rect' ? [shape.y + shape.h] : [])),
    ) + 24;
  const key = [
    ...question.key,
    ...made.map(({ item, zone }) => newEntry(zone.id, [item.id], { need: { rule: 'exactly', n: 1 } })),
  ];
  return {
    ...question,
    kind: 'build',
    scene: { ...question.scene, height: Math.ceil(below + band) },
    tray: { side: 'bottom', size: Math.ceil(band), order: 'shuffled' },
    looks: { ...question.looks, [PIECE]: question.looks[PIECE] ?? BARE },
    items,
    zones: [...question.zones, ...made.map(({ zone }) => zone)],
    key,
    marks: { ...question.marks, max: key.length },
  };
}

const BETWEEN = 24;

/** A piece of its own, as large as it is given, with its place right of the last one, or at the start of a new line. */
export function withPiece(
  question: Question,
  media: MediaId,
  size: { readonly w: number; readonly h: number },
): Question {
  const last = question.zones.findLast(({ shape }) => shape.type === 'rect')?.shape as
    | Extract<Zone['shape'], { type: 'rect' }>
    | undefined;
  const lowest = Math.max(
    0,
    ...question.zones.flatMap(({ shape }) => (shape.type === 'rect' ? [shape.y + shape.h] : [])),
  );
  const fits = last !== undefined && last.x + last.w + BETWEEN + size.w <= question.scene.width - BETWEEN;
  const at =
    last === undefined
      ? { x: BETWEEN, y: 40 }
      : fits
        ? { x: last.x + last.w + BETWEEN, y: last.y }
        : { x: BETWEEN, y: lowest + BETWEEN };
  return withPieces(question, [{ corners: cornersOf({ ...at, ...size }), media }]);
}

/**
 * Every place of a piece becomes as large as its piece, about the middle it has. A place that several may fill is as
 * large as the largest.
 */
export function matchedPlaces(question: Question): Question {
  const sizes = new Map(question.items.map(({ id, size }) => [id as string, size]));
  return {
    ...question,
    zones: question.zones.map((zone) => {
      const belongs = question.key.find((entry) => entry.zone === zone.id)?.belongs ?? [];
      if (zone.shape.type !== 'rect' || belongs.length === 0) return zone;
      const [w, h] = (['w', 'h'] as const).map((side) =>
        Math.max(...belongs.map((id) => sizes.get(id)?.[side] ?? 0)),
      ) as [number, number];
      if (w === 0 || h === 0) return zone;
      const { x, y, w: before, h: tall } = zone.shape;
      return { ...zone, shape: { type: 'rect', x: x + (before - w) / 2, y: y + (tall - h) / 2, w, h } };
    }),
  };
}
