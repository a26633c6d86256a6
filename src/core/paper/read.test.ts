import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { homes } from '../judge/homes';
import { questionModel } from '../judge/model';
import { exampleOf } from '../kinds/examples';
import { random, shuffled } from '../random/random';
import { paperForm } from './form';
import { readSheet } from './read';
import { letterOf, sheetNames } from './sheet';

const asked = (changes: Record<string, unknown> = {}) => {
  const question = seeds(changes);
  return { model: questionModel(question), names: sheetNames(question, homes(question)) };
};
/** What a sheet with these texts at 1, 2 … comes to. */
function read(changes: Record<string, unknown>, ...texts: string[]) {
  const { model, names } = asked(changes);
  return readSheet(model, names, { places: texts.map((text, i) => ({ number: i + 1, text })), marks: [] });
}
function markOf(changes: Record<string, unknown>, ...texts: string[]): number | undefined {
  const sheet = read(changes, ...texts);
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.problems));
  return sheet.standing.tries.best?.judged.mark;
}
const saysOf = (changes: Record<string, unknown>, ...texts: string[]) => {
  const sheet = read(changes, ...texts);
  return sheet.ok ? [] : sheet.problems.map(({ number, message }) => `${number}: ${message}`);
};

describe('letters', () => {
  it('go on after Z as in a table', () => {
    expect([0, 25, 26, 27, 51, 52, 701, 702].map(letterOf)).toEqual(['A', 'Z', 'AA', 'AB', 'AZ', 'BA', 'ZZ', 'AAA']);
  });

  it('are given as things are read, and tell nothing of the key: a document in another order has the same', () => {
    const question = seeds();
    const at = new Map(question.items.map(({ id }, i) => [id, homes(question)[i] ?? { x: 0, y: 0 }]));
    const lettersOf = (items: typeof question.items) => {
      const { letters } = sheetNames(
        { ...question, items },
        items.map(({ id }) => at.get(id) ?? { x: 0, y: 0 }),
      );
      return Object.fromEntries(items.map(({ id }, i) => [id, letters[i]]));
    };
    const next = random(3);
    for (let i = 0; i < 20; i++)
      expect(lettersOf(shuffled(question.items.length, next).flatMap((at) => question.items[at] ?? []))).toEqual(
        lettersOf(question.items),
      );
  });
});

describe('letters of what is chosen from menus', () => {
  it('go by the words: the document may have them in the order of the gaps', () => {
    const slot = (id: string) => ({ id, label: '', shape: { type: 'slot' }, menu: true });
    const runs = [{ slot: 'a' }, { text: ' then ' }, { slot: 'b' }];
    const question = seeds({
      fixtures: [
        { id: 't', type: 'text', x: 0, y: 0, w: 400, h: 100, text: { blocks: [{ type: 'paragraph', runs }] } },
      ],
      items: ['moist', 'Close', 'third'].map((label, i) => ({ id: `i${i}`, label, size: { w: 80, h: 40 } })),
      zones: [slot('a'), slot('b')],
      key: [
        { zone: 'a', belongs: ['i0'], need: { rule: 'all' } },
        { zone: 'b', belongs: ['i1'], need: { rule: 'all' } },
      ],
    });
    expect(sheetNames(question, homes(question)).letters).toEqual(['B', 'A', 'C']);
  });
});

describe('a sheet that is read', () => {
  it('is what the core makes of the same arrangement, however it is written', () => {
    for (const [dry, moist] of [
      ['AB', 'C'],
      ['b, a', ' c '],
      ['A B', 'c.'],
    ] as const)
      expect(markOf({}, dry, moist)).toBe(3);
    expect(markOf({}, 'AC', 'B')).toBe(1);
    expect(markOf({}, '', 'C')).toBe(1);
  });

  it('on which nothing stands has no try', () => {
    const sheet = read({}, '', '');
    expect(sheet).toMatchObject({ ok: true, moves: [] });
  });

  it('says which letters and numbers there are not, what stands too often, and what a place does not take', () => {
    expect(saysOf({}, 'AX', 'A', 'B')).toEqual([
      '1: There is no letter X.',
      '3: There is no number 3.',
      '2: A is there once, and stands in 1, 2.',
    ]);
    const [dry, moist] = seeds().zones;
    expect(saysOf({ zones: [{ ...dry, capacity: 1 }, moist] }, 'AB')).toEqual(['1: 1 holds one.']);
    const families = seeds().items.map((item, i) => ({ ...item, family: i === 0 ? 'red' : 'blue' }));
    expect(saysOf({ items: families, zones: [{ ...dry, family: 'blue' }, moist] }, 'A')).toEqual([
      '1: A cannot go into 1.',
    ]);
  });

  it('takes out of its place what lies there at the start, unless it is written there', () => {
    const start = { placements: [{ item: 'acorn', zone: 'dry' }] };
    expect(markOf({ start }, 'AB', 'C')).toBe(3);
    expect(markOf({ start }, 'ABC', '')).toBeLessThan(3);
    const left = read({ start }, 'AB', '');
    if (!left.ok) throw new Error('It cannot be read');
    expect(left.moves[0]).toEqual({ kind: 'put', item: 'acorn', copy: 0, zone: null });
  });

  it('is not ended by its first wrong answer where a page judges what lands', () => {
    expect(markOf({ judging: 'onLand', tries: 1 }, 'CA', 'B')).toBe(1);
  });

  it('keeps the order in which letters stand', () => {
    const ordered = {
      key: [{ zone: 'dry', belongs: ['barley', 'poppy', 'acorn'], need: { rule: 'all' }, sequence: true }],
    };
    expect(markOf(ordered, 'ABC')).toBe(3);
    expect(markOf(ordered, 'CBA')).toBeLessThan(3);
  });

  it('puts in order what lies in its place from the start', () => {
    const question = exampleOf('order', crypto.randomUUID());
    const model = questionModel(question);
    const names = sheetNames(question, homes(question));
    const right = (question.key[0]?.belongs ?? []).map(
      (id) => names.letters[question.items.findIndex((item) => item.id === id)] ?? '',
    );
    const earned = (text: string) => {
      const sheet = readSheet(model, names, { places: [{ number: 1, text }], marks: [] });
      return sheet.ok ? sheet.standing.tries.best?.judged.fraction : null;
    };
    expect(earned(right.join(' '))).toBe(1);
    expect(earned(right.toReversed().join(' '))).toBeLessThan(1);
  });
});

describe('the form of a question on paper', () => {
  it('is lists where places say nothing, a text for gaps, boxes for choices, else its drawing', () => {
    const formOf = (kind: Parameters<typeof exampleOf>[0]) => paperForm(exampleOf(kind, crypto.randomUUID()));
    expect(formOf('sort')).toBe('lists');
    expect(formOf('gaps')).toBe('text');
    expect(formOf('pick')).toBe('ticks');
    expect(formOf('mark')).toBe('drawing');
    expect(formOf('build')).toBe('drawing');
  });
});
