import { randomUUID } from 'node:crypto';
import { and, asc, eq, isNotNull } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ResultSort } from '../src/contract';
import { cronbach, digestOf, discrimination, facility, questionModel, random } from '../src/core';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { digest, job, move, sitting } from '../src/server/database/tables';
import { publish } from '../src/server/releases/publish';
import { analysisOf } from '../src/server/results/analysis';
import { applyEdition, makeEdition } from '../src/server/results/corrections';
import { resultsOf, resultsPage } from '../src/server/results/results';
import { retraceOf, togetherOf } from '../src/server/results/retrace';
import { finish } from '../src/server/sittings/finish';
import { saveNew } from '../src/server/vault/questions';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { analysed } from './support/analysed';
import { course, inOrder, learner, must, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let courseId: string;
let releaseId: string;
const questions = ['First', 'Second', 'Third'].map((title) => seeds({ title, tries: null, afterMiss: 'leave' }));
/** What each learner came to in each question, by hand. */
const marks: number[][] = [];
beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
  courseId = await course(odile);
  const setId = randomUUID();
  for (const question of questions) must(await saveNew(odile, question));
  must(await makeSet(odile, setId, 'Three'));
  must(await saveSet(odile, setId, { title: 'Three', goBack: true, sections: inOrder(questions.map(({ id }) => id)) }));
  releaseId = must(await publish(odile, { id: randomUUID(), courseId, setId })).id;
  const next = random(5);
  for (let i = 0; i < 8; i++) {
    const as = await learner(odile, courseId, `learner.${i}`);
    const row: number[] = [];
    let id = '';
    for (const at of [0, 1, 2]) {
      const sat = await sitter(as, releaseId, at === 0 ? undefined : at);
      id = sat.view.id;
      let right = 0;
      for (const [item, zone] of [
        ['barley', 'dry'],
        ['poppy', 'dry'],
        ['acorn', 'moist'],
      ] as const) {
        const knows = next() < (i + 1) / 9;
        right += knows ? 1 : 0;
        await sat.take(sat.put(item, knows ? zone : zone === 'dry' ? 'moist' : 'dry'));
      }
      row.push(right / 3);
    }
    must(await finish(as, id));
    marks.push(row);
  }
});
afterAll(() => done());

