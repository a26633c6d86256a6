import { describe, expect, it } from 'vitest';
import { seeds } from '../../../../tests/support/seeds';
import { parseQuestion } from '../../document';
import type { Kind, Question } from '../../document/schema';
import { questionModel } from '../../judge/model';
import type { Move } from '../../judge/replay';
import { exampleOf } from '../../kinds/examples';
import { random, seedOf, shuffled } from '../../random/random';
import { digestOf } from '../digest';
import { type Answers, answersOf } from './index';
import { wrongPairs } from './pairs';

const ID = '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b9999';
const CHECK: Move = { kind: 'check' };

/** A class answers an example of a kind. */
function answered(question: Question, classOf: readonly (readonly Move[])[]): Answers {
  const model = questionModel(question);
  return answersOf(
    model,
    classOf.map((moves) =>
      digestOf(
        model,
        moves.map((move, i) => ({ move, at: i * 1000 })),
      ),
    ),
  );
}
const example = (kind: Kind): Question => exampleOf(kind, ID);

function itemId({ items }: Question, label: string): string {
  const found = items.find((item) => item.label === label);
  if (!found) throw new Error(`There is no item ${label}`);
  return found.id;
}
const put = (question: Question, label: string, zone: string | null, more: object = {}): Move =>
  ({ kind: 'put', item: itemId(question, label), zone, ...more }) as Move;

describe('where things were put', () => {
  const question = seeds();
  const place = (item: string, zone: string | null) => put(question, item, zone);

  it('counts items by zones at first and at last, and ranks what is wrong alone', () => {
    const { pairs } = answered(question, [
      [place('barley', 'moist'), place('barley', 'dry'), place('gravel', 'dry'), place('gravel', null)],
      [place('barley', 'moist'), place('acorn', 'dry'), place('poppy', 'dry'), place('poppy', null), CHECK],
      [place('barley', 'dry'), place('acorn', 'dry'), CHECK],
    ]);
    const [DRY, MOIST, OUT] = [0, 1, -1];
    expect(pairs).toEqual([
      { item: 0, zone: DRY, first: 1, last: 2, right: true },
      { item: 0, zone: MOIST, first: 2, last: 1, right: false },
      { item: 1, zone: OUT, first: 0, last: 1, right: false },
      { item: 1, zone: DRY, first: 1, last: 0, right: true },
      { item: 2, zone: DRY, first: 2, last: 2, right: false },
      // What belongs nowhere is right there.
      { item: 3, zone: OUT, first: 0, last: 1, right: true },
      { item: 3, zone: DRY, first: 1, last: 0, right: false },
    ]);
    expect(wrongPairs(pairs).map(({ item, zone }) => [item, zone])).toEqual([
      [2, DRY],
      [0, MOIST],
      [1, OUT],
      [3, DRY],
    ]);
  });

  it('calls nothing wrong that may be left out, nor anything right that only a sum decides', () => {
    const weighed = parseQuestion({
      ...seeds({
        items: ['10', '20', '100'].map((g) => ({
          id: `g${g}`,
          label: `${g} g`,
          size: { w: 60, h: 30 },
          value: Number(g),
        })),
        key: [{ zone: 'dry', sum: { target: 30, tolerance: 0 } }],
        marks: { max: 1, rule: 'allOrNothing' },
      }),
    });
    if (!weighed.ok) throw new Error('invalid');
    const { pairs, amounts } = answered(weighed.question, [
      [put(weighed.question, '10 g', 'dry'), put(weighed.question, '20 g', 'dry')],
      [
        put(weighed.question, '100 g', 'dry'),
        put(weighed.question, '100 g', null),
        put(weighed.question, '10 g', 'dry'),
      ],
      [],
    ]);
    expect(new Set(pairs.map(({ right }) => right))).toEqual(new Set([null]));
    expect(wrongPairs(pairs)).toEqual([]);
    expect(amounts).toMatchObject([
      {
        zone: 0,
        target: 30,
        tolerance: 0,
        sums: [
          [0, 1],
          [10, 1],
          [30, 1],
        ],
      },
    ]);
    const choose = seeds({
      key: [{ zone: 'dry', belongs: ['barley', 'poppy', 'acorn'], need: { rule: 'atLeast', n: 2 } }],
    });
    const left = answered(choose, [[put(choose, 'acorn', 'dry'), put(choose, 'acorn', null)]]);
    expect(left.pairs.find(({ zone }) => zone === -1)?.right).toBeNull();
  });
});

