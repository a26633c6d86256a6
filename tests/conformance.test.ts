import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { emptyBoard, itemOf, judge, type Placement, questionModel, take } from '../src/core';
import { parseQuestion } from '../src/core/document';
import { type Placed, place } from '../src/core/judge/place';
import { unlimited } from '../src/core/proof/budget';
import { arrangements, guessing } from '../src/core/proof/guess/guess';

interface Sample {
  question: { title: string };
  answers: {
    response: { id: string; try?: number; placements?: Placed[]; drops?: Placement[] };
    result: {
      mark: number;
      max: number;
      fraction: number;
      fullMarks: boolean;
      turnedAway: number;
      zones: Record<string, { satisfied: boolean | null; right: number; wrong: number; items: string[] }>;
    };
  }[];
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
  it.each(read<Sample>('grade.jsonl'))('$question.title', ({ question, answers }) => {
    const model = questionModel(parsed(question));
    for (const { response, result } of answers) {
      const placed = place(model, response.placements ?? []);
      if (!placed.ok) throw new Error(placed.message);
      const board = response.placements ? placed.board : emptyBoard(model);
      const outcomes = (response.drops ?? []).map((drop) => take(model, board, drop, (zone, item) => model.entryOf[zone]?.belongs.has(item) === true));
      const judged = judge(model, board, response.try ?? 1);
      expect(judged.mark, response.id).toBeCloseTo(result.mark, 9);
      expect(judged.fraction, response.id).toBeCloseTo(result.fraction, 9);
      expect({ id: response.id, max: judged.max, fullMarks: judged.fullMarks, turnedAway: outcomes.filter(({ to }) => to === 'turnedAway').length }).toEqual({
        id: response.id,
        max: result.max,
        fullMarks: result.fullMarks,
        turnedAway: result.turnedAway,
      });
      model.zones.forEach(({ id }, zone) => {
        const tally = judged.tallies.find(({ entry }) => entry.zone === zone);
        const expected = result.zones[id];
        expect(board.zones[zone]?.map((copy) => model.items[itemOf(copy)]?.id)).toEqual(expected?.items);
        if (tally) expect([tally.satisfied, tally.right, tally.wrong]).toEqual([expected?.satisfied, expected?.right, expected?.wrong]);
      });
    }
  });
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
