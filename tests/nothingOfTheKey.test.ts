import { describe, expect, it } from 'vitest';
import {
  applyBatch,
  deferFeedback,
  learnerEdition,
  movesView,
  type Question,
  questionModel,
  questionView,
  random,
  type SentMove,
  seedOf,
  untouched,
} from '../src/core';
import { KINDS, parseQuestion } from '../src/core/document';
import { exampleOf } from '../src/core/kinds';

/** How far apart things are let go, in scene units: finer where there is something hidden to be found. */
const GRID = { hidden: 40, seen: 80 };
const text = (words: string) => ({
  text: { blocks: [{ type: 'paragraph', runs: [{ text: words }] }] },
  picture: null,
  sound: null,
});

/** The same question to look at, with another key, other values, words and marks. */
function otherwise(question: Question): Question {
  const typed = new Set<string>(question.zones.flatMap((zone) => (zone.typed ? [zone.id] : [])));
  const lists = question.key.filter(({ zone, sum }) => !typed.has(zone) && !sum).map(({ belongs }) => belongs);
  const key = question.key.map((entry) => {
    const words = { zone: text('Other words'), items: {} };
    if (entry.sum) return { ...entry, sum: { target: entry.sum.target + 1, tolerance: 0 }, says: words };
    if (typed.has(entry.zone)) return { ...entry, weight: 3, says: words };
    // The lists change places among the zones; where there is one, it is turned about or emptied.
    const belongs =
      lists.length > 1
        ? lists[(lists.indexOf(entry.belongs) + 1) % lists.length]
        : entry.sequence
          ? [...(entry.belongs ?? [])].reverse()
          : (entry.belongs ?? []).slice(1);
    return { ...entry, belongs, says: words, need: entry.sequence ? entry.need : { rule: 'exactly', n: 0 } };
  });
  const other = parseQuestion({
    ...question,
    key,
    items: question.items.map((item) => ({ ...item, value: question.show.runningTotal ? item.value : 17 })),
    feedback: { right: text('Other'), partly: null, wrong: text('Words') },
    hints: [text('Another hint')],
    marks: { ...question.marks, max: 40, rule: 'allOrNothing' },
  });
  if (!other.ok) throw new Error(JSON.stringify(other.problems));
  return other.question;
}

/** The same question to look at, with its hidden zones elsewhere and of other rules. */
function hiddenElsewhere(question: Question): Question {
  const zones = question.zones.map((zone) =>
    zone.hidden && !zone.floor
      ? {
          ...zone,
          shape: { type: 'rect' as const, x: 5, y: 5, w: 90, h: 70 },
          rotation: 0,
          capacity: 1,
          whenFull: 'swap' as const,
          welcome: 'keyed' as const,
        }
      : zone,
  );
  return { ...question, zones } as Question;
}

/**
 * Everything a learner is sent of a question: as it is opened, and after drops all over the scene, puts, swaps and
 * resets, all before a check.
 */
function* sent(question: Question): Generator<string> {
  const model = questionModel(question);
  const edition = learnerEdition(question, random(seedOf('a sitting')));
  const sat = { model, edition, modelAnswer: null };
  let standing = untouched(model);
  let n = 0;
  const told = (...moves: Record<string, unknown>[]) => {
    const took = applyBatch(
      model,
      edition.names,
      standing,
      moves.map((move) => ({ id: `m${n++}`, ...move }) as unknown as SentMove),
    );
    if (!took.ok) return `${JSON.stringify(took)}\n`;
    standing = took.standing;
    return `${JSON.stringify(movesView(sat, standing, took))}\n${JSON.stringify(questionView(sat, standing))}\n`;
  };
  yield JSON.stringify(questionView(sat, standing));
  const seen = edition.question;
  const [learnerItem, two] = seen.items;
  if (!learnerItem) return;
  const drop = (item: string, copy: number, x: number, y: number) => ({
    kind: 'drop',
    item,
    copy,
    x,
    y,
    px: x + 3,
    py: y + 3,
  });
  const more = learnerItem.copies === 1 ? 0 : 1;
  const grid = seen.hides ? GRID.hidden : GRID.seen;
  for (let x = 0; x < seen.scene.width; x += grid)
    for (let y = 0; y < seen.scene.height; y += grid) {
      if (!learnerItem.stays)
        yield told(
          drop(learnerItem.id, 0, x, y),
          drop(more ? learnerItem.id : (two?.id ?? learnerItem.id), more, x + 2, y + 2),
        );
      // Something else that settles where it can be seen, and the first taken up again.
      const [zone] = seen.zones.filter(({ family, floor }) => !floor && family === (two ?? learnerItem).family);
      if (zone && !zone.typed) yield told({ kind: 'put', item: (two ?? learnerItem).id, copy: 0, zone: zone.id });
      if (!learnerItem.stays) yield told(drop(learnerItem.id, 0, x + 5, y + 5));
      yield told({ kind: 'reset' });
    }
  for (const zone of seen.zones)
    for (const item of seen.items.slice(0, 6))
      yield zone.typed
        ? told({ kind: 'put', zone: zone.id, text: item.label })
        : told({ kind: 'put', item: item.id, copy: 0, zone: zone.id });
}