describe('the results of a release', () => {
  it('are the figures of the core over what learners came to', async () => {
    const analysis = await analysed(odile, releaseId);
    expect(analysis).toMatchObject({ learners: 8, outOf: 9 });
    const shares = [...marks].sort();
    expect(analysis.questions.map((question) => question.facility?.value)).toEqual(
      [0, 1, 2].map((q) => expect.closeTo(facility(shares, q) as number, 9)),
    );
    expect(analysis.questions.map((question) => question.discrimination?.value)).toEqual(
      [0, 1, 2].map((q) => expect.closeTo(discrimination(shares, [3, 3, 3], q) as number, 9)),
    );
    expect(analysis.alpha?.value).toBeCloseTo(cronbach(shares, [3, 3, 3]) as number, 9);
    expect(analysis.distribution.reduce((a, b) => a + b)).toBe(8);
    expect(analysis.mean).toBeCloseTo(marks.flat().reduce((a, b) => a + b) / 24, 9);
    for (const [q, { answers, asked, answered, tries }] of analysis.questions.entries()) {
      expect({ asked, answered, tries }).toEqual({ asked: 8, answered: 8, tries: 1 });
      const right = answers.pairs.filter((pair) => pair.right).reduce((sum, { last }) => sum + last, 0);
      expect(right).toBe(Math.round(marks.reduce((sum, row) => sum + (row[q] as number) * 3, 0)));
      expect(answers.pairs.reduce((sum, { last }) => sum + last, 0)).toBe(24);
    }
  });

  it('are kept, and worked out again only where a sitting went on or is judged otherwise', async () => {
    await analysed(odile, releaseId);
    const before = await app.db.select().from(digest);
    expect(before).toHaveLength(8);
    for (const row of before.slice(0, 3)) {
      const moves = await app.db.select().from(move).where(eq(move.sittingId, row.sittingId)).orderBy(asc(move.n));
      const own = questions.map((question, q) =>
        digestOf(
          questionModel(question),
          moves.filter((move) => move.question === q).map(({ body, at }) => ({ move: body, at: at.getTime() })),
        ),
      );
      expect(row.body).toEqual(own);
    }
    const late = await learner(odile, courseId, 'late');
    const sat = await sitter(late, releaseId);
    await sat.take(sat.put('gravel', 'dry'));
    await sat.take(sat.move({ kind: 'check' }));
    // A request works nothing out: it tells what is known, and adds a job.
    expect(must(await analysisOf(odile, releaseId))).toMatchObject({
      isCurrent: false,
      figures: { learners: 8, questions: [{ asked: 8, answered: 8 }, {}, {}] },
    });
    const [added] = await app.db.select().from(job).where(eq(job.kind, 'digests'));
    expect(added).toMatchObject({ state: 'waiting', ownerId: odile.person.id, input: { releaseId } });
    expect(await analysed(odile, releaseId)).toMatchObject({
      learners: 9,
      questions: [
        {
          ...{ asked: 9, answered: 9 },
          answers: { pairs: expect.arrayContaining([{ item: 3, zone: 0, first: 1, last: 1, right: false }]) },
        },
        // Whoever is under way has not come to these.
        { asked: 8, answered: 8 },
        { asked: 8, answered: 8 },
      ],
    });
    await sat.take(sat.put('gravel', null));
    expect((await analysed(odile, releaseId)).questions[0]?.answers.pairs.find(({ item }) => item === 3)).toEqual({
      item: 3,
      zone: -1,
      first: 0,
      last: 1,
      right: true,
    });
    must(
      await makeEdition(odile, releaseId, 2, {
        reason: '',
        changes: [{ question: 1, strike: true, fromVault: false, accept: [] }],
      }),
    );
    must(await applyEdition(odile, releaseId, 2));
    expect(await analysed(odile, releaseId)).toMatchObject({
      outOf: 6,
      questions: [{}, { struck: true, facility: null }, {}],
    });
    expect((await app.db.select().from(digest)).every(({ edition }) => edition === 2)).toBe(true);
  });

  it('has each sitting move by move, with where everything was for that learner', async () => {
    const sweeps = await learner(odile, courseId, 'traced');
    const sat = await sitter(sweeps, releaseId);
    await sat.take(sat.drop('barley', 100, 60));
    await sat.take(sat.move({ kind: 'check' }));
    const view = must(await retraceOf(odile, releaseId, sat.view.id));
    expect(view).toMatchObject({ learner: 'traced', number: 1, release: { id: releaseId } });
    expect(view.questions[0]?.moves.map(({ move: made }) => made.kind)).toEqual(['drop', 'check']);
    expect(view.questions[0]?.homes).toEqual(sat.view.question.items.map(({ home }) => home));
    expect(await retraceOf(await teacher(app, 'stranger'), releaseId, sat.view.id)).toMatchObject({ code: 'notFound' });
    expect(await retraceOf(odile, releaseId, randomUUID())).toMatchObject({ code: 'notFound' });
  });

  it('name who tried everything until it fitted, with the zones in their order', async () => {
    const rect = (id: string, x: number) => ({ id, label: id, shape: { type: 'rect', x, y: 40, w: 120, h: 300 } });
    const question = seeds({
      zones: ['dry', 'moist', 'cold'].map((id, i) => rect(id, 20 + 140 * i)),
      key: [...seeds().key, { zone: 'cold', belongs: ['gravel'], need: { rule: 'all' } }],
      tries: null,
    });
    must(await saveNew(odile, question));
    const id = must(await publish(odile, { id: randomUUID(), courseId, questionId: question.id, revision: 1 })).id;
    const through = async (as: As<Learner>, ...way: [string, string][]) => {
      const sat = await sitter(as, id);
      for (const [item, zone] of way) await sat.take(sat.put(item, zone));
      must(await finish(as, sat.view.id));
    };
    await through(
      await learner(odile, courseId, 'sweeper'),
      ['barley', 'moist'],
      ['barley', 'cold'],
      ['barley', 'dry'],
      ['acorn', 'dry'],
      ['acorn', 'cold'],
      ['acorn', 'moist'],
    );
    await through(
      await learner(odile, courseId, 'knower'),
      ['barley', 'dry'],
      ['poppy', 'dry'],
      ['acorn', 'cold'],
      ['acorn', 'moist'],
    );
    expect((await analysed(odile, id)).sweepers).toMatchObject([
      {
        name: 'sweeper',
        question: 0,
        swept: [
          { item: 0, zones: [1, 2, 0] },
          { item: 2, zones: [0, 2, 1] },
        ],
      },
    ]);
    expect(await analysisOf(await teacher(app, 'fern'), id)).toMatchObject({ code: 'notFound' });
  });
});

