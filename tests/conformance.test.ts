import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { emptyBoard, itemOf, judge, type Placement, questionModel, take } from '../src/core';
import { parseQuestion } from '../src/core/document';
import { type Placed, place } from '../src/core/judge/place';

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

const samples = readFileSync(join(import.meta.dirname, 'conformance/grade.jsonl'), 'utf8')
  .trim()
  .split('\n')
  .map((line) => JSON.parse(line) as Sample);

describe('the sample questions, judged and marked', () => {
  it.each(samples)('$question.title', ({ question, answers }) => {
    const parsed = parseQuestion(question);
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    const model = questionModel(parsed.question);
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
