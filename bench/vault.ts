// The Vault's list over ten thousand questions against one over two hundred: a page, a search, a filter; each asked by
// turns.
import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { type Sought, VAULT_PAGE } from '../src/contract';
import { makePerson } from '../src/server/accounts/people';
import type { As, Teacher } from '../src/server/context';
import { question, questionTag, questionWords } from '../src/server/database/tables';
import { listVault } from '../src/server/vault/listing';
import { must, testApp } from '../tests/support/app';
import { seeds } from '../tests/support/seeds';
import { type Measured, median, p95, report, shown } from './measure';

const MANY = 10_000;
const FEW = 200;
const ROUNDS = 40;
const MAX_RATIO = 6;
const MAX_MS = 50;

const WORDS = ['barley', 'acorn', 'sachet', 'rack', 'humid', 'freezer', 'root', 'sieve', 'test', 'label'];

/** A teacher with so many questions, written as the Vault writes them. */
async function withQuestions(n: number): Promise<{ as: As<Teacher>; folder: string }> {
  const { app, folder } = await testApp();
  const { id } = must(
    await makePerson(app, {
      name: 'Bench',
      username: 'bench',
      password: 'seedlings-26',
      role: 'teacher',
      madeBy: null,
    }),
  );
  const as: As<Teacher> = { ...app, person: { id, name: 'Bench', username: 'bench', role: 'teacher' } };
  const at = new Date();
  for (let from = 0; from < n; from += 500) {
    const some = Array.from({ length: Math.min(500, n - from) }, (_, i) => {
      const k = from + i;
      return { id: randomUUID(), k, title: `${WORDS[k % 10]} ${WORDS[Math.floor(k / 10) % 10]} ${k}` };
    });
    await app.db.transaction(async (tx) => {
      await tx.insert(question).values(
        some.map(({ id: questionId, k, title }) => ({
          id: questionId,
          ownerId: id,
          title,
          kind: 'sort' as const,
          document: seeds({ id: questionId, title }),
          revision: 1,
          findings: { error: k % 7 === 0 ? 1 : 0, warning: 0, note: 0 },
          createdAt: at,
          changedAt: new Date(at.getTime() - k * 1000),
        })),
      );
      await tx.insert(questionWords).values(
        some.map(({ id: questionId, k, title }) => ({
          questionId,
          title,
          words: `${WORDS[k % 7]} seed number${k}`,
          tags: '',
        })),
      );
      await tx
        .insert(questionTag)
        .values(some.filter(({ k }) => k % 20 === 0).map(({ id: questionId }) => ({ questionId, tag: 'week 3' })));
    });
  }
  return { as, folder };
}

const [few, many] = [await withQuestions(FEW), await withQuestions(MANY)];
const time = async (as: As<Teacher>, sought: Sought): Promise<number> => {
  const began = performance.now();
  const { rows } = await listVault(as, sought);
  if (rows.length === 0) throw new Error('Nothing was found');
  return performance.now() - began;
};

async function line(name: string, sought: Sought, last: Sought = sought): Promise<Measured> {
  const [small, large]: [number[], number[]] = [[], []];
  for (let round = 0; round < ROUNDS; round++) {
    small.push(await time(few.as, sought));
    large.push(await time(many.as, last));
  }
  const ratio = median(large) / median(small);
  return {
    name,
    value: `${shown(ratio)} × (${shown(median(large), ' ms')}, p95 ${shown(p95(large), ' ms')} / ${shown(median(small), ' ms')})`,
    goal: `≤ ${MAX_RATIO} ×, or median under ${MAX_MS} ms`,
    met: ratio <= MAX_RATIO || median(large) < MAX_MS,
    ratio,
    milliseconds: median(large),
  };
}

report([
  await line(`the first page of ${MANY} questions / of ${FEW}`, {}),
  await line('the last page', { from: FEW - VAULT_PAGE }, { from: MANY - VAULT_PAGE }),
  await line('a word', { words: 'barl' }),
  await line('two words', { words: 'acorn rack' }, { words: 'acorn rack' }),
  await line('with errors, by title', { findings: 'error', sort: 'title' }),
  await line('a tag', { tag: 'week 3' }),
  await line('used nowhere', { use: 'unused' }),
]);
for (const { folder } of [few, many]) rmSync(folder, { recursive: true, force: true });
process.exit(0);
