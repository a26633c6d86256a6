import { expect, it } from 'vitest';
import { checkAnswer } from './answers';

const held = (value: unknown) => checkAnswer(process.cwd(), 'GET /api/tags', Response.json({ ok: true, value }));

it('an answer that is not what the contract says fails, with its place', async () => {
  await expect(held([{ tag: 'seeds', questions: 2 }])).resolves.toBeUndefined();
  await expect(held([{ tag: 'seeds', questions: '2' }])).rejects.toThrow(
    'GET /api/tags answers what the contract does not say: /value/0/questions must be number',
  );
  await expect(held([{ tag: 'seeds' }])).rejects.toThrow("must have required property 'questions'");
});
