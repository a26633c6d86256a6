import { randomUUID } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS, type ReleaseSettings } from '../src/contract';
import type { SentMove } from '../src/core';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { changeCourse } from '../src/server/courses/courses';
import { removeLearner } from '../src/server/courses/roster';
import { session } from '../src/server/database/accountTables';
import { course as courseTable, move } from '../src/server/database/tables';
import { publish } from '../src/server/releases/publish';
import { changeSettings, setAllowance } from '../src/server/releases/settings';
import { finish } from '../src/server/sittings/finish';
import { receiveMoves } from '../src/server/sittings/moves';
import { goTo, openRelease } from '../src/server/sittings/openRelease';
import { saveNew } from '../src/server/vault/questions';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { course, inOrder, learner, must, seeds, teacher, testApp } from './support/app';
import { type OtherProcess, otherProcess } from './support/otherProcess';
import { type Sitter, sitter } from './support/sitting';

let app: App;
let other: OtherProcess;
let done: () => void;
let odile: As<Teacher>;
let courseId: string;
beforeAll(async () => {
  const at = await testApp();
  ({ app } = at);
  odile = await teacher(app, 'odile');
  courseId = await course(odile);
  other = otherProcess(at.folder);
  done = () => {
    other.end();
    at.done();
  };
}, 60_000);
afterAll(() => done());

const text = (words: string) => ({ text: { blocks: [{ type: 'paragraph', runs: [{ text: words }] }] } });
const check = (): SentMove => ({ id: randomUUID(), kind: 'check' });
const ago = (ms: number) => new Date(Date.now() - ms);

let wren: As<Learner>;
let releaseId: string;
let sat: Sitter;
let n = 0;
/** A learner in the middle of two questions, whose last move this process remembers. */
beforeEach(async () => {
  const questions = [0, 1].map((i) =>
    seeds({
      title: `Question ${i}`,
      tries: null,
      afterMiss: 'leave',
      feedback: { right: text('SECRET WORDS'), partly: text('SECRET WORDS'), wrong: text('SECRET WORDS') },
    }),
  );
  for (const question of questions) must(await saveNew(odile, question));
  const setId = randomUUID();
  must(await makeSet(odile, setId, 'Week one'));
  must(
    await saveSet(odile, setId, { title: 'Week one', goBack: false, sections: inOrder(questions.map(({ id }) => id)) }),
  );
  releaseId = must(await publish(odile, { id: randomUUID(), courseId, setId })).id;
  wren = await learner(odile, courseId, `wren.${++n}`);
  sat = await sitter(wren, releaseId);
  await sat.take(sat.put('barley', 'dry'));
});

const settings = (change: Partial<ReleaseSettings>) =>
  changeSettings(odile, releaseId, { ...DEFAULT_SETTINGS, ...change });
const elsewhere = (change: Partial<ReleaseSettings>) =>
  other.call('changeSettings', odile.person, releaseId, { ...DEFAULT_SETTINGS, ...change });
const storedMoves = async () => (await app.db.select().from(move).where(eq(move.sittingId, sat.view.id))).length;

describe.each([
  ['in this process', settings],
  ['in another process', elsewhere],
] as const)('what a teacher changes %s holds with the very next request', (_, change) => {
  it('closing', async () => {
    must(await change({ closesAt: ago(60_000) }));
    expect(await sat.send(1, sat.put('poppy', 'dry'))).toMatchObject({ ok: false, code: 'sittingFinished' });
    expect(await sat.send(1, check())).toMatchObject({ ok: false, code: 'sittingFinished' });
    // What was there is checked once, as always at the end.
    expect(await storedMoves()).toBe(2);
  });

  it('minutes', async () => {
    await app.db.run(sql`update sitting set used_ms = 120000 where id = ${sat.view.id}`);
    must(await change({ minutes: 1 }));
    expect(await sat.send(1, sat.put('poppy', 'dry'))).toMatchObject({ ok: false, code: 'sittingFinished' });
  });

  it('how much is told', async () => {
    expect(JSON.stringify(must(await sat.send(1, check())))).toContain('SECRET WORDS');
    must(await change({ feedbackLevel: 'verdicts' }));
    expect(JSON.stringify(must(await sat.send(2, sat.put('acorn', 'dry'), check())))).not.toContain('SECRET WORDS');
  });

  it('whom it is for', async () => {
    const ash = await learner(odile, courseId, `ash.${n}`);
    must(await change({ audience: { groups: [], learners: [ash.person.id] } }));
    expect(await sat.send(1, sat.put('poppy', 'dry'))).toMatchObject({ ok: false, code: 'notFound' });
  });
});

