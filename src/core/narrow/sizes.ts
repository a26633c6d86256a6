import { ITEM_SIZE } from '../document/appearance';
import type { Fixture } from '../document/schema';
import type { Extent } from '../geometry/settle';
import { type Lettering, letteringOf, lettersIn } from '../looks/lettersIn';
import { linesIn } from '../proof/text/lines';
import type { LearnerItem, LearnerQuestion, LearnerZone } from '../sitting/learnerEdition';
import { linesOf } from './richLines';

/** How wide a text is in one line of a lettering, in scene units: the page measures it, tests count it from tables. */
export type WidthIn = (text: string, lettering: Lettering) => number;

/**
 * CSS pixels a scene unit has on a narrow page: there an item's words, {@link ITEM_SIZE} units high, are 16 px high.
 */
export const NARROW_SCALE = 16 / ITEM_SIZE;
/** What a finger covers, 44 CSS px, in scene units of a narrow page. */
export const FINGER = 44 / NARROW_SCALE;

/** As the page draws tags, titles and texts (scene.css, player.css), in scene units. */
const TITLE_SIZE = 16;
const TEXT_SIZE = 18;
const ITEM_LINE = 1.15;
const TITLE_LINE = 1.25;
const TEXT_LINE = 1.35;
const ITEM_PADDING = { x: 14, y: 10 };
/** The box at the start of what is picked in its place. */
const PICK_MARK = 34;
const TITLE_PADDING = 20;
/** No line of an item is longer than this many times its size, where it has several. */
const LONGEST_LINE = 20;

/** The words of an item as its tag shows them. */
const wordsOf = ({ label, content }: LearnerItem): readonly string[] =>
  content ? linesOf(content.text) : label === '' ? [] : [label];

/** How large an item is drawn so that its words fit in every state of its look, and a finger on it; at most so wide. */
export function itemSize(question: LearnerQuestion, item: LearnerItem, most: number, widthIn: WidthIn): Extent {
  const words = wordsOf(item);
  const pictured = item.content?.picture != null || hasPicture(question, item.look);
  const least = pictured ? held(item.size, most) : { w: FINGER, h: FINGER };
  if (words.length === 0) return least;
  const padding = ITEM_PADDING.x + (item.stays ? PICK_MARK : 0);
  const letterings = lettersIn(question, item.look, ITEM_SIZE).map(grown);
  const inOneLine = Math.max(...letterings.flatMap((l) => words.map((line) => widthIn(line, l))));
  const longest = Math.max(
    ...letterings.flatMap((l) => words.flatMap((line) => line.split(/\s+/)).map((word) => widthIn(word, l))),
  );
  const comfortable = Math.max(longest, LONGEST_LINE * ITEM_SIZE);
  const w = item.stays
    ? most
    : Math.min(most, Math.max(least.w, Math.ceil(Math.min(inOneLine, comfortable) + padding)));
  const high = Math.max(
    ...letterings.map((l) => {
      const lines = words.reduce((sum, line) => sum + linesIn(line, (text) => widthIn(text, l), w - padding), 0);
      return lines * l.size * ITEM_LINE;
    }),
  );
  // Beside a picture of its own, words stand beneath it.
  const above = item.content?.picture ? least.h : 0;
  return { w, h: Math.max(least.h, Math.ceil(above + high + ITEM_PADDING.y)) };
}

/** Do the words of an item fit in its box, in letters larger by a factor? A picture needs its place: there they do not. */
export function wordsFit(question: LearnerQuestion, item: LearnerItem, factor: number, widthIn: WidthIn): boolean {
  if (item.content?.picture != null || hasPicture(question, item.look)) return false;
  const words = wordsOf(item);
  const room = { w: item.size.w - ITEM_PADDING.x - (item.stays ? PICK_MARK : 0), h: item.size.h - ITEM_PADDING.y };
  return lettersIn(question, item.look, ITEM_SIZE)
    .map((lettering) => ({ ...lettering, size: lettering.size * factor }))
    .every((lettering) => {
      const widths = (text: string) => widthIn(text, lettering);
      const lines = words.reduce((sum, line) => sum + linesIn(line, widths, room.w), 0);
      const isWhole = words.flatMap((line) => line.split(/\s+/)).every((word) => widths(word) <= room.w);
      return isWhole && lines * lettering.size * ITEM_LINE <= room.h;
    });
}

/** An author's small letters are drawn no smaller than others on a narrow page. */
const grown = (lettering: Lettering): Lettering => ({ ...lettering, size: Math.max(ITEM_SIZE, lettering.size) });

const hasPicture = ({ looks }: LearnerQuestion, look: string | null): boolean =>
  look !== null &&
  Object.values((looks[look]?.states ?? {}) as Record<string, { picture?: string } | undefined>).some(
    (style) => style?.picture,
  );

/** A size in proportion, at least a finger high and wide and at most so wide. */
function held({ w, h }: Extent, most: number): Extent {
  const factor = Math.min(most / w, Math.max(1, FINGER / Math.min(w, h)));
  return { w: Math.max(FINGER, Math.round(w * factor)), h: Math.max(FINGER, Math.round(h * factor)) };
}

/** How high the title of a zone is above its box; it is broken into lines. */
export function titleHeight(question: LearnerQuestion, zone: LearnerZone, width: number, widthIn: WidthIn): number {
  if (zone.label === '') return 0;
  return Math.max(
    ...lettersIn(question, zone.look, TITLE_SIZE)
      .map(grown)
      .map((lettering) => {
        const lines = linesIn(zone.label, (text) => widthIn(text, lettering), Math.max(1, width - TITLE_PADDING));
        return Math.ceil(lines * lettering.size * TITLE_LINE);
      }),
  );
}

/** The longest word of a zone's title, with its margins: it is not broken inside a word while there is room. */
export const titleWidth = (question: LearnerQuestion, zone: LearnerZone, widthIn: WidthIn): number =>
  Math.max(
    0,
    ...lettersIn(question, zone.look, TITLE_SIZE)
      .map(grown)
      .flatMap((lettering) => zone.label.split(/\s+/).map((word) => widthIn(word, lettering) + TITLE_PADDING)),
  );

/** How high a text is in a width. */
export function textHeight(
  question: LearnerQuestion,
  fixture: Extract<Fixture, { type: 'text' }>,
  width: number,
  widthIn: WidthIn,
): number {
  const lettering = letteringOf(question, TEXT_SIZE, fixture.letters);
  const lines = linesOf(fixture.text).reduce(
    (sum, line) => sum + linesIn(line, (text) => widthIn(text, lettering), width),
    0,
  );
  return Math.ceil(Math.max(1, lines) * lettering.size * TEXT_LINE);
}
