import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { App } from '../src/server/app';
import type { As, Teacher } from '../src/server/context';
import { digest, edition, job } from '../src/server/database/tables';
import { startJobs } from '../src/server/jobRunner';
import { addJob, endJob, failLost, LEASE_MS, openJob, takeJob } from '../src/server/jobs/jobs';
import { beginPublishing, publish } from '../src/server/releases/publish';
import { analysisOf } from '../src/server/results/analysis';
import { finish } from '../src/server/sittings/finish';
import { saveNew } from '../src/server/vault/questions';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { course, inOrder, learner, must, release, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let odile: As<Teacher>;
let done: () => void;
beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
});
afterAll(() => done());

const later = (ms: number) => ({ ...app, now: () => new Date(Date.now() + ms) });
const newJob = async (total = 1) => {
  const id = randomUUID();
  await addJob(app, { id, kind: 'nothing', ownerId: odile.person.id, input: { of: id }, total });
  return id;
};

describe('a job', () => {
  it('is taken by one, however many look for it at once', async () => {
    const ids = [await newJob(), await newJob()];
    const taken = await Promise.all(Array.from({ length: 6 }, () => takeJob(app)));
    expect(taken.flatMap((move) => move?.id ?? []).sort()).toEqual([...ids].sort());
    for (const id of ids) await endJob(app, id, { ok: true, value: null });
    expect(await takeJob(app)).toBeNull();
    expect(must(await openJob(odile, ids[0] ?? ''))).toMatchObject({ state: 'done', done: 1, total: 1 });
  });

  it('is taken again when its holder is not heard of any more, three times at most', async () => {
    const id = await newJob();
    for (let attempt = 1; attempt <= 3; attempt++) {
      expect(await takeJob(later(attempt * 2 * LEASE_MS))).toMatchObject({ id, attempts: attempt, input: { of: id } });
      expect(await takeJob(later(attempt * 2 * LEASE_MS))).toBeNull();
    }
    expect(await takeJob(later(8 * LEASE_MS))).toBeNull();
    await failLost(later(8 * LEASE_MS));
    expect(must(await openJob(odile, id))).toMatchObject({
      state: 'failed',
      problems: [{ message: expect.stringMatching(/three times/) }],
    });
  });
});

describe('what was answered', () => {
  it('is worked out as a job once an attempt has ended, and once more after another', async () => {
    const courseId = await course(odile);
    const releaseId = await release(odile, courseId, seeds());
    const runner = startJobs(app);
    const sits = async (username: string) => {
      const as = await learner(odile, courseId, username);
      const sat = await sitter(as, releaseId);
      await sat.take(sat.put('barley', 'dry'));
      must(await finish(as, sat.view.id));
      runner.wake();
    };
    const kept = async () => (await app.db.select().from(digest)).length;
    await sits('wren');
    await expect.poll(kept, { timeout: 10_000 }).toBe(1);
    await expect.poll(async () => must(await openJob(odile, `digests/${releaseId}`)).state).toBe('done');
    await sits('ash');
    await expect.poll(kept, { timeout: 10_000 }).toBe(2);
    await runner.stop();
    expect(must(await analysisOf(odile, releaseId))).toMatchObject({
      isCurrent: true,
      figures: { questions: [{ answered: 2 }] },
    });
  });
});

describe('publishing', () => {
  const hard = (i: number) => seeds({ title: `Question ${i}`, show: { modelAnswer: 'atTheEnd' } });
  async function setOf(n: number): Promise<string> {
    const questions = Array.from({ length: n }, (_, i) => hard(i));
    for (const question of questions) must(await saveNew(odile, question));
    const id = randomUUID();
    must(await makeSet(odile, id, 'Hard'));
    must(
      await saveSet(odile, id, {
        title: 'Hard',
        goBack: true,
        sections: inOrder(questions.map((question) => question.id)),
      }),
    );
    return id;
  }

  it('finds model answers as a job, frozen as it was asked for, and publishes once', async () => {
    const courseId = await course(odile);
    const setId = await setOf(6);
    const id = randomUUID();
    expect(must(await beginPublishing(odile, { id, courseId, setId }))).toEqual({ id, job: id });
    must(await beginPublishing(odile, { id, courseId, setId }));
    must(await saveSet(odile, setId, { title: 'Changed since', goBack: true, sections: [] }));
    const runner = startJobs(app);
    runner.wake();
    await expect.poll(async () => must(await openJob(odile, id)).state, { timeout: 20_000 }).toBe('done');
    await runner.stop();
    expect(must(await openJob(odile, id))).toMatchObject({ done: 6, total: 6, problems: null });
    const editions = await app.db.select().from(edition).where(eq(edition.releaseId, id));
    expect(editions).toHaveLength(1);
    expect(editions[0]?.content).toMatchObject({
      questions: { length: 6 },
      modelAnswers: Array(6).fill(expect.arrayContaining([expect.objectContaining({ zone: 'dry' })])),
    });
    expect((await app.db.select().from(job).where(eq(job.id, id)))[0]?.input).toEqual({});
    expect(must(await beginPublishing(odile, { id, courseId, setId }))).toEqual({ id, job: null });
  });

  it('where nothing has to be found it is done at once', async () => {
    const question = seeds();
    must(await saveNew(odile, question));
    const id = randomUUID();
    expect(
      must(await beginPublishing(odile, { id, courseId: await course(odile), questionId: question.id, revision: 1 })),
    ).toEqual({ id, job: null });
  });

  it('says which media are missing', async () => {
    const hash = 'f'.repeat(64);
    const question = seeds({ media: { ear: { hash, kind: 'picture', description: 'An ear', weight: 10 } } });
    must(await saveNew(odile, question));
    expect(
      await publish(odile, { id: randomUUID(), courseId: await course(odile), questionId: question.id, revision: 1 }),
    ).toMatchObject({
      ok: false,
      code: 'notReady',
      problems: [{ path: 'media.ear', message: 'The file of “ear” is missing: add it again.' }],
    });
  });
});