describe('what changes while a sitting is under way', () => {
  it('an allowance, and that it is taken back', async () => {
    must(await settings({ closesAt: ago(60_000) }));
    must(
      await other.call('setAllowance', odile.person, releaseId, wren.person.id, {
        moreMinutes: 0,
        moreSittings: 0,
        dueAt: null,
        closesAt: new Date(Date.now() + 3_600_000),
      }),
    );
    must(await sat.send(1, sat.put('poppy', 'dry')));
    must(await setAllowance(odile, releaseId, wren.person.id, null));
    expect(await sat.send(2, sat.put('acorn', 'moist'))).toMatchObject({ ok: false, code: 'sittingFinished' });
  });

  it('a course that is archived, and a learner who is not enrolled any more', async () => {
    must(await changeCourse(odile, courseId, { archived: true }));
    expect(await sat.send(1, sat.put('poppy', 'dry'))).toMatchObject({ ok: false, code: 'notFound' });
    await app.db.update(courseTable).set({ archivedAt: null }).where(eq(courseTable.id, courseId));
    must(await sat.send(1, sat.put('poppy', 'dry')));
    must(await removeLearner(odile, courseId, [wren.person.id]));
    expect(await sat.send(2, sat.put('acorn', 'moist'))).toMatchObject({ ok: false, code: 'notFound' });
  });

  it('no going back, once another process has gone on to the next question', async () => {
    must(await other.call('goTo', wren.person, sat.view.id, 1));
    expect(await sat.send(1, sat.put('poppy', 'dry'))).toMatchObject({ ok: false, code: 'alreadyEnded' });
  });

  it('moves of two processes: none is lost or stored twice', async () => {
    const sent = { question: 0, after: 1, moves: [sat.put('poppy', 'dry')] };
    expect(must(await other.call('receiveMoves', sat.view.id, wren.person.id, sent))).toMatchObject({ last: 2 });
    // Sent again here, where an older state is remembered.
    expect(must(await receiveMoves(app, sat.view.id, wren.person.id, sent))).toMatchObject({ last: 2 });
    expect(must(await sat.send(2, sat.put('acorn', 'moist')))).toMatchObject({ last: 3 });
    expect(
      await other.call('receiveMoves', sat.view.id, wren.person.id, {
        question: 0,
        after: 2,
        moves: [sat.put('gravel', 'dry')],
      }),
    ).toMatchObject({
      ok: false,
      code: 'sittingMovedOn',
    });
    expect(await storedMoves()).toBe(3);
  });

  it('a sign-out, even where a ticket is still good', async () => {
    const token = randomUUID();
    const at = new Date();
    await app.db.insert(session).values({
      id: token,
      token,
      userId: wren.person.id,
      createdAt: at,
      updatedAt: at,
      expiresAt: new Date(at.getTime() + 60_000),
    });
    const send = (...moves: SentMove[]) =>
      receiveMoves(app, sat.view.id, wren.person.id, { question: 0, after: 1, moves }, token);
    must(await send(sat.put('poppy', 'dry')));
    await app.db.delete(session).where(eq(session.token, token));
    expect(await send(sat.put('acorn', 'moist'))).toMatchObject({ ok: false, code: 'notSignedIn' });
  });

  it.each([
    ['closed', sql`update release set closes_at = 1 where id = `, () => releaseId],
    ['finished', sql`update sitting set finished_at = 1 where id = `, () => sat.view.id],
    ['gone on', sql`update sitting set reached = 1 where id = `, () => sat.view.id],
    ['archived', sql`update course set archived_at = 1 where id = `, () => courseId],
  ])('between reading and storing: what is %s by then takes nothing', async (_, statement, id) => {
    const before = await storedMoves();
    // Somebody else comes in between, once: after all was read, before the moves are stored.
    let came = false;
    const $client = Object.create(app.db.$client) as App['db']['$client'];
    $client.batch = async (...batch) => {
      if (!came) await app.db.run(sql`${statement}${id()}`);
      came = true;
      return app.db.$client.batch(...batch);
    };
    const meddling = { ...app, db: Object.assign(Object.create(app.db) as App['db'], { $client }) };
    const answer = await receiveMoves(meddling, sat.view.id, wren.person.id, {
      question: 0,
      after: 1,
      moves: [sat.put('poppy', 'dry')],
    });
    expect(came).toBe(true);
    expect(answer.ok).toBe(false);
    await app.db.update(courseTable).set({ archivedAt: null }).where(eq(courseTable.id, courseId));
    // A sitting whose time is up is checked once; the move itself is not there.
    const rows = await app.db.select().from(move).where(eq(move.sittingId, sat.view.id));
    expect(rows.filter(({ body }) => body.kind !== 'check')).toHaveLength(before);
  });
});

