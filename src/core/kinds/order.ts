import { freshId } from '../document/freshId';
import type { FixtureId, ItemId } from '../document/ids';
import { newItem } from '../document/make';
import { plainText, richFromPlain } from '../document/plain';
import type { Rich } from '../document/rich';
import type { Fixture, Item, Question, Zone } from '../document/schema';
import type { Extent } from '../geometry/settle';
import type { Point } from '../geometry/space';
import { textWidth } from '../proof/text/measure';
import { random, seedOf, shuffled } from '../random/random';
import { type Layout, laidOut } from './layouts';
import { alike, codeWidth, isCode, stillWorth } from './sizes';

/** An entry of an order that is shown in its place and not moved: a fixture before or after the zone. */
export type End = 'first' | 'last';
const ENDS = ['first', 'last'] as const;
const idOf = (end: End) => `fixed-${end}` as FixtureId;
const frameOf = (end: End) => `fixed-${end}-frame` as FixtureId;
const isFixed = ({ id }: Fixture) => ENDS.some((end) => id === idOf(end) || id === frameOf(end));

const GAP = 14;
/** Half of the zone's title stands above it. */
const TOP = 34;
const TITLE = 14;
const WORDS = 24;
/** Entries down a page may be as wide as this. */
export const WIDE_TAG = 420;
const PADDING = 13;

const sequenceOf = ({ key }: Question) => key.find((entry) => entry.sequence);

/** The fixed entry at an end, as it is named; null where there is none. */
export function fixedAt({ fixtures }: Question, end: End): string | null {
  return fixtures.find(({ id }) => id === idOf(end))?.label ?? null;
}

/** Could the entry at an end be fixed? Two have to be left to be moved. */
export const canFix = (question: Question, end: End): boolean =>
  fixedAt(question, end) === null && (sequenceOf(question)?.belongs?.length ?? 0) > 2;

/** Fixes the entry at an end of the order in its place, or lets it be moved again. */
export function withFixed(question: Question, end: End, fixed: boolean): Question {
  if (fixed === (fixedAt(question, end) !== null)) return question;
  const changed = fixed ? fix(question, end) : loosen(question, end);
  if (changed === question) return question;
  const [before, after] = [question, changed].map((one) => sequenceOf(one)?.belongs?.length ?? 0) as [number, number];
  const marks = stillWorth(question.marks, before, after);
  return laidAsBefore(startedWrong(alike({ ...changed, marks }, WIDE_TAG)));
}

function fix(question: Question, end: End): Question {
  const sequence = sequenceOf(question);
  const id = end === 'first' ? sequence?.belongs?.[0] : sequence?.belongs?.at(-1);
  const item = question.items.find((item) => item.id === id);
  if (!item || !canFix(question, end)) return question;
  const box = { label: item.label, x: 0, y: 0, ...item.size, rotation: 0, front: false, when: null };
  const frame: Fixture = {
    ...box,
    type: 'shape',
    id: frameOf(end),
    label: '',
    shape: { type: 'rect', x: 0, y: 0, ...item.size },
    fill: 'paper',
    edge: 'rule',
    edgeWidth: 1,
  };
  const face: Fixture = item.content?.picture
    ? { ...box, type: 'picture', id: idOf(end), media: item.content.picture }
    : {
        ...box,
        type: 'text',
        id: idOf(end),
        text: item.content?.text ?? richFromPlain(item.label) ?? { blocks: [] },
        letters: null,
      };
  return {
    ...question,
    items: question.items.filter((item) => item.id !== id),
    fixtures: [...question.fixtures, frame, face],
    key: question.key.map((entry) =>
      entry === sequence ? { ...entry, belongs: (entry.belongs ?? []).filter((candidate) => candidate !== id) } : entry,
    ),
    start: null,
  };
}

function loosen(question: Question, end: End): Question {
  const face = question.fixtures.find(({ id }) => id === idOf(end));
  const sequence = sequenceOf(question);
  if (!face || !sequence) return question;
  const id = freshId('item', new Set<string>(question.items.map((item) => item.id))) as ItemId;
  const label = face.label || (face.type === 'text' ? plainText(face.text).trim() : '');
  const item: Item = newItem({
    id,
    label,
    size: { w: face.w, h: face.h },
    ...(face.type === 'picture' ? { content: { text: null, picture: face.media, sound: null } } : {}),
    ...(face.type === 'text' && isCode({ content: { text: face.text, picture: null, sound: null } })
      ? { content: { text: face.text, picture: null, sound: null } }
      : {}),
  });
  const belongs = end === 'first' ? [id, ...(sequence.belongs ?? [])] : [...(sequence.belongs ?? []), id];
  return {
    ...question,
    items: [...question.items, item],
    fixtures: question.fixtures.filter((fixture) => fixture.id !== idOf(end) && fixture.id !== frameOf(end)),
    key: question.key.map((entry) => (entry === sequence ? { ...entry, belongs } : entry)),
    start: null,
  };
}

