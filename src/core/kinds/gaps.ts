import { freshId } from '../document/freshId';
import type { ItemId, ZoneId } from '../document/ids';
import { newItem, newZone } from '../document/make';
import type { Rich } from '../document/rich';
import type { Fixture, KeyEntry, Question, Zone } from '../document/schema';
import { newEntry } from '../edit/keying';
import { slotsIn } from '../edit/slots';

type TextFixture = Extract<Fixture, { type: 'text' }>;
type Run = Extract<Rich['blocks'][number], { type: 'paragraph' }>['runs'][number];

/** A stretch of a text's paragraph, in characters of its runs' texts; a gap counts as one. */
export interface Stretch {
  readonly block: number;
  readonly from: number;
  readonly to: number;
}

const idsOf = (entries: readonly { id: string }[]) => new Set<string>(entries.map(({ id }) => id));

/** The text in which a question's gaps stand: the first that has one, else the first there is. */
export function gapText({ fixtures }: Question): TextFixture | null {
  const texts = fixtures.filter((fixture) => fixture.type === 'text') as TextFixture[];
  return texts.find(({ text }) => slotsIn(text).length > 0) ?? texts[0] ?? null;
}

const lengthOf = ({ text }: Run) => (text === undefined ? 1 : text.length);

/** The runs of a stretch, and those before and after it. */
function cut(runs: readonly Run[], from: number, to: number): readonly [Run[], Run[], Run[]] {
  const parts: [Run[], Run[], Run[]] = [[], [], []];
  let at = 0;
  for (const run of runs) {
    const end = at + lengthOf(run);
    const pieces: readonly [number, number][] = [
      [at, Math.min(end, from)],
      [Math.max(at, from), Math.min(end, to)],
      [Math.max(at, to), end],
    ];
    pieces.forEach(([a, b], part) => {
      if (b > a)
        parts[part as 0 | 1 | 2].push(run.text === undefined ? run : { ...run, text: run.text.slice(a - at, b - at) });
    });
    at = end;
  }
  return parts;
}

/**
 * Lifts a stretch of a text out: it becomes an item and leaves a gap. Words that are an item already are that item:
 * where it belongs in another gap there is one copy more, else (a word left from another text, or one that belonged
 * nowhere) it is the one for this gap. What is no words (white space, another gap) changes nothing.
 */
export function liftOut(question: Question, fixture: string, { block, from, to }: Stretch): Question {
  const text = question.fixtures.find(
    (candidate): candidate is TextFixture => candidate.type === 'text' && candidate.id === fixture,
  );
  const paragraph = text?.text.blocks[block];
  if (!text || paragraph?.type !== 'paragraph') return question;
  const [before, lifted, after] = cut(paragraph.runs, from, to);
  const words = lifted.map((run) => run.text ?? '').join('');
  const label = words.trim();
  if (label === '' || lifted.some(({ slot }) => slot !== undefined)) return question;
  const lead = words.slice(0, words.length - words.trimStart().length);
  const trail = words.slice(words.trimEnd().length);
  const zone = freshId('gap', idsOf(question.zones)) as ZoneId;
  const like = question.zones.findLast(({ shape }) => shape.type === 'slot');
  const spaced = (runs: Run[], space: string): Run[] => (space === '' ? runs : [...runs, { text: space } as Run]);
  const runs = [...spaced(before, lead), { slot: zone } as Run, ...spaced([], trail), ...after];
  const same = question.items.find((item) => item.label === label && !item.content);
  const gap = newZone({
    id: zone,
    label: `Gap ${question.zones.length + 1}`,
    shape: { type: 'slot' },
    capacity: 1,
    whenFull: 'swap',
    menu: like?.menu ?? false,
    family: same ? same.family : (like?.family ?? null),
  });
  const isUsed = same && question.key.some(({ belongs }) => belongs?.includes(same.id));
  const item = same ? same.id : (freshId('word', idsOf(question.items)) as ItemId);
  const items = same
    ? question.items.map((item) =>
        isUsed && item.id === same.id && item.copies !== 'endless' ? { ...item, copies: item.copies + 1 } : item,
      )
    : [...question.items, newItem({ id: item, label, family: gap.family })];
  const typed: Zone['typed'] = like?.typed ? { ...like.typed, accept: { [item]: [label] } } : null;
  const entry: KeyEntry = newEntry(zone, [item], { need: { rule: 'exactly', n: 1 } });
  const blocks = text.text.blocks.map((one, i) => (i === block ? { ...paragraph, runs } : one));
  const next: Question = {
    ...question,
    fixtures: question.fixtures.map((one) => (one.id === fixture ? { ...text, text: { blocks } } : one)),
    items,
    zones: [...question.zones, { ...gap, typed }],
    key: [...question.key, entry],
  };
  return { ...next, marks: { ...next.marks, max: next.key.length } };
}

