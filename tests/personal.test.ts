import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { listAudit } from '../src/server/courses/audit';
import { setTeacher } from '../src/server/courses/courses';
import { saveGroup, setMember } from '../src/server/courses/parts';
import { removeLearner } from '../src/server/courses/roster';
import { requestCount, user } from '../src/server/database/accountTables';
import { audit, courseLearner, move, regrade, sitting, standing } from '../src/server/database/tables';
import { publish } from '../src/server/releases/publish';
import { setAllowance } from '../src/server/releases/settings';
import { applyEdition, makeEdition, openCorrections } from '../src/server/results/corrections';
import { openGradebook } from '../src/server/results/gradebook';
import { setMark } from '../src/server/results/handMarks';
import { dataOf, eraseLearner, listFormerLearners, myData } from '../src/server/results/personal';
import { finish } from '../src/server/sittings/finish';
import { analysed } from './support/analysed';
import { course, learner, must, release, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let fern: As<Teacher>;
beforeAll(async () => {
  ({ app, done } = await testApp());
  [odile, fern] = [await teacher(app, 'odile'), await teacher(app, 'fern')];
});
afterAll(() => done());

/** Answers a release: one wrong, then checked, or finished. */
async function answer(as: As<Learner>, releaseId: string) {
  const sat = await sitter(as, releaseId);
  await sat.take(sat.put('barley', 'dry'));
  await sat.take(sat.drop('acorn', 100, 100));
  if (!sat.view.place.deferred) await sat.take(sat.move({ kind: 'check' }));
  must(await finish(as, sat.view.id));
  return sat.view.id;
}

let n = 0;
/** A course of odile's with a release, two learners who sat it, and something of every sort about the first. */
async function ground() {
  const courseId = await course(odile);
  const releaseId = await release(odile, courseId, seeds({ title: 'Which stand drying?' }));
  const [ines, other] = [await learner(odile, courseId, `ines.${++n}`), await learner(odile, courseId, `tam.${n}`)];
  const [mine, others] = [await answer(ines, releaseId), await answer(other, releaseId)];
  const group = randomUUID();
  must(await saveGroup(odile, courseId, { id: group, title: 'Morning shift' }));
  must(await setMember(odile, courseId, group, ines.person.id, true));
  must(
    await setAllowance(odile, releaseId, ines.person.id, {
      moreMinutes: 10,
      moreSittings: 1,
      dueAt: null,
      closesAt: null,
    }),
  );
  must(await setMark(odile, releaseId, ines.person.id, { points: 2, reason: `Number ${n} was ill` }));
  return { courseId, releaseId, ines, other, mine, others };
}

describe('what is kept of a learner', () => {
  it('is in a file: every sitting with its moves, in words', async () => {
    const { courseId, ines } = await ground();
    const data = must(await dataOf(odile, courseId, ines.person.id));
    expect(data).toMatchObject({
      format: 'vault-drop/personal-data',
      version: 1,
      account: { name: ines.person.name, username: ines.person.username },
    });
    expect(data.courses).toMatchObject([
      {
        title: 'Tarn Hollow induction',
        groups: ['Morning shift'],
        releases: [
          {
            title: 'Which stand drying?',
            allowed: { moreMinutes: 10, moreSittings: 1 },
            markByHand: { points: 2, reason: `Number ${n} was ill` },
            sittings: [
              {
                number: 1,
                points: 1,
                outOf: 3,
                moves: [
                  { n: 1, kind: 'put', question: 'Which stand drying?', item: 'barley', zone: 'dry' },
                  { n: 2, kind: 'drop', item: 'acorn', x: 100, y: 100 },
                  { n: 3, kind: 'check' },
                ],
              },
            ],
          },
        ],
      },
    ]);
    expect(data.courses[0]?.releases[0]?.sittings[0]?.moves[2]).toEqual({
      n: 3,
      at: expect.any(String),
      kind: 'check',
      question: 'Which stand drying?',
    });
  });

  it('is the learner’s own too, from all courses, with marks as far as they are told', async () => {
    const { ines } = await ground();
    const second = await course(odile);
    await app.db.insert(courseLearner).values({ courseId: second, learnerId: ines.person.id, addedAt: new Date() });
    const question = seeds({ title: 'Untold' });
    const untold = await release(odile, second, question);
    const secret = must(
      await publish(odile, {
        id: randomUUID(),
        courseId: second,
        questionId: question.id,
        revision: 1,
        settings: { feedbackLevel: 'nothing', title: 'Secret' },
      }),
    ).id;
    await answer(ines, untold);
    await answer(ines, secret);
    const mine = must(await myData(ines));
    const points = Object.fromEntries(
      mine.courses.flatMap(({ releases }) =>
        releases.map(({ title, sittings }) => [title, sittings.map((sitting) => sitting.points)]),
      ),
    );
    expect(points).toEqual({ 'Which stand drying?': [1], Untold: [1], Secret: [null] });
    expect(mine.signedIn).toEqual([]);
    expect(JSON.stringify(mine)).not.toContain('belongs');
  });

  it('can be erased, all of it and nothing else', async () => {
    const { courseId, releaseId, ines, other, mine, others } = await ground();
    must(
      await makeEdition(odile, releaseId, 2, {
        reason: '',
        changes: [{ question: 0, strike: false, fromVault: false, accept: [{ item: 'acorn', zone: 'dry' }] }],
      }),
    );
    must(await applyEdition(odile, releaseId, 2));
    await analysed(odile, releaseId);
    await app.db.insert(requestCount).values({ key: `sign-in ${ines.person.username}`, count: 1, since: Date.now() });
    const before = await app.db.select().from(move).where(eq(move.sittingId, others));

    expect(must(await eraseLearner(odile, courseId, ines.person.id))).toEqual({
      account: true,
      sittings: 1,
      elsewhere: [],
    });
    // Sent again, it says the same and does nothing.
    expect(must(await eraseLearner(odile, courseId, ines.person.id))).toEqual({
      account: true,
      sittings: 1,
      elsewhere: [],
    });

    for (const table of [move, standing])
      expect(await app.db.select().from(table).where(eq(table.sittingId, mine))).toEqual([]);
    expect(await app.db.select().from(sitting).where(eq(sitting.learnerId, ines.person.id))).toEqual([]);
    expect(await app.db.select().from(user).where(eq(user.id, ines.person.id))).toEqual([]);
    expect(await app.db.select().from(requestCount)).toEqual([]);
    expect(
      (await app.db.select().from(regrade).where(eq(regrade.releaseId, releaseId)))[0]?.changes.map(
        ({ learnerId }) => learnerId,
      ),
    ).not.toContain(ines.person.id);
    expect(must(await openGradebook(odile, courseId)).rows.map(({ learnerId }) => learnerId)).toEqual([
      other.person.id,
    ]);
    // That a mark was set stays on record; what it was and why do not.
    const entries = must(await listAudit(odile, courseId));
    expect(entries.map(({ what, learner }) => [what, learner])).toEqual([
      ['erased', null],
      ['editionApplied', null],
      ['editionMade', null],
      ['markSet', null],
      ['allowed', null],
    ]);
    expect(JSON.stringify(entries)).not.toMatch(/ines|ill/i);
    expect(await app.db.select().from(move).where(eq(move.sittingId, others))).toEqual(before);
    must(await openCorrections(odile, releaseId));
    await analysed(odile, releaseId);
    // No table of the database has a word of it left.
    const tables = await app.db.all<{ name: string }>(
      "select name from sqlite_master where type = 'table' and name not like 'question_search%'",
    );
    const withIt = [];
    for (const { name } of tables)
      if (
        JSON.stringify(await app.db.all(`select * from "${name}"`)).match(
          new RegExp(`${ines.person.username}|${mine}|Number ${n} was ill`),
        )
      )
        withIt.push(name);
    expect(withIt).toEqual([]);
  });

  it('goes from one course and stays in another, and the account with it', async () => {
    const { courseId, ines } = await ground();
    const second = await course(fern);
    await app.db.insert(courseLearner).values({ courseId: second, learnerId: ines.person.id, addedAt: new Date() });
    const kept = await answer(ines, await release(fern, second, seeds()));
    expect(must(await eraseLearner(odile, courseId, ines.person.id))).toEqual({
      account: false,
      sittings: 1,
      elsewhere: [],
    });
    expect(await app.db.select().from(move).where(eq(move.sittingId, kept))).toHaveLength(3);
    expect(must(await myData(ines)).courses).toHaveLength(1);
  });

  it('is its course’s alone: the owner erases, a co-teacher sees, nobody else either', async () => {
    const { courseId, ines, other } = await ground();
    expect(await dataOf(fern, courseId, ines.person.id)).toMatchObject({ code: 'notFound' });
    expect(await eraseLearner(fern, courseId, ines.person.id)).toMatchObject({ code: 'notFound' });
    must(await setTeacher(odile, courseId, 'fern', true));
    must(await dataOf(fern, courseId, ines.person.id));
    expect(await eraseLearner(fern, courseId, ines.person.id)).toMatchObject({ code: 'notAllowed' });
    const elsewhere = await course(odile);
    expect(await dataOf(odile, elsewhere, ines.person.id)).toMatchObject({ code: 'notFound' });
    expect(await eraseLearner(odile, elsewhere, ines.person.id)).toMatchObject({ code: 'notFound' });
    // Who left is still to be found, as long as something is kept of them.
    expect(must(await listFormerLearners(odile, courseId))).toEqual([]);
    must(await removeLearner(odile, courseId, [ines.person.id, other.person.id]));
    expect(must(await listFormerLearners(odile, courseId)).map(({ id }) => id)).toEqual([
      ines.person.id,
      other.person.id,
    ]);
    must(await eraseLearner(odile, courseId, ines.person.id));
    expect(must(await listFormerLearners(odile, courseId)).map(({ id }) => id)).toEqual([other.person.id]);
  });

  it('is kept from everything but erasing by the database itself', async () => {
    const { ines, mine } = await ground();
    await expect(app.db.delete(move).where(eq(move.sittingId, mine))).rejects.toThrow();
    await expect(app.db.update(audit).set({ detail: {} }).where(eq(audit.learnerId, ines.person.id))).rejects.toThrow();
    await expect(app.db.delete(audit)).rejects.toThrow();
  });
});

describe('a learner who was taken off', () => {
  it('may not go on with a sitting', async () => {
    const { courseId, releaseId } = await ground();
    const tam = await learner(odile, courseId, `late.${++n}`);
    const sat = await sitter(tam, releaseId);
    await sat.take(sat.put('barley', 'dry'));
    must(await removeLearner(odile, courseId, [tam.person.id]));
    expect(await sat.send(1, sat.put('poppy', 'dry'))).toMatchObject({ ok: false, code: 'notFound' });
  });
});