function expectSame(one: Question, other: Question): number {
  const [a, b] = [sent(one), sent(other)];
  let n = 0;
  for (;;) {
    const [left, right] = [a.next(), b.next()];
    expect(left.done).toBe(right.done);
    if (left.done || right.done) return n;
    if (left.value !== right.value) expect(left.value).toBe(right.value);
    n++;
  }
}

const SETTLES = ['asDropped', 'anchor', 'row', 'column', 'grid', 'pile'] as const;
const PLAIN = { rule: 'row', welcome: 'anyone', capacity: null, whenFull: 'refuse' } as const;
/** Each way to settle, and each way to take and to refuse. */
const RULES = [
  ...SETTLES.map((rule) => ({ ...PLAIN, rule, capacity: 2 })),
  ...(['anyone', 'keyed'] as const).flatMap((welcome) =>
    [null, 1].flatMap((capacity) =>
      (['refuse', 'swap'] as const).map((whenFull) => ({ ...PLAIN, welcome, capacity, whenFull })),
    ),
  ),
];
const withRules = (
  question: Question,
  { rule, welcome, capacity, whenFull }: (typeof RULES)[number],
): Question | null => {
  const settle =
    rule === 'asDropped' || rule === 'pile'
      ? { rule }
      : rule === 'anchor'
        ? { rule, at: 'topLeft', gap: 8 }
        : { rule, gap: 8 };
  const parsed = parseQuestion({
    ...question,
    start: null,
    zones: question.zones.map((zone) => ({ ...zone, settle, welcome, capacity, whenFull })),
  });
  return parsed.ok ? parsed.question : null;
};

describe.each(KINDS)('%s: before a check nothing that a learner is sent follows from the key', (kind) => {
  const example = exampleOf(kind, 'q');
  for (const deferred of [false, true]) {
    it(
      deferred
        ? 'in deferred feedback, whatever its zones do'
        : 'where feedback comes at once, but for zones that welcome by the key',
      () => {
        let n = 0;
        for (const rules of RULES) {
          // What welcomes by the key, or judges as it lands, tells it: that is the rule itself.
          if (!deferred && rules.welcome === 'keyed' && example.zones.some(({ hidden }) => !hidden)) continue;
          const ruled = withRules({ ...example, judging: deferred ? example.judging : 'onCheck' }, rules);
          if (!ruled) continue;
          const as = (question: Question) => (deferred ? deferFeedback(question) : question);
          n += expectSame(as(ruled), as(otherwise(ruled)));
          if (ruled.zones.some(({ hidden }) => hidden)) n += expectSame(as(ruled), as(hiddenElsewhere(ruled)));
        }
        expect(n).toBeGreaterThan(100);
      },
    );
  }
});

it('is a test that sees a difference', () => {
  const question = { ...exampleOf('sort', 'q'), judging: 'onLand' as const };
  expect(() => expectSame(question, otherwise(question))).toThrow();
});

it('a fixture, a look and a medium go out field by field', () => {
  const parsed = parseQuestion({
    ...exampleOf('sort', 'q'),
    fixtures: [
      {
        type: 'shape',
        id: 'f',
        label: 'AUTHOR NOTE',
        x: 0,
        y: 0,
        w: 9,
        h: 9,
        shape: { type: 'rect', x: 0, y: 0, w: 9, h: 9 },
      },
    ],
    looks: { l: { of: 'zone', name: 'AUTHOR NOTE', states: { rest: { fill: 'ink' } } } },
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  const question = { ...parsed.question, zones: parsed.question.zones.map((zone) => ({ ...zone, look: 'l' })) };
  const secret = { later: 'LATER FIELD' };
  const grown = {
    ...question,
    fixtures: question.fixtures.map((fixture) => ({ ...fixture, ...secret })),
    looks: Object.fromEntries(
      Object.entries(question.looks).map(([id, look]) => [
        id,
        { ...look, ...secret, states: { rest: { fill: 'ink', ...secret } } },
      ]),
    ),
    items: question.items.map((item) => ({ ...item, ...secret, content: { ...text('Seed'), ...secret } })),
  } as unknown as Question;
  const out = JSON.stringify(learnerEdition(grown, random(seedOf('a sitting'))).question);
  expect(out).not.toContain('AUTHOR NOTE');
  expect(out).not.toContain('LATER FIELD');
});
