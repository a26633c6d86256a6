import { describe, expect, it } from 'vitest';
import { problemsOf } from '../../../tests/support/statements';
import { boardFromPlacements, KINDS, type Question, questionModel, rightOnes } from '../../core';
import { newItem, newQuestion, newZone } from '../../core/document/make';
import { exampleOf } from '../../core/kinds';
import { questionDefinition } from './activity';
import { formOf } from './form';
import { patternsOf } from './patterns';
import { responseOf } from './response';
import { duration, scoreOf } from './statement';

const SEVERAL = 'https://questions.example/xapi/one-of-several';
const definitionOf = (question: Question) => questionDefinition(questionModel(question), SEVERAL);
const question = (changes: Partial<Question>): Question => ({ ...newQuestion('q', 'Seeds'), ...changes }) as Question;
const items = (...ids: string[]) => ids.map((id) => newItem({ id: id as never, label: id }));
const zones = (...ids: string[]) => ids.map((id) => newZone({ id: id as never, label: id, shape: { type: 'slot' } }));
const key = (zone: string, belongs: string[], need: object | null = { rule: 'all' }, more: object = {}) =>
  ({ zone, belongs, need, sum: null, sequence: false, weight: null, says: null, ...more }) as Question['key'][number];

describe('a question as an activity', () => {
  it('is of its kind, and no validator finds a fault: each kind’s example', () => {
    const forms = KINDS.map((kind) => {
      const definition = definitionOf(exampleOf(kind, `example-${kind}`));
      expect(problemsOf({ definition })).toEqual([]);
      expect(definition.correctResponsesPattern?.length).toBeGreaterThan(0);
      return [kind, definition.interactionType];
    });
    expect(Object.fromEntries(forms)).toMatchObject({
      ...{ sort: 'matching', label: 'matching', order: 'sequencing', pick: 'choice', mark: 'other', count: 'numeric' },
    });
  });

  it('has every right answer as a pattern, and each is what such an answer is told as', () => {
    for (const kind of KINDS) {
      const model = questionModel(exampleOf(kind, `example-${kind}`));
      const form = formOf(model);
      if (form === 'numeric' || form === 'fill-in') continue;
      const { found } = rightOnes(model, 20);
      const { patterns } = patternsOf(model, form);
      for (const right of found) {
        const next = model.items.map(() => 0);
        const placements = right.flatMap((held, z) =>
          held.map((item) => {
            const copy = next[item] as number;
            next[item] = copy + 1;
            return { item: model.items[item]?.id ?? '', copy, zone: model.zones[z]?.id ?? '' };
          }),
        );
        const placing = boardFromPlacements(model, placements);
        if (!placing.ok) throw new Error(placing.message);
        expect(patterns).toContain(responseOf(model, form, placing.board));
      }
    }
  });

  it('has a pair for each copy, and ids that could be taken for something else in hexadecimal', () => {
    const sachets = question({
      kind: 'sort',
      items: [{ ...items('a sachet')[0], copies: 2 } as Question['items'][number], ...items('box[,]')],
      zones: zones('cold', 'warm'),
      key: [key('cold', ['a sachet'])],
    });
    const definition = definitionOf(sachets);
    expect(definition.correctResponsesPattern).toEqual(['i_6120736163686574[.]cold[,]i_6120736163686574[.]cold']);
    expect(definition.source?.map(({ id }) => id)).toEqual(['i_6120736163686574', 'i_626f785b2c5d']);
    expect(problemsOf({ definition })).toEqual([]);
  });

  it('has up to twenty right answers, and of more one that says so', () => {
    const pick = (n: number, many: number) =>
      question({
        kind: 'pick',
        items: items(...Array.from({ length: many }, (_, i) => `i${i}`)),
        zones: zones('picked'),
        key: [
          key(
            'picked',
            Array.from({ length: many }, (_, i) => `i${i}`),
            { rule: 'exactly', n },
          ),
        ],
      });
    expect(definitionOf(pick(3, 6)).correctResponsesPattern).toHaveLength(20);
    expect(definitionOf(pick(3, 6))).not.toHaveProperty('extensions');
    expect(definitionOf(pick(3, 7)).correctResponsesPattern).toHaveLength(1);
    expect(definitionOf(pick(3, 7)).extensions).toEqual({ [SEVERAL]: true });
  });

  it('counts an amount as a range, and an endless one without an end', () => {
    const count = (need: object) =>
      question({
        kind: 'count',
        items: [{ ...items('sachet')[0], copies: 'endless' } as Question['items'][number]],
        zones: zones('box'),
        key: [key('box', ['sachet'], need)],
      });
    const patternOf = (need: object) => definitionOf(count(need)).correctResponsesPattern;
    expect(patternOf({ rule: 'exactly', n: 4 })).toEqual(['4']);
    expect(patternOf({ rule: 'between', min: 2, max: 5 })).toEqual(['2[:]5']);
    expect(patternOf({ rule: 'atLeast', n: 3 })).toEqual(['3[:]']);
  });

  it('has the spellings of typed gaps, each with each', () => {
    const [seal, dry] = zones('seal', 'dry');
    const typed = (accept: Record<string, string[]>, matters = false) => ({
      ...{ accept, case: matters, accents: false, slips: 0 as const },
    });
    const gaps = (matters: boolean) =>
      question({
        kind: 'gaps',
        lang: 'en' as never,
        items: items('sealed', 'dried'),
        zones: [
          { ...seal, typed: typed({ sealed: ['sealed', 'closed'] }, matters) },
          { ...dry, typed: typed({ dried: ['dried'] }) },
        ] as Question['zones'],
        key: [key('seal', ['sealed']), key('dry', ['dried'])],
      });
    expect(definitionOf(gaps(false)).correctResponsesPattern).toEqual([
      '{case_matters=false}{lang=en}sealed[,]{lang=en}dried',
      '{case_matters=false}{lang=en}closed[,]{lang=en}dried',
    ]);
    expect(definitionOf(gaps(true)).correctResponsesPattern?.[0]).toMatch(/^\{case_matters=true\}/);
    expect(problemsOf({ definition: definitionOf(gaps(true)) })).toEqual([]);
  });
});

describe('a result', () => {
  it('has a score only where something can be earned', () => {
    expect(scoreOf(1, 3)).toEqual({ score: { scaled: 0.3333333, raw: 1, min: 0, max: 3 } });
    expect(scoreOf(0, 0)).toBeNull();
  });
  it('has a duration to the hundredth of a second', () => {
    expect([duration(0), duration(1234), duration(90_000), duration(-5)]).toEqual(['PT0S', 'PT1.23S', 'PT90S', 'PT0S']);
  });
});
