import { expect, it } from 'vitest';
import { randomQuestion } from '../../../tests/support/randomQuestion';
import { questionModel } from '../judge/model';
import { respond } from '../judge/response';
import { random, seedOf } from '../random/random';
import { resultPrinter } from './print';
import { resultOf } from './result';

it('prints what JSON.stringify would, on 300 random answers', () => {
  let printed = 0;
  for (let i = 0; i < 300; i++) {
    const question = randomQuestion(`print-${i}`);
    const model = questionModel(question);
    const next = random(seedOf(`answers-${i}`));
    const drops = question.items.map(({ id }) => ({ item: id, x: next() * 900, y: next() * 400 }));
    const responded = respond(model, { drops });
    if (model.entries.length === 0 || !responded.ok) continue;
    printed++;
    for (const id of [undefined, null, 7, 'a "quoted" id'])
      expect(resultPrinter(model)(id, responded)).toBe(JSON.stringify(resultOf(model, id, responded)));
  }
  expect(printed).toBeGreaterThan(200);
});
