import type { FixtureId, ItemId, ZoneId } from '../document/ids';
import { newItem, newZone } from '../document/make';
import { richFromPlain } from '../document/plain';
import type { Fixture, Item, Kind, Question, Zone } from '../document/schema';
import { newEntry } from '../edit/keying';
import { linesNeeded } from '../proof/text/measure';
import { liftOut } from './gaps';
import { type Layout, laidOut } from './layouts';
import type { Group, Listing } from './listing';
import { asCode, downThePage, linesOfCode, startedWrong, WIDE_TAG } from './order';
import { alike } from './sizes';

/** The kinds for which a list or a text is enough. */
export const FROM_TEXT = ['sort', 'order', 'gaps', 'pick', 'label'] as const satisfies readonly Kind[];
export type FromText = (typeof FROM_TEXT)[number];

/** A proposal, or what the text lacks for it. */
export type Proposed =
  | { readonly ok: true; readonly question: Question }
  | { readonly ok: false; readonly message: string };
const lacking = (message: string): Proposed => ({ ok: false, message });

/** Headings under which stands what belongs nowhere. */
const NOWHERE = /^(none|neither|nowhere|others?|distractors?|wrong|does not belong|do not belong)$/i;
const RIGHT = /^(right|yes|true|correct|x|✓|1)$/i;

const itemId = (i: number) => `item-${i + 1}` as ItemId;
const zoneId = (i: number) => `zone-${i + 1}` as ZoneId;

/** Nothing of the scene: what stays is its id, its title and its words. */
const emptied = (question: Question, kind: Kind): Question => ({
  ...question,
  kind,
  items: [],
  zones: [],
  key: [],
  fixtures: [],
  start: null,
  tray: { side: 'bottom', size: 120, order: 'shuffled' },
  marks: { ...question.marks, rule: 'perPlacement' },
  bench: { locked: [], veiled: [], groups: [] },
  show: { ...question.show, places: [] },
});

/** Items of one name are one item with as many copies. */
function itemsOf(
  labels: readonly string[],
  more: Partial<Item> = {},
): { readonly items: Item[]; readonly idOf: ReadonlyMap<string, ItemId> } {
  const counts = new Map<string, number>();
  for (const label of labels) counts.set(label, (counts.get(label) ?? 0) + 1);
  const names = [...counts.keys()];
  return {
    items: names.map((label, i) => newItem({ id: itemId(i), label, copies: counts.get(label) ?? 1, ...more })),
    idOf: new Map(names.map((label, i) => [label, itemId(i)])),
  };
}

/**
 * A working question of a kind from what was pasted, laid out so that everything fits. `layout` null: the one that
 * suits the kind.
 */
export function propose(question: Question, kind: FromText, listing: Listing, layout: Layout | null = null): Proposed {
  if (listing.text === '') return lacking('Paste a list, a table or a text first.');
  const made = MAKERS[kind](emptied(question, kind), listing, layout);
  if (!made.ok) return made;
  const { key } = made.question;
  const places = key.reduce(
    (sum, { belongs, need }) => sum + (need?.rule === 'exactly' ? need.n : (belongs?.length ?? 0)),
    0,
  );
  return { ok: true, question: { ...made.question, marks: { ...made.question.marks, max: Math.max(1, places) } } };
}

const SENTENCE_WORDS = 6;

/** The kind that a list, a table or a text looks like. */
export function kindFor({ rows, groups, starred, text }: Listing): FromText {
  if (starred.size > 0) return 'pick';
  const pairs = rows.length > 0 && rows.every((cells) => cells.length === 2);
  if (pairs && rows.every(([, right = '']) => RIGHT.test(right) || NOWHERE.test(right))) return 'pick';
  // A place and its name, line by line: no name stands there twice.
  const named = pairs && rows.every(([place, name]) => place !== '' && name !== '');
  if (named && new Set(rows.map(([, name]) => name)).size === rows.length) return 'label';
  if (groups && groups.length > 1) return 'sort';
  if (pairs) return 'label';
  const words = text.split(/\s+/).length;
  return words / Math.max(1, rows.length) > SENTENCE_WORDS ? 'gaps' : 'order';
}

const MAKERS: { readonly [K in FromText]: (question: Question, listing: Listing, layout: Layout | null) => Proposed } =
  { sort, order, gaps, pick, label };

const MAX_GROUPS = 8;

