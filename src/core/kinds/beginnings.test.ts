import { describe, expect, it } from 'vitest';
import { newQuestion, parseQuestion, richFromPlain } from '../document';
import type { Question } from '../document/schema';
import { BLANK_TITLE } from '../document/version';
import { belongsIn } from '../judge/keyed';
import { questionModel } from '../judge/model';
import { prove } from '../proof/proof';
import { exampleOf, kindFor, propose, proposedTitle, readListing, withNamed, withSpotAt } from '.';

const blank = (kind: Question['kind'] = 'sort'): Question => ({
  ...newQuestion('0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0997', BLANK_TITLE),
  kind,
});
const solvable = (question: Question) => prove(questionModel(question), 2000, { now: () => 0 }).solvable;

describe('a title proposes itself', () => {
  it('from the prompt first, cut at a word', () => {
    const asked = (text: string) => proposedTitle({ ...blank(), prompt: richFromPlain(text) });
    expect(asked('Which may be dried? Two may not.')).toBe('Which may be dried?');
    expect(asked(`${'Move each seed '.repeat(9)}away`)).toMatch(/^Move each seed .* (Move|each|seed)…$/);
    expect(asked(`${'Move each seed '.repeat(9)}away`).length).toBeLessThanOrEqual(81);
  });

  it('else from what is there, and is the blank one while nothing is', () => {
    const made = (kind: 'sort' | 'order' | 'gaps', text: string) => {
      const proposed = propose(blank(kind), kind, readListing(text));
      return proposed.ok ? proposedTitle(proposed.question) : proposed.message;
    };
    expect(proposedTitle(blank())).toBe(BLANK_TITLE);
    expect(made('sort', 'Dry:\nBarley\nMoist:\nAcorn\nFrozen:\nOat')).toBe('Dry, Moist or Frozen?');
    expect(made('order', 'Dry it\nWeigh it\nSeal it')).toBe('From “Dry it” to “Seal it”');
    expect(made('gaps', 'Seed is dried before sealing.')).toMatch(/^Seed is dried before …/);
    expect(proposedTitle({ ...exampleOf('mark', 'x'), prompt: null })).toMatch(/^Find the \d+ spots$/);
  });
});

describe('what was pasted', () => {
  it.each([
    ['Dry:\nBarley\nMoist:\nAcorn', 'sort'],
    ['Barley\tDry\nPoppy\tDry\nAcorn\tMoist', 'sort'],
    ['Leaf\tgreen part\nRoot\tbrown part', 'label'],
    ['* Silica gel\nPeat\nWet sand', 'pick'],
    ['Silica gel\tright\nPeat\twrong', 'pick'],
    ['Dry it\nWeigh it\nSeal it', 'order'],
    ['Seed is dried for a whole month before it is sealed.', 'gaps'],
  ] as const)('%j looks like a question of the kind %s', (text, kind) => {
    expect(kindFor(readListing(text))).toBe(kind);
  });

  it('has a first line that is a heading if it looks so, or the author says so', () => {
    const rows = 'Item\tGroup\nBarley\tDry\nPoppy\tDry\nAcorn\tMoist';
    const read = readListing(rows);
    expect(read.headed).toBe(true);
    expect(read.groups?.map(({ heading }) => heading)).toEqual(['Dry', 'Moist']);
    expect(readListing(rows, false).groups?.map(({ heading }) => heading)).toEqual(['Group', 'Dry', 'Moist']);
    const plain = readListing('Barley\tDry\nPoppy\tDry\nAcorn\tMoist');
    expect(plain.headed).toBe(false);
    expect(plain.rows).toHaveLength(3);
    expect(readListing('Barley\tDry\nPoppy\tDry\nAcorn\tMoist', true).rows).toHaveLength(2);
    // A list has no such line.
    expect(readListing('Barley\nAcorn').headed).toBeNull();
  });

  it('has its right choices starred', () => {
    const made = propose(blank('pick'), 'pick', readListing('* Silica gel\nPeat\n* Dry air'));
    if (!made.ok) throw new Error(made.message);
    const right = made.question.key[0]?.belongs?.map((id) => made.question.items.find((item) => item.id === id)?.label);
    expect(right).toEqual(['Silica gel', 'Dry air']);
    expect(made.question.items.map(({ label }) => label)).toEqual(['Silica gel', 'Peat', 'Dry air']);
  });
});

describe('places set press by press', () => {
  it('each with the name that belongs there, all as large as the longest needs, with room in the tray', () => {
    const names = ['Husk', 'Coat', 'The side root of a seedling', 'Germ', 'Pore', 'Bran', 'Stem', 'Leaf', 'Scar'];
    const made = names.reduce(
      (question, name, i) => withNamed(question, { x: 160 + 300 * (i % 3), y: 60 + 110 * Math.floor(i / 3) }, name),
      blank('label'),
    );
    expect(parseQuestion(made).ok).toBe(true);
    expect(made.marks.max).toBe(names.length);
    expect(new Set(made.items.map(({ size }) => `${size.w} ${size.h}`)).size).toBe(1);
    for (const [i, zone] of made.zones.entries()) {
      const size = made.items[i]?.size ?? { w: 0, h: 0 };
      const { shape } = zone;
      if (shape.type !== 'rect') throw new Error('A place is a box');
      expect([shape.w >= size.w, shape.h >= size.h]).toEqual([true, true]);
      // It stands about the press that made it.
      expect(shape.x + shape.w / 2).toBeCloseTo(160 + 300 * (i % 3), -1);
      expect(belongsIn(made, made.key[i] as Question['key'][number])).toEqual([made.items[i]?.id]);
    }
    expect(solvable(made)).toBe(true);
  });

  it('each a hidden spot that a marker finds', () => {
    const made = [100, 300, 500].reduce((question, x) => withSpotAt(question, { x, y: 200 }), blank('mark'));
    expect(parseQuestion(made).ok).toBe(true);
    expect(made.zones.map(({ hidden, shape }) => [hidden, shape.type])).toEqual(Array(3).fill([true, 'ellipse']));
    expect([made.items.length, made.marks.max]).toEqual([1, 3]);
    expect(solvable(made)).toBe(true);
  });
});
