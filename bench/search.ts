// The search in everything, over ten thousand questions and five thousand learners, of whom half are somebody else's.
import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import type { As, Teacher } from '../src/server/context';
import { user } from '../src/server/database/accountTables';
import { courseLearner, question, questionWords } from '../src/server/database/tables';
import { findAnything } from '../src/server/search/search';
import { course, teacher, testApp } from '../tests/support/app';
import { seeds } from '../tests/support/seeds';
import { type Measured, median, p95, report, shown } from './measure';

const QUESTIONS = 10_000;
const LEARNERS = 5000;
const AT_ONCE = 500;
const ROUNDS = 60;
const MAX_MS = 50;

const WORDS = ['barley', 'acorn', 'sachet', 'rack', 'humid', 'freezer', 'root', 'sieve', 'test', 'label'];
const NAMES = ['Moss', 'Fern', 'Sorrel', 'Tansy', 'Yarrow', 'Bryony', 'Alder', 'Hazel', 'Rowan', 'Linden'];

const { app, folder } = await testApp();
const [own, other] = [await teacher(app, 'odile'), await teacher(app, 'tamsin')];
const at = new Date();

const some = (n: number, from: number) => Array.from({ length: Math.min(AT_ONCE, n - from) }, (_, i) => from + i);

async function withQuestions({ db, person }: As<Teacher>, n: number): Promise<void> {
  for (let from = 0; from < n; from += AT_ONCE) {
    const made = some(n, from).map((k) => ({
      id: randomUUID(),
      k,
      title: `${WORDS[k % 10]} ${WORDS[Math.floor(k / 10) % 10]} ${k}`,
    }));
    await db.transaction(async (tx) => {
      await tx.insert(question).values(
        made.map(({ id, title }) => ({
          ...{ id, title, ownerId: person.id, kind: 'sort' as const, document: seeds({ id, title }), revision: 1 },
          ...{ findings: { error: 0, warning: 0, note: 0 }, createdAt: at, changedAt: at },
        })),
      );
      await tx
        .insert(questionWords)
        .values(made.map(({ id, k, title }) => ({ questionId: id, title, words: `${WORDS[k % 7]} seed`, tags: '' })));
    });
  }
}

async function withLearners(as: As<Teacher>, n: number): Promise<void> {
  const courseId = await course(as);
  for (let from = 0; from < n; from += AT_ONCE) {
    const made = some(n, from).map((k) => {
      const id = randomUUID();
      const username = `${NAMES[k % 10]}.${id}`.toLowerCase();
      const name = `${NAMES[k % 10]} ${NAMES[Math.floor(k / 10) % 10]}son ${k}`;
      return { id, name, username, displayUsername: username, email: `${id}@accounts.invalid` };
    });
    await as.db.transaction(async (tx) => {
      await tx
        .insert(user)
        .values(made.map((row) => ({ ...row, role: 'learner' as const, createdAt: at, updatedAt: at })));
      await tx.insert(courseLearner).values(made.map(({ id }) => ({ courseId, learnerId: id, addedAt: at })));
    });
  }
}

for (const as of [own, other]) {
  await withQuestions(as, QUESTIONS / 2);
  await withLearners(as, LEARNERS / 2);
}

async function line(words: string): Promise<Measured> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const began = performance.now();
    const found = await findAnything(own, words);
    times.push(performance.now() - began);
    if (found.length === 0) throw new Error(`“${words}” was not found`);
  }
  return {
    name: `“${words}” in ${QUESTIONS} questions and ${LEARNERS} learners`,
    value: `${shown(median(times), ' ms')}, p95 ${shown(p95(times), ' ms')}`,
    goal: `median under ${MAX_MS} ms`,
    met: median(times) < MAX_MS,
    milliseconds: median(times),
  };
}

report([
  // In a tenth of all titles; in all words; the beginning of a word; a name; two words.
  await line('barley'),
  await line('seed'),
  await line('b'),
  await line('moss'),
  await line('sorrel fernson'),
  await line('rack 433'),
]);
rmSync(folder, { recursive: true, force: true });
process.exit(0);