function sort(question: Question, { groups, rows }: Listing, layout: Layout | null): Proposed {
  const all: readonly Group[] = groups ?? [
    { heading: 'Belongs here', entries: rows.flatMap(([first]) => first || []) },
  ];
  const shown = all.filter(({ heading }) => !NOWHERE.test(heading));
  if (shown.length === 0)
    return lacking('A heading is needed for each group, such as “Stands drying:”, with its entries under it.');
  if (shown.length > MAX_GROUPS)
    return lacking(`These are ${shown.length} groups; a Sort question has at most ${MAX_GROUPS}.`);
  const empty = shown.find(({ entries }) => entries.length === 0);
  if (empty) return lacking(`Nothing stands under “${empty.heading}”.`);
  const owners = new Map<string, Set<string>>();
  for (const { heading, entries } of shown)
    for (const label of entries) owners.set(label, (owners.get(label) ?? new Set()).add(heading));
  const twice = [...owners].find(([, of]) => of.size > 1);
  if (twice)
    return lacking(
      `“${twice[0]}” stands under ${[...twice[1]].map((name) => `“${name}”`).join(' and ')}. Say where it belongs.`,
    );
  const { items, idOf } = itemsOf(all.flatMap(({ entries }) => entries));
  const zones = shown.map(
    ({ heading }, i): Zone =>
      newZone({
        id: zoneId(i),
        label: heading,
        shape: { type: 'rect', x: 0, y: 0, w: 200, h: 200 },
        settle: { rule: 'grid', gap: 14 },
      }),
  );
  const key = shown.map(({ entries }, i) =>
    newEntry(
      zoneId(i),
      [...new Set(entries)].map((label) => idOf.get(label) as ItemId),
    ),
  );
  const made = alike({
    ...question,
    items,
    zones,
    key,
  });
  return {
    ok: true,
    question: laidOut(made, layout ?? (shown.length === 3 || shown.length > 4 ? 'threeColumns' : 'trayBelow')),
  };
}

function order(question: Question, { rows, text }: Listing, layout: Layout | null): Proposed {
  const code = linesOfCode(text);
  const labels = code ? code.map((line) => line.trim()) : rows.map((cells) => cells.filter(Boolean).join(' · '));
  if (labels.length < 2) return lacking('Put each step on a line of its own: an order needs two or more.');
  const twice = labels.find((label, i) => labels.indexOf(label) !== i);
  if (twice) return lacking(`“${twice}” stands there twice. In an order each entry is another one.`);
  const { items } = itemsOf(labels);
  const zone = newZone({
    id: zoneId(0),
    label: 'In order',
    shape: { type: 'rect', x: 0, y: 0, w: 300, h: 300 },
    settle: { rule: 'column', gap: 14 },
  });
  const key = [
    newEntry(
      zone.id,
      items.map(({ id }) => id),
      { sequence: true },
    ),
  ];
  // After a miss the order stays as it is, to be corrected.
  const made = alike({ ...question, items, zones: [zone], key, afterMiss: 'leave' }, WIDE_TAG);
  const begun = startedWrong(made);
  return { ok: true, question: code ? asCode(begun, true, code) : downThePage(begun, layout) };
}

const TEXT_WIDTH = 904;
const FONT = 18;
/** With gaps in them lines stand further apart. */
const LINE = 40;

/** The height a text with gaps takes on the scene. */
export const gapTextHeight = (lines: number): number => lines * LINE + 24;

function gaps(question: Question, listing: Listing, _: Layout | null): Proposed {
  const { rows, text } = listing;
  // A table of sentences and the words that are to be lifted out of them.
  const pairs = rows.filter((cells) => cells.length > 1);
  const sentences =
    pairs.length > 0 ? pairs.map(([first = '']) => first) : text.split(/\n+/).map((line) => line.trim());
  const fixture: Fixture = {
    ...TEXT,
    id: 'text' as FixtureId,
    label: 'Text',
    text: richFromPlain(sentences.join('\n')) ?? { blocks: [] },
    letters: null,
    h: 100,
  };
  let made: Question = { ...question, fixtures: [fixture] };
  sentences.forEach((sentence, block) => {
    const words = pairs.length > 0 ? (pairs[block]?.slice(1).filter(Boolean) ?? []) : longest(sentence);
    for (const word of words) {
      const from = placeOf(made, block, word);
      if (from >= 0) made = liftOut(made, 'text', { block, from, to: from + word.length });
    }
  });
  if (made.zones.length === 0)
    return lacking(
      pairs.length > 0
        ? 'None of the words in the second column stands in its sentence.'
        : 'There is no word in it that is long enough to be lifted out.',
    );
  return { ok: true, question: gapsLaidOut(made) };
}

const TEXT = { type: 'text', x: 28, y: 20, w: TEXT_WIDTH, rotation: 0, front: false, when: null } as const;