/**
 * Puts the words of a gap back into the text, and takes the gap away; its item goes with it, unless it is right
 * elsewhere or there are more of it.
 */
export function putBack(question: Question, zone: ZoneId): Question {
  const entry = question.key.find((entry) => entry.zone === zone);
  const id = entry?.belongs?.[0];
  const item = question.items.find((item) => item.id === id);
  const restored = (runs: readonly Run[]): Run[] =>
    joined(runs.map((run) => (run.slot === zone ? ({ text: item?.label ?? '' } as Run) : run)));
  const key = question.key.filter((entry) => entry.zone !== zone);
  const used = key.some(({ belongs }) => belongs?.includes(id as ItemId));
  const items = question.items.flatMap((item) => {
    if (item.id !== id) return [item];
    if (item.copies !== 'endless' && item.copies > 1) return [{ ...item, copies: item.copies - 1 }];
    return used ? [item] : [];
  });
  return {
    ...question,
    items,
    key,
    zones: question.zones.filter((candidate) => candidate.id !== zone),
    fixtures: question.fixtures.map(
      (fixture): Fixture =>
        fixture.type === 'text'
          ? {
              ...fixture,
              text: {
                blocks: fixture.text.blocks.map((block) =>
                  block.type === 'paragraph'
                    ? { ...block, runs: restored(block.runs) }
                    : { ...block, entries: block.entries.map(restored) },
                ),
              },
            }
          : fixture,
    ),
    start: question.start && {
      placements: question.start.placements.filter(
        (placed) => placed.zone !== zone && items.some((item) => item.id === placed.item),
      ),
    },
    marks: { ...question.marks, max: Math.max(1, key.length) },
  };
}

/** Runs of plain words beside one another become one. */
function joined(runs: readonly Run[]): Run[] {
  const isPlain = (run: Run | undefined) =>
    run !== undefined && Object.entries(run).every(([field, value]) => field === 'text' || value === undefined);
  const all: Run[] = [];
  for (const run of runs) {
    const last = all.at(-1);
    if (isPlain(run) && isPlain(last) && run.text !== undefined)
      all[all.length - 1] = { ...run, text: `${last?.text ?? ''}${run.text}` };
    else all.push(run);
  }
  return all;
}

/** Lets several gaps take the words of one another, in any order: each of their words is right in each. */
export function anyOrder(question: Question, zones: ReadonlySet<string>): Question {
  const words = [
    ...new Set(question.key.filter(({ zone }) => zones.has(zone)).flatMap(({ belongs }) => belongs ?? [])),
  ];
  return {
    ...question,
    key: question.key.map((entry) => (zones.has(entry.zone) ? { ...entry, belongs: words } : entry)),
  };
}

export type Answering = 'moved' | 'menu' | 'typed';
export const answeringOf = ({ typed, menu }: Pick<Zone, 'typed' | 'menu'>): Answering =>
  typed ? 'typed' : menu ? 'menu' : 'moved';

/** How gaps are answered: by moving words, by choosing from a menu, by typing (at first with the words as they are). */
export function answeredBy(question: Question, zones: ReadonlySet<string>, how: Answering): Question {
  const words = (zone: Zone) => {
    const belongs = question.key.find((entry) => entry.zone === zone.id)?.belongs ?? [];
    return Object.fromEntries(belongs.map((id) => [id, [question.items.find((item) => item.id === id)?.label ?? '']]));
  };
  return {
    ...question,
    zones: question.zones.map((zone) =>
      zones.has(zone.id)
        ? {
            ...zone,
            menu: how === 'menu',
            typed:
              how === 'typed' ? (zone.typed ?? { accept: words(zone), case: false, accents: false, slips: 0 }) : null,
          }
        : zone,
    ),
  };
}