describe('an order', () => {
  const question = example('order');
  const zone = question.key[0]?.zone ?? '';
  const steps = ['Weigh the lot', 'Dry it', 'Test a sample', 'Seal it', 'Freeze it'];
  /** Puts the steps in an order, one after another. */
  const ordered = (order: readonly number[]): Move[] => [
    ...order.map((step) => put(question, steps[step] ?? '', null)),
    ...order.map((step, at) => put(question, steps[step] ?? '', zone, { at })),
  ];

  it('is told by places, at first and at last, with what was exchanged', () => {
    const { orders } = answered(question, [
      [...ordered([1, 0, 2, 3, 4]), CHECK, ...ordered([0, 1, 2, 3, 4]), CHECK],
      [...ordered([1, 0, 2, 4, 3]), CHECK],
      [...ordered([0, 1, 2, 4, 3])],
    ]);
    const labels = orders[0]?.items.map((item) => question.items[item]?.label);
    expect(labels).toEqual(steps);
    expect(orders[0]?.first).toEqual([
      [1, 2, 0, 0, 0],
      [2, 1, 0, 0, 0],
      [0, 0, 3, 0, 0],
      [0, 0, 0, 1, 2],
      [0, 0, 0, 2, 1],
    ]);
    expect(orders[0]?.last).toEqual([
      [2, 1, 0, 0, 0],
      [1, 2, 0, 0, 0],
      [0, 0, 3, 0, 0],
      [0, 0, 0, 1, 2],
      [0, 0, 0, 2, 1],
    ]);
    const at = (step: number) => question.items.findIndex(({ label }) => label === steps[step]);
    expect(orders[0]?.swaps).toEqual([
      { earlier: at(3), later: at(4), learners: 2 },
      { earlier: at(0), later: at(1), learners: 1 },
    ]);
  });

  it('agrees with a slow count over a generated class', () => {
    const roll = random(seedOf('orders'));
    const made = Array.from({ length: 60 }, () => shuffled(steps.length, roll));
    const { orders } = answered(
      question,
      made.map((order) => [...ordered(order), CHECK]),
    );
    for (const [row, name] of steps.entries())
      for (const place of steps.keys())
        expect(orders[0]?.last[row]?.[place]).toBe(made.filter((order) => steps[order[place] ?? -1] === name).length);
    for (const [earlier, later, learners] of (orders[0]?.swaps ?? []).map(
      (s) => [s.earlier, s.later, s.learners] as const,
    )) {
      const step = (item: number) => steps.indexOf(question.items[item]?.label ?? '');
      const slow = made.filter((order) =>
        order.some((one, i) => one === step(later) && order[i + 1] === step(earlier)),
      );
      expect(learners).toBe(slow.length);
      expect(step(earlier)).toBeLessThan(step(later));
    }
  });
});

it('typed words are told as they were typed, by what they were read as', () => {
  const accept = { barley: ['Barley', 'Gerste'], poppy: ['Poppy'] };
  const question = seeds({
    zones: [
      { id: 'gap', label: 'Gap 1', shape: { type: 'slot' }, typed: { accept, case: false, accents: false, slips: 1 } },
      { id: 'moist', label: 'moist', shape: { type: 'rect', x: 500, y: 40, w: 400, h: 300 } },
    ],
    key: [{ zone: 'gap', belongs: ['barley'], need: { rule: 'exactly', n: 1 } }],
  });
  const type = (text: string): Move => ({ kind: 'put', zone: 'gap', text });
  const { typed } = answered(question, [
    [type('barley')],
    [type('wheat'), type(' Barly ')],
    [type('barley'), CHECK],
    [type('Poppy')],
    [type('oats')],
    [],
  ]);
  expect(typed).toEqual([
    {
      zone: 0,
      groups: [
        {
          item: 0,
          right: true,
          learners: 3,
          texts: [
            { text: 'barley', learners: 2 },
            { text: 'Barly', learners: 1 },
          ],
        },
        { item: 1, right: false, learners: 1, texts: [{ text: 'Poppy', learners: 1 }] },
        { item: null, right: false, learners: 1, texts: [{ text: 'oats', learners: 1 }] },
      ],
    },
  ]);
});