/**
 * Shows the entries of an order as lines of code, in a font for it, or as words again. `lines`: as they are written,
 * with what is before their first character.
 */
export function asCode(question: Question, on: boolean, lines: readonly string[] = []): Question {
  const belongs = new Set<string>(sequenceOf(question)?.belongs ?? []);
  const written = new Map(lines.map((line) => [line.trim(), line]));
  const items = question.items.map((item): Item => {
    if (!belongs.has(item.id) || item.content?.picture) return item;
    if (!on) return isCode(item) ? { ...item, content: null } : item;
    const line = written.get(item.label) ?? plainText(item.content?.text ?? null) ?? item.label;
    return { ...item, content: { text: codeLine(line || item.label), picture: null, sound: null } };
  });
  return laidAsBefore(alike({ ...question, items }, WIDE_TAG));
}

const codeLine = (line: string): Rich =>
  ({
    blocks: [{ type: 'paragraph', dir: 'ltr', runs: [{ text: line.replaceAll('\t', '  ').trimEnd(), mono: true }] }],
  }) as Rich;

/** The lines of a text that is code, as far as its form tells: some are set in. Null: it is none. */
export function linesOfCode(text: string): string[] | null {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  return lines.some((line) => /^(?: {2}|\t)\s*\S/.test(line)) ? lines : null;
}

/** Is the order laid along a line? */
export function isAlong(question: Question): boolean {
  const zone = question.zones.find(({ id }) => id === sequenceOf(question)?.zone);
  return zone?.settle.rule === 'row' || zone?.settle.rule === 'grid';
}

/** Laid out anew in the direction it has. */
export const laidAsBefore = (question: Question): Question =>
  isAlong(question) ? alongALine(question) : downThePage(question);

const largest = ({ items }: Question): Extent => ({
  w: Math.max(...items.map(({ size }) => size.w)),
  h: Math.max(...items.map(({ size }) => size.h)),
});

/**
 * The entries of an order as one column, each as wide as the others, without a tray: they are moved within it. What is
 * fixed stands before and after it.
 */
export function downThePage(question: Question, layout: Layout | null = null): Question {
  if (layout !== null && layout !== 'trayBelow')
    return laidOut(
      { ...question, start: null, tray: question.tray ?? { side: 'bottom', size: 120, order: 'shuffled' } },
      layout,
    );
  const n = question.items.length;
  const cell = largest(question);
  const extra = question.items.filter(({ id }) => !question.start?.placements.some(({ item }) => item === id)).length;
  const tray = extra > 0 ? { side: 'right' as const, size: cell.w + 16, order: 'shuffled' as const } : null;
  const fixed = fixedCell(question, cell);
  const w = fixed.w + 2 * GAP;
  // What is taken out of the order lies beside it.
  const beside = cell.w + 48;
  const h = (n - extra) * (cell.h + GAP) + GAP;
  const width = Math.max(720, w + 2 * beside + (tray?.size ?? 0));
  const texts = question.fixtures.reduce(
    (sum, fixture) => sum + (fixture.type === 'shape' || isFixed(fixture) ? 0 : fixture.h + 12),
    0,
  );
  const zone = zoneOf(question);
  const x = Math.round((width - (tray?.size ?? 0) - w) / 2);
  const before = fixedAt(question, 'first') === null ? 0 : cell.h + TITLE;
  const after = fixedAt(question, 'last') === null ? 0 : cell.h + GAP;
  const y = TOP + texts + before;
  return {
    ...question,
    tray,
    scene: { width, height: Math.max(y + h + after + 36, extra * (cell.h + 8) + 8) },
    zones: question.zones.map((one) =>
      one.id === zone.id ? { ...one, settle: { rule: 'column', gap: GAP }, shape: { type: 'rect', x, y, w, h } } : one,
    ),
    items: question.items.map((item) => {
      const row = question.start?.placements.findIndex((placed) => placed.item === item.id) ?? -1;
      return { ...item, home: row < 0 ? null : { x: Math.round(x - beside + 24), y: y + GAP + row * (cell.h + GAP) } };
    }),
    fixtures: fixedPlaced(question, fixed, {
      first: { x: x + GAP, y: TOP + texts - TITLE },
      last: { x: x + GAP, y: y + h + GAP },
    }),
  };
}

/**
 * The order along one line, in a box as wide as all of them. What is fixed stands to the left and to the right of it.
 */