/** Where a word stands in a paragraph as it is now, with gaps as one character; −1: nowhere. */
function placeOf(question: Question, block: number, word: string): number {
  const fixture = question.fixtures[0];
  const paragraph = fixture?.type === 'text' ? fixture.text.blocks[block] : undefined;
  if (paragraph?.type !== 'paragraph') return -1;
  return paragraph.runs
    .map(({ text }) => text ?? '\u0000')
    .join('')
    .indexOf(word);
}

const MIN_LETTERS = 5;
/** The word of a sentence that is proposed for a gap: its longest. */
function longest(sentence: string): string[] {
  const words = sentence.match(/[\p{L}\p{N}’'-]+/gu) ?? [];
  const most = words.reduce((best, word) => (word.length > best.length ? word : best), '');
  return most.length >= MIN_LETTERS ? [most] : [];
}

/** The text above, as high as it needs to be, and the words in a tray below. */
export function gapsLaidOut(question: Question): Question {
  const sized = alike(question);
  const fixtures = sized.fixtures.map((fixture): Fixture => {
    if (fixture.type !== 'text' || fixture.id !== 'text') return fixture;
    const lines = fixture.text.blocks.reduce((sum, block) => {
      const runs = block.type === 'paragraph' ? block.runs : block.entries.flat();
      // A gap is drawn as wide as the longest word at most, with its frame.
      return sum + linesNeeded(runs.map(({ text }) => text ?? 'm'.repeat(14)).join(''), FONT, TEXT_WIDTH);
    }, 0);
    return { ...fixture, h: gapTextHeight(Math.max(2, lines)) };
  });
  return laidOut({ ...sized, fixtures }, 'trayBelow');
}

function pick(question: Question, { rows, groups, starred }: Listing, layout: Layout | null): Proposed {
  const marked = rows.some((cells) => cells.length > 1) ? rows : null;
  const lines = marked
    ? marked.map(([label = '', right = '']) => ({ label, right: RIGHT.test(right) }))
    : groups
      ? groups.flatMap(({ heading, entries }) =>
          entries.map((label) => ({ label, right: RIGHT.test(heading) || !NOWHERE.test(heading) })),
        )
      : rows.map(([label = ''], i) => ({
          label: starred.size > 0 ? label.replace(/^\*\s*/, '') : label,
          right: starred.size > 0 ? starred.has(i) : i === 0,
        }));
  const named = lines.filter(({ label }, i) => label !== '' && lines.findIndex((line) => line.label === label) === i);
  if (named.length < 2) return lacking('Put each choice on a line of its own: there have to be two or more.');
  if (!named.some(({ right }) => right))
    return lacking(
      'None of them is marked as right. Put “right” or “yes” beside those that are, or under a heading “Right:”.',
    );
  const right = named.filter((candidate) => candidate.right);
  const { items, idOf } = itemsOf(
    named.map(({ label }) => label),
    { stays: true },
  );
  const single = right.length === 1;
  const zone = newZone({
    id: zoneId(0),
    label: 'Picked',
    shape: { type: 'slot' },
    capacity: single ? 1 : null,
    whenFull: single ? 'swap' : 'refuse',
  });
  const key = [
    newEntry(
      zone.id,
      right.map(({ label }) => idOf.get(label) as ItemId),
    ),
  ];
  const made = alike({ ...question, items, zones: [zone], key, tray: null }, WIDE_TAG);
  const padded = {
    ...made,
    items: made.items.map((item) => ({
      ...item,
      size: { ...item.size, w: Math.max(MIN_CHOICE, item.size.w + PICK_MARK) },
    })),
  };
  return { ok: true, question: laidOut(padded, layout ?? 'trayBelow') };
}
/** The notch at the start of what is picked. */
const PICK_MARK = 32;
const MIN_CHOICE = 300;

function label(question: Question, { rows }: Listing, layout: Layout | null): Proposed {
  const lines = rows
    .map(([first = '', second = '']) => (second === '' ? { place: '', name: first } : { place: first, name: second }))
    .filter(({ name }) => name !== '');
  if (lines.length === 0) return lacking('Put each name on a line of its own, or a place and its name side by side.');
  const places = lines.map(({ place }, i) => place || `Place ${i + 1}`);
  const { items, idOf } = itemsOf(lines.map(({ name }) => name));
  const zones = places.map(
    (place, i): Zone =>
      newZone({
        id: zoneId(i),
        label: place,
        shape: { type: 'rect', x: 0, y: 0, w: 160, h: 70 },
        capacity: 1,
        whenFull: 'swap',
        settle: { rule: 'anchor', at: 'middle', gap: 14 },
      }),
  );
  const key = lines.map(({ name }, i) =>
    newEntry(zoneId(i), [idOf.get(name) as ItemId], { need: { rule: 'exactly', n: 1 } }),
  );
  return { ok: true, question: laidOut(alike({ ...question, items, zones, key }), layout ?? 'threeColumns') };
}
