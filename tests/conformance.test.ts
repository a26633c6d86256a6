import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { allDraws, drawnQuestion, questionModel, responder, resultOf } from '../src/core';
import { parseQuestion } from '../src/core/document';
import { unlimited } from '../src/core/proof/budget';
import { arrangements, guessing } from '../src/core/proof/guess/guess';

interface Sample {
  question: { title: string };
  answers: { response: { id: string }; result: { mark: number; fraction: number } }[];
}

const read = <T>(file: string): T[] =>
  readFileSync(join(import.meta.dirname, 'conformance', file), 'utf8')
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as T);

function parsed(question: unknown) {
  const result = parseQuestion(question);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.question;
}

describe('the sample questions, judged and marked', () => {
  it.each(['grade.jsonl', 'grade-2.jsonl'].flatMap((file) => read<Sample>(file)))(
    '$question.title',
    ({ question, answers }) => {
      const judge = responder(questionModel(parsed(question)));
      for (const { response, result } of answers) {
        const { model, responded } = judge(response);
        if (!responded.ok) throw new Error(responded.fault);
        const { mark, fraction, ...rest } = resultOf(model, response.id, responded);
        expect(mark, response.id).toBeCloseTo(result.mark, 9);
        expect(fraction, response.id).toBeCloseTo(result.fraction, 9);
        const { mark: _, fraction: __, ...expected } = result;
        expect(rest).toMatchObject(expected);
      }
    },
  );
});

interface ProofSample {
  question: { title: string };
  fullMarkArrangements: string;
  arrangements: number;
  chanceOfFullMarks: number;
  expectedFraction: number;
}

describe('the sample questions, by guessing', () => {
  it.each(read<ProofSample>('proof.jsonl'))('$question.title', (sample) => {
    const model = questionModel(parsed(sample.question));
    expect(Number(arrangements(model, unlimited).total)).toBe(sample.arrangements);
    const guess = guessing(model, '', unlimited, unlimited);
    expect(guess.fullMarkArrangements).toBe(String(sample.fullMarkArrangements));
    expect(guess.chanceOfFullMarks).toBeCloseTo(sample.chanceOfFullMarks, 9);
    expect(guess.expectedFraction).toBeCloseTo(sample.expectedFraction, 9);
  });
});

interface DrawnSample extends ProofSample {
  draws?: number;
}

describe('the sample questions of version 2, by guessing, over all draws', () => {
  it.each(read<DrawnSample>('proof-2.jsonl'))('$question.title', (sample) => {
    const question = parsed(sample.question);
    const models = [...allDraws(question)].map((drawn) => questionModel(drawnQuestion(question, drawn)));
    if (sample.draws !== undefined) expect(models.length).toBe(sample.draws);
    const guesses = models.map((model) => guessing(model, '', unlimited, unlimited));
    const mean = (values: readonly (number | null)[]) =>
      values.reduce<number>((sum, value) => sum + (value ?? Number.NaN), 0) / values.length;
    expect(guesses.map(({ method }) => method)).toEqual(models.map(() => 'exact'));
    expect(mean(guesses.map((guess) => guess.chanceOfFullMarks))).toBeCloseTo(sample.chanceOfFullMarks, 9);
    expect(mean(guesses.map((guess) => guess.expectedFraction))).toBeCloseTo(sample.expectedFraction, 9);
    if (question.pools.length === 0) expect(guesses[0]?.fullMarkArrangements).toBe(String(sample.fullMarkArrangements));
  });
});