export function alongALine(question: Question): Question {
  const sized = alike(question, 180);
  const n = Math.max(sized.start?.placements.length ?? 0, sequenceOf(sized)?.belongs?.length ?? 0);
  const cell = largest(sized);
  const extra = sized.items.length - n;
  const band = extra > 0 ? cell.h + 16 : 0;
  const w = n * (cell.w + GAP) + GAP;
  const fixed = fixedCell(sized, cell);
  const [before, after] = ENDS.map((end) => (fixedAt(sized, end) === null ? 0 : fixed.w + GAP)) as [number, number];
  const width = Math.max(720, before + w + after + 56);
  const x = 28 + before + Math.max(0, Math.round((width - 56 - before - w - after) / 2));
  const texts = sized.fixtures.reduce(
    (sum, fixture) => sum + (fixture.type === 'shape' || isFixed(fixture) ? 0 : fixture.h + 12),
    0,
  );
  const [y, h] = [texts + 48, cell.h + 2 * GAP];
  const zone = zoneOf(sized);
  return {
    ...sized,
    // What is taken out of the order lies under it.
    scene: { width, height: y + h + GAP + cell.h + 28 + band },
    tray: extra > 0 ? { side: 'bottom', size: band, order: 'shuffled' } : null,
    zones: sized.zones.map((one) =>
      one.id === zone.id ? { ...one, settle: { rule: 'row', gap: GAP }, shape: { type: 'rect', x, y, w, h } } : one,
    ),
    items: sized.items.map((item) => {
      const column = sized.start?.placements.findIndex((placed) => placed.item === item.id) ?? -1;
      return { ...item, home: column < 0 ? null : { x: x + GAP + column * (cell.w + GAP), y: y + h + GAP } };
    }),
    fixtures: fixedPlaced(sized, fixed, {
      first: { x: x - GAP - fixed.w, y: y + GAP },
      last: { x: x + w + GAP, y: y + GAP },
    }),
  };
}

const zoneOf = (question: Question): Zone =>
  question.zones.find(({ id }) => id === sequenceOf(question)?.zone) ?? (question.zones[0] as Zone);

const FIXED_FONT = 18;
/** Of the frame as much stays free of the words that it can be pressed at the Bench. */
const BESIDE = 36;

const faceWidth = (text: Rich): number =>
  isCode({ content: { text, picture: null, sound: null } })
    ? codeWidth(plainText(text), FIXED_FONT)
    : textWidth(plainText(text), FIXED_FONT);

/** As large as what is moved, or as the words of what is fixed need. */
function fixedCell({ fixtures }: Question, { w, h }: Extent): Extent {
  const words = fixtures.flatMap((fixture) =>
    isFixed(fixture) && fixture.type === 'text' ? [faceWidth(fixture.text)] : [],
  );
  return { w: Math.ceil(Math.max(w, ...words.map((width) => width + PADDING + BESIDE))), h };
}

/** Frames and faces of what is fixed; words on the height of an item's. */
function fixedPlaced({ fixtures }: Question, cell: Extent, at: Readonly<Record<End, Point>>): Fixture[] {
  return fixtures.map((fixture): Fixture => {
    const end = ENDS.find((candidate) => fixture.id === idOf(candidate) || fixture.id === frameOf(candidate));
    if (!end) return fixture;
    const box = { ...at[end], ...cell };
    if (fixture.type === 'shape') return { ...fixture, ...box, shape: { type: 'rect', x: 0, y: 0, ...cell } };
    if (fixture.type === 'text')
      return {
        ...fixture,
        x: box.x + PADDING,
        w: box.w - PADDING - BESIDE + 2,
        y: box.y + Math.max(0, (box.h - WORDS) / 2),
        h: WORDS,
      };
    return { ...fixture, ...box };
  });
}

/**
 * An order begins with its entries in their zone, none of them where it belongs (a derangement), so that whoever moves
 * nothing earns nothing. The items are listed as they lie, so that their list does not tell the order.
 */
export function startedWrong(question: Question, seed = 'start'): Question {
  const sequence = sequenceOf(question);
  const belongs = sequence?.belongs ?? [];
  if (!sequence || belongs.length < 2) return question;
  const next = random(seedOf(`${question.id} ${seed}`));
  let turn = belongs.map((_, i) => i);
  for (let tries = 0; tries < MAX_DRAWS && turn.some((at, i) => at === i); tries++)
    turn = shuffled(belongs.length, next);
  // By the draw's own chance (1/e each time) this is never needed but for a short order.
  if (turn.some((at, i) => at === i)) turn = belongs.map((_, i) => (i + 1) % belongs.length);
  const lying = turn.map((at) => belongs[at] as ItemId);
  const lies = new Set<string>(lying);
  const items = [
    ...lying.flatMap((id) => question.items.filter((item) => item.id === id)),
    ...question.items.filter(({ id }) => !lies.has(id)),
  ];
  return { ...question, items, start: { placements: lying.map((item) => ({ item, copy: 0, zone: sequence.zone })) } };
}
const MAX_DRAWS = 60;