describe('the learners of a release', () => {
  it('come a page at a time in any order, with those who have no mark last', async () => {
    await learner(odile, courseId, 'not.begun');
    const all = must(await resultsOf(odile, releaseId));
    const page = async (sort: ResultSort, descending = false, from = 0) =>
      must(await resultsPage(odile, releaseId, { from, sort, descending }));
    const marksOf = ({ rows }: typeof all) => rows.map(({ mark }) => mark);
    const byMark = marksOf(await page('mark', true));
    const sorted = byMark.filter((mark) => mark !== null);
    expect(sorted).toEqual(sorted.toSorted((a, b) => b - a));
    expect(byMark.slice(sorted.length)).toEqual(byMark.slice(sorted.length).map(() => null));
    expect(byMark.at(-1)).toBeNull();
    expect(marksOf(await page('mark'))).toEqual([...sorted.toReversed(), ...byMark.slice(sorted.length)]);
    expect((await page('name')).rows).toEqual(all.rows);
    expect((await page('name', false, 3)).rows).toEqual(all.rows.slice(3));
    const begun = all.rows.filter(({ state }) => state !== 'notStarted');
    expect(begun.length).toBeLessThan(all.rows.length);
    const byState = await page('state');
    expect(byState).toMatchObject({ total: all.rows.length, begun: begun.length, from: 0 });
    expect(byState.rows[0]?.state).toBe('notStarted');
    expect(byState.rows.at(-1)?.state).toBe('ended');
  });
});

describe('attempts played together', () => {
  it('are those that came to the question, by learner, with their moves of it alone', async () => {
    const together = must(await togetherOf(odile, releaseId, { question: 1, from: 0 }));
    expect(together).toMatchObject({ titles: ['First', 'Second', 'Third'], question: 1, total: 8, from: 0 });
    expect(together.attempts.map(({ learner }) => learner)).toEqual(marks.map((_, i) => `learner.${i}`));
    expect(together.document.title).toBe('Second');
    for (const { sittingId, document, homes, moves } of together.attempts) {
      const { questions: alone } = must(await retraceOf(odile, releaseId, sittingId));
      expect({ document, homes, moves }).toEqual({ document: null, homes: alone[1]?.homes, moves: alone[1]?.moves });
      expect(moves.length).toBeGreaterThan(3);
    }
  });

  it('begin with the one they are held against, and go on from a place', async () => {
    const { attempts } = must(await togetherOf(odile, releaseId, { question: 0, from: 0 }));
    const beside = attempts.find(({ learner }) => learner === 'learner.5')?.sittingId;
    const first = must(await togetherOf(odile, releaseId, { question: 0, from: 0, beside }));
    const others = attempts.filter(({ sittingId }) => sittingId !== beside);
    expect(first.attempts).toEqual([expect.objectContaining({ sittingId: beside }), ...others]);
    const rest = must(await togetherOf(odile, releaseId, { question: 0, from: 6 }));
    expect(rest).toEqual({ ...rest, attempts: attempts.slice(6), total: attempts.length });
  });

  it('are of a question of the release, for those who teach it', async () => {
    expect(await togetherOf(odile, releaseId, { question: 3, from: 0 })).toMatchObject({ code: 'notFound' });
    const fern = await teacher(app, 'fern.together');
    expect(await togetherOf(fern, releaseId, { question: 0, from: 0 })).toMatchObject({ code: 'notFound' });
  });
});

describe('the stamp of figures', () => {
  it('holds for attempts of which the times add up to more than a number holds', async () => {
    const distant = new Date(8e15);
    const ended = and(eq(sitting.releaseId, releaseId), isNotNull(sitting.finishedAt));
    await app.db.update(sitting).set({ finishedAt: distant }).where(ended);
    await analysed(odile, releaseId);
    // One of them is reopened and ends at another time: they are no longer the same.
    const [one] = await app.db.select({ id: sitting.id }).from(sitting).where(ended);
    await app.db
      .update(sitting)
      .set({ finishedAt: new Date(8e15 - 1) })
      .where(eq(sitting.id, one?.id ?? ''));
    expect(must(await analysisOf(odile, releaseId)).isCurrent).toBe(false);
  });
});
