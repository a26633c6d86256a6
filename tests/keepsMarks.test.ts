import { expect, it } from 'vitest';
import { demoQuestions } from '../demo/made';
import { parseQuestion } from '../src/core/document/parse';
import type { Question } from '../src/core/document/schema';
import { questionModel } from '../src/core/judge/model';
import { respond } from '../src/core/judge/response';
import { random, seedOf } from '../src/core/random/random';
import { demoMedia } from './support/demoMedia';

const ANSWERS = 60;

/** The document as version 1 had it, with one cost for all wrong placements. */
function asVersion1(question: Question, wrongCosts: number): Record<string, unknown> {
  const { either: _, pools: __, marks, ...rest } = question;
  const { extraCosts: ___, misplacedCosts: ____, ...others } = marks;
  return { ...rest, version: 1, marks: { ...others, wrongCosts } };
}

/** What a fraction came to by version 1, where placements earn: (R − wrongCosts·W) / N, held to 0…1. */
const byVersion1 = (right: number, wrong: number, needed: number, wrongCosts: number) =>
  Math.min(1, Math.max(0, (right - wrongCosts * wrong) / needed));

it('a question of version 1 keeps its marks: every demo question, random answers, several costs', () => {
  let compared = 0;
  for (const question of demoQuestions(demoMedia())) {
    for (const wrongCosts of [0, 0.5, 1]) {
      const parsed = parseQuestion(asVersion1(question, wrongCosts));
      if (!parsed.ok) throw new Error(`${question.title}: ${JSON.stringify(parsed.problems)}`);
      const model = questionModel(parsed.question);
      const next = random(seedOf(question.id + wrongCosts));
      if (model.entries.length === 0) continue;
      for (let i = 0; i < ANSWERS; i++) {
        const drops = question.items.flatMap((item) =>
          item.stays || next() < 0.3 ? [] : [{ item: item.id, x: next() * 900, y: next() * 400 }],
        );
        const responded = respond(model, { drops });
        if (!responded.ok) continue;
        const { judged } = responded;
        const needed = judged.counted.entries.reduce((sum, { n }) => sum + n, 0);
        if (judged.rule !== 'perPlacement') continue;
        compared++;
        expect(judged.fraction, question.title).toBeCloseTo(
          byVersion1(judged.right, judged.wrong, needed, wrongCosts),
          12,
        );
      }
    }
  }
  expect(compared).toBeGreaterThan(1000);
});

it('two gaps that were both filled with one word are so still', () => {
  const gap = (id: string) => ({ id, shape: { type: 'slot' }, capacity: 1, typed: { accept: { dry: ['dry'] } } });
  const parsed = parseQuestion({
    format: 'vault-drop/question',
    version: 1,
    id: 'gaps',
    title: 'Gaps',
    kind: 'gaps',
    scene: { width: 960, height: 540 },
    items: [{ id: 'dry', label: 'dry', size: { w: 80, h: 30 } }],
    zones: [gap('first'), gap('second')],
    key: [
      { zone: 'first', belongs: ['dry'], need: { rule: 'all' } },
      { zone: 'second', belongs: ['dry'], need: { rule: 'exactly', n: 1 } },
    ],
    marks: { max: 2, rule: 'perPlacement' },
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  expect(parsed.question.items[0]?.copies).toBe(2);
  expect(parsed.question.key.map(({ need }) => need)).toEqual([
    { rule: 'exactly', n: 1 },
    { rule: 'exactly', n: 1 },
  ]);
  const both = respond(questionModel(parsed.question), {
    drops: [
      { zone: 'first', text: 'dry' },
      { zone: 'second', text: 'dry' },
    ],
  });
  expect(both).toMatchObject({ ok: true, judged: { mark: 2, fullMarks: true } });
});

it('in version 2 one word fills as many gaps as there are copies of it, the earlier typed first', () => {
  const gap = (id: string) => ({
    id,
    shape: { type: 'slot' },
    capacity: 1,
    typed: { accept: { red: ['red'], blue: ['blue'] } },
  });
  const parsed = parseQuestion({
    format: 'vault-drop/question',
    version: 2,
    id: 'gaps',
    title: 'Gaps',
    kind: 'gaps',
    scene: { width: 960, height: 540 },
    items: ['red', 'blue'].map((id) => ({ id, label: id, size: { w: 80, h: 30 } })),
    zones: [gap('first'), gap('second')],
    key: ['first', 'second'].map((zone) => ({ zone, belongs: ['red', 'blue'], need: { rule: 'exactly', n: 1 } })),
    marks: { max: 2, rule: 'perPlacement', extraCosts: 0 },
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  const model = questionModel(parsed.question);
  const typed = (...texts: [string, string][]) => {
    const responded = respond(model, { drops: texts.map(([zone, text]) => ({ zone, text })) });
    return responded.ok
      ? [responded.judged.mark, responded.judged.tallies.map(({ satisfied }) => satisfied)]
      : responded;
  };
  expect(typed(['first', 'red'], ['second', 'red'])).toEqual([1, [true, false]]);
  expect(typed(['second', 'red'], ['first', 'red'])).toEqual([1, [false, true]]);
  expect(typed(['first', 'red'], ['second', 'blue'])).toEqual([2, [true, true]]);
  // The first is typed over: the second is read as the word again.
  expect(typed(['first', 'red'], ['second', 'red'], ['first', 'blue'])).toEqual([2, [true, true]]);
  expect(typed(['first', 'red'], ['second', 'red'], ['first', ''])).toEqual([1, [false, true]]);
});
