import { freshId } from '../document/freshId';
import type { MediaId } from '../document/ids';
import { richFromPlain } from '../document/plain';
import type { Item, Medium, Question } from '../document/schema';
import type { Layout } from './layouts';
import { laidOut } from './layouts';
import { laidAsBefore } from './order';

/** The picture that belongs to a word of a stock list. */
export interface WordPicture {
  readonly word: string;
  readonly hash: string;
  readonly description: string;
  readonly weight: number;
}

/** Words under a picture need this much of its tag. */
const SIZE = { w: 120, h: 112 };

/**
 * Gives items whose words have a picture that picture, and lays the question out for the room they need. Items of which
 * none has one stay as they are.
 */
export function withPictures(
  question: Question,
  pictures: readonly WordPicture[],
  layout: Layout | null = null,
): Question {
  const of = new Map(pictures.map((picture) => [picture.word, picture]));
  const pictured = question.items.filter(({ label }) => of.has(label));
  if (pictured.length === 0 || question.kind === 'gaps') return question;
  const media: Record<string, Medium> = { ...question.media };
  const names = new Map<string, MediaId>();
  for (const { label } of pictured) {
    const { hash, description, weight } = of.get(label) as WordPicture;
    if (names.has(hash)) continue;
    const there = Object.entries(media).find(([, medium]) => medium.hash === hash);
    const id = (there?.[0] ?? freshId('picture', new Set(Object.keys(media)))) as MediaId;
    names.set(hash, id);
    media[id] ??= {
      hash,
      kind: 'picture',
      description: description || label,
      decorative: false,
      source: '',
      licence: '',
      weight,
      captions: null,
      advances: null,
    };
  }
  const items = question.items.map((item): Item => {
    const picture = names.get(of.get(item.label)?.hash ?? '');
    const size = { w: Math.max(item.size.w, SIZE.w), h: SIZE.h };
    // All stay alike, so that no size tells which belongs where.
    return picture
      ? { ...item, size, content: { text: richFromPlain(item.label), picture, sound: null } }
      : { ...item, size };
  });
  const made = { ...question, items, media };
  if (question.kind === 'order' && question.start) return laidAsBefore(made);
  return laidOut(
    made,
    layout ?? (question.zones.length === 3 || question.zones.length > 4 ? 'threeColumns' : 'trayBelow'),
  );
}

/** The words of a question's items that have a picture, with it. */
export const picturesOf = ({ items, media }: Question): WordPicture[] =>
  items.flatMap(({ label, content }) => {
    const medium = content?.picture ? media[content.picture] : undefined;
    return medium && label !== ''
      ? [{ word: label, hash: medium.hash, description: medium.description ?? '', weight: medium.weight }]
      : [];
  });
