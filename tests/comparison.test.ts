import { randomUUID } from 'node:crypto';
import jStat from 'jstat';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sharesApart } from '../src/core';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { saveGroup, setMember } from '../src/server/courses/parts';
import { publish } from '../src/server/releases/publish';
import { setWithdrawn } from '../src/server/releases/withdraw';
import { workOutResults } from '../src/server/results/analysis';
import { comparisonOf } from '../src/server/results/comparison';
import { applyEdition, makeEdition } from '../src/server/results/corrections';
import { finish } from '../src/server/sittings/finish';
import { openRelease } from '../src/server/sittings/openRelease';
import { saveNew } from '../src/server/vault/questions';
import { course, learner, must, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let courseId: string;
let here: string;
let lastYear: string;
const groupId = randomUUID();
const question = seeds({ title: 'How is it kept?', tries: null, afterMiss: 'leave' });
/** How many of three each learner had right, at first here, at last here, and in the year before. */
const FIRST = [0, 1, 1, 0, 2, 1, 1, 0, 3, 2, 3, 3, 2, 3];
const LAST = [1, 2, 3, 1, 3, 2, 2, 0, 3, 3, null, null, null, null];
const BEFORE = [3, 3, 3, 3, 3, 2, 3, 3, 3, 3, 3, 3];
const PLACES = [
  ['barley', 'dry', 'moist'],
  ['poppy', 'dry', 'moist'],
  ['acorn', 'moist', 'dry'],
] as const;

async function answer(as: As<Learner>, releaseId: string, right: number): Promise<void> {
  const sat = await sitter(as, releaseId);
  for (const [i, [item, where, elsewhere]] of PLACES.entries())
    await sat.take(sat.put(item, i < right ? where : elsewhere));
  must(await finish(as, sat.view.id));
}

const compared = async () => {
  await workOutResults(odile, here);
  await workOutResults(odile, lastYear);
  return must(await comparisonOf(odile, here));
};
const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length / 3;

beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
  courseId = await course(odile);
  const before = await course(odile);
  must(await saveNew(odile, question));
  const give = async (to: string, settings: object) =>
    must(await publish(odile, { id: randomUUID(), courseId: to, questionId: question.id, revision: 1, settings })).id;
  lastYear = await give(before, { title: 'Keeping seeds, last year' });
  here = await give(courseId, { title: 'Keeping seeds', sittings: 2 });
  must(await saveGroup(odile, courseId, { id: groupId, title: 'Morning shift', from: null }));
  for (const [i, right] of BEFORE.entries()) await answer(await learner(odile, before, `before.${i}`), lastYear, right);
  for (const [i, right] of FIRST.entries()) {
    const as = await learner(odile, courseId, `learner.${i}`);
    if (i < 8) must(await setMember(odile, courseId, groupId, as.person.id, true));
    await answer(as, here, right);
    const again = LAST[i];
    if (again === null || again === undefined) continue;
    must(await openRelease(as, here));
    await answer(as, here, again);
  }
});
afterAll(() => done());

describe('a release compared', () => {
  it('waits for the job that works the figures out', async () => {
    expect(must(await comparisonOf(odile, here))).toMatchObject({ isCurrent: false, questions: null, groups: [] });
    expect(await compared()).toMatchObject({ isCurrent: true, more: 0 });
  });

  it('has its questions wherever the teacher released them, with how far apart they are', async () => {
    const { questions } = await compared();
    expect(questions).toMatchObject([
      {
        title: 'How is it kept?',
        releases: [
          { id: here, asked: 14, full: 4, difference: null, same: true },
          { id: lastYear, title: 'Keeping seeds, last year', asked: 12, full: 11, same: true },
        ],
      },
    ]);
    const other = questions?.[0]?.releases[1];
    expect(other?.facility?.value).toBeCloseTo(mean(BEFORE), 9);
    const z = 1.959963984540054;
    const apart = sharesApart({ value: mean(BEFORE), n: 12 }, { value: mean(FIRST), n: 14 }, z);
    expect(other?.difference?.value).toBeCloseTo(mean(BEFORE) - mean(FIRST), 9);
    expect(other?.difference?.low).toBeCloseTo(apart?.low ?? 0, 6);
    expect(other?.difference?.high).toBeCloseTo(apart?.high ?? 0, 6);
  });

  it('has each group against everybody else', async () => {
    const { groups } = await compared();
    const [inside, outside] = [FIRST.slice(0, 8), FIRST.slice(8)];
    expect(groups).toMatchObject([{ id: groupId, title: 'Morning shift', learners: 8, others: 6 }]);
    const [group] = groups;
    expect(group?.mean).toBeCloseTo(mean(inside), 6);
    expect(group?.questions[0]?.facility).toBeCloseTo(mean(inside), 6);
    expect(group?.difference?.value).toBeCloseTo(mean(inside) - mean(outside), 6);
    expect(group?.difference?.high).toBeLessThan(0);
  });

  it('has first and last attempts of those who had both', async () => {
    const { attempts } = await compared();
    const pairs = LAST.flatMap((last, i) => (last === null ? [] : [[FIRST[i] as number, last] as const]));
    const apart = pairs.map(([first, last]) => (last - first) / 3);
    const half =
      (jStat.studentt.inv(0.975, 9) * Math.sqrt(apart.reduce((sum, x) => sum + (x - mean(apart) * 3) ** 2, 0) / 9)) /
      Math.sqrt(10);
    expect(attempts).toMatchObject({ learners: 10, questions: [{ learners: 10 }] });
    expect(attempts?.first).toBeCloseTo(mean(pairs.map(([first]) => first)), 6);
    expect(attempts?.last).toBeCloseTo(mean(pairs.map(([, last]) => last)), 6);
    expect(attempts?.difference?.low).toBeCloseTo(mean(apart) * 3 - half, 6);
    expect(attempts?.difference?.high).toBeCloseTo(mean(apart) * 3 + half, 6);
  });

  it('says that a question was not the same, and leaves out what is withdrawn', async () => {
    const { item, zone } = { item: question.items[3]?.id ?? '', zone: question.zones[0]?.id ?? '' };
    const changes = [{ question: 0, strike: false, fromVault: false, accept: [{ item, zone }] }];
    must(await makeEdition(odile, lastYear, 2, { reason: 'Gravel stands drying too', changes }));
    must(await applyEdition(odile, lastYear, 2, true));
    expect((await compared()).questions?.[0]?.releases[1]).toMatchObject({ id: lastYear, same: false, edition: 2 });
    must(await setWithdrawn(odile, lastYear, true));
    expect((await compared()).questions?.[0]?.releases.map(({ id }) => id)).toEqual([here]);
  });

  it('is for those who teach the course', async () => {
    expect(await comparisonOf(await teacher(app, 'fern'), here)).toMatchObject({ code: 'notFound' });
  });
});
