import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseQuestion } from '../src/core/document/parse';
import { emptyBoard } from '../src/core/judge/board';
import { questionModel } from '../src/core/judge/model';
import { place } from '../src/core/judge/place';
import { take } from '../src/core/judge/take';
import { judge } from '../src/core/marks/mark';

const lines = readFileSync('../shared/conformance/grade.jsonl', 'utf8').trim().split('\n');
describe('conf', () => {
  for (const [n, line] of lines.entries())
    it(`q ${n}`, () => {
      const { question, answers } = JSON.parse(line);
      const parsed = parseQuestion(question);
      if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
      const model = questionModel(parsed.question);
      for (const { response, result } of answers) {
        let board = emptyBoard(model);
        let away = 0;
        if (response.placements) {
          const r = place(model, response.placements);
          if (!r.ok) throw new Error(r.message);
          board = r.board;
        }
        for (const d of response.drops ?? []) {
          const o = take(model, board, d, (z, i) => model.entryOf[z]?.belongs.has(i) === true);
          if (o.to === 'turnedAway') away++;
          if (o.to === 'refused') throw new Error(o.message);
        }
        const j = judge(model, board, response.try ?? 1);
        expect(j.mark).toBeCloseTo(result.mark, 9);
        expect(j.fraction).toBeCloseTo(result.fraction, 9);
        expect(j.fullMarks).toBe(result.fullMarks);
        expect(away).toBe(result.turnedAway);
        for (const t of j.tallies) {
          const z = result.zones[model.zones[t.entry.zone]!.id];
          expect([t.satisfied, t.right, t.wrong]).toEqual([z.satisfied, z.right, z.wrong]);
        }
        for (const [i, z] of model.zones.entries()) expect(board.zones[i]!.map((c) => model.items[Math.floor(c / 10000)]!.id)).toEqual(result.zones[z.id].items);
      }
    });
});