describe('a sitting of many moves', () => {
  /** Moves stored as a learner's page would have sent them, over some days. */
  async function many(count: number) {
    const items = ['barley', 'poppy', 'acorn', 'gravel'];
    const rows = Array.from({ length: count }, (_, i) => [
      2 + i,
      randomUUID(),
      JSON.stringify(
        i % 50 === 49
          ? { kind: 'check' }
          : { kind: 'put', item: items[i % 4], copy: 0, zone: i % 3 === 0 ? 'moist' : 'dry' },
      ),
    ]);
    await app.db.run(
      sql`insert into move (sitting_id, n, id, edition, question, body, at) select ${sat.view.id}, row.value ->> 0, row.value ->> 1, 1, 0, row.value ->> 2, ${Date.now() - 3_600_000} + (row.value ->> 0) from json_each(${JSON.stringify(rows)}) row`,
    );
    await app.db.run(sql`update sitting set reached = 0, moves = ${1 + count} where id = ${sat.view.id}`);
  }

  it('is gone on with from a checkpoint, which is what the moves come to', async () => {
    await many(3000);
    const first = must(await openRelease(wren, releaseId));
    must(await sat.send(3001, sat.put('gravel', 'moist')));
    const [row] = await app.db.all<{ n: number }>(sql`select n from checkpoint where sitting_id = ${sat.view.id}`);
    expect(row?.n).toBe(3002);
    const again = must(await openRelease(wren, releaseId));
    expect(again.open?.last).toBe(3002);
    expect(again.open?.tries).toBe(first.open?.tries);
    await app.db.run(sql`delete from checkpoint where sitting_id = ${sat.view.id}`);
    expect(must(await openRelease(wren, releaseId))).toEqual(again);
    must(await goTo(wren, sat.view.id, 1));
    expect(must(await finish(wren, sat.view.id)).questions[0]?.tries).toBe(first.open ? first.open.tries + 1 : 0);
  });

  it('has an end, and a limit to what may be done in a minute', async () => {
    await many(9_999);
    expect(await sat.send(10_000, sat.put('gravel', 'moist'))).toMatchObject({ ok: false, code: 'sittingFull' });
    const ash = await sitter(await learner(odile, courseId, `ash.${n}`), releaseId);
    const put = (i: number) => ash.put(i % 2 === 0 ? 'barley' : 'poppy', 'dry');
    for (let i = 0; i < 4; i++) must(await ash.send(i * 500, ...Array.from({ length: 500 }, (_, k) => put(k))));
    expect(await ash.send(2000, put(0))).toMatchObject({ ok: false, code: 'tooMany' });
  });
});