it('an amount is told as a distribution, nothing among it', () => {
  const question = example('count');
  const some = (n: number): Move[] => Array.from({ length: n }, (_, copy) => put(question, 'Sachet', 'box', { copy }));
  const { amounts } = answered(question, [some(5), some(5), some(4), [], [...some(6), CHECK]]);
  expect(amounts).toEqual([
    {
      zone: 0,
      items: [
        {
          item: 0,
          amounts: [
            [0, 1],
            [4, 1],
            [5, 2],
            [6, 1],
          ],
        },
      ],
      sums: null,
      target: null,
      tolerance: 0,
    },
  ]);
});

it('marks are hits, second marks in one place, and misses, where they lie', () => {
  const question = example('mark');
  const marker = question.items[0]?.id ?? '';
  const drop = (copy: number, x: number, y: number): Move => ({
    kind: 'drop',
    item: marker,
    copy,
    x: x - 20,
    y: y - 20,
  });
  const { marks } = answered(question, [
    [drop(0, 175, 125), drop(1, 180, 128), drop(2, 330, 133), CHECK],
    [drop(0, 465, 255)],
  ]);
  expect(marks?.counts).toEqual({ hit: 2, double: 1, miss: 1 });
  expect([...(marks?.points ?? [])].sort()).toEqual([
    [175, 125, 'hit'],
    [180, 128, 'double'],
    [330, 133, 'miss'],
    [465, 255, 'hit'],
  ]);
  expect(marks?.found.map(({ learners }) => learners)).toEqual([1, 1, 0]);
  expect(answered(example('sort'), []).marks).toBeNull();
});

it('what is picked is told by the option, and together', () => {
  const question = example('pick');
  const zone = question.key[0]?.zone ?? '';
  const pick = (...labels: string[]): Move[] => labels.map((label) => put(question, label, zone));
  const { options } = answered(question, [
    pick('Barley', 'Poppy'),
    [...pick('Acorn', 'Barley', 'Poppy'), put(question, 'Acorn', null), CHECK],
    pick('Barley'),
    pick('Barley', 'Acorn'),
    [],
  ]);
  const named = (item: number) => question.items[item]?.label;
  expect(options?.options.map(({ item, right, ever, last }) => [named(item), right, ever, last])).toEqual([
    ['Barley', true, 4, 4],
    ['Acorn', false, 2, 1],
    ['Poppy', true, 2, 2],
    ['Chestnut', false, 0, 0],
  ]);
  expect(options?.combinations.map(({ items, right, learners }) => [items.map(named), right, learners])).toEqual([
    [['Barley', 'Poppy'], true, 2],
    [['Barley'], false, 1],
    [['Barley', 'Acorn'], false, 1],
    [[], false, 1],
  ]);
});

it('what is built is told by its joints: places side by side with both right', () => {
  const question = example('build');
  const at = (label: string, place: number) => put(question, label, question.zones[place]?.id ?? '');
  const { joints } = answered(question, [
    [at('Upper left', 0), at('Upper right', 1), at('Lower left', 2), at('Lower right', 3)],
    [at('Upper left', 0), at('Upper right', 1), at('Lower left', 3), at('Lower right', 2)],
    [at('Upper left', 0), at('Lower left', 2)],
  ]);
  expect(joints).toEqual([
    { zone: 0, to: { zone: 1 }, learners: 2 },
    { zone: 0, to: { zone: 2 }, learners: 2 },
    { zone: 1, to: { zone: 3 }, learners: 1 },
    { zone: 2, to: { zone: 3 }, learners: 1 },
  ]);
});
