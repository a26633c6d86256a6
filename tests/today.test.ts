import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS } from '../src/contract';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { changeCourse } from '../src/server/courses/courses';
import { publish } from '../src/server/releases/publish';
import { assignedReleases } from '../src/server/results/assignedReleases';
import { findAnything } from '../src/server/search/search';
import { finish } from '../src/server/sittings/finish';
import { noteLook, todayOf } from '../src/server/today/today';
import { saveNew, setDeleted } from '../src/server/vault/questions';
import { makeSet } from '../src/server/vault/sets';
import { makeShelf, shareShelf } from '../src/server/vault/shelves';
import { course, learner, must, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

const HOUR = 3_600_000;
let app: App;
let done: () => void;
let clock = Date.now();
let odile: As<Teacher>;
let tamsin: As<Teacher>;
let clover: As<Learner>;
let courseId = '';

beforeAll(async () => {
  const made = await testApp();
  done = made.done;
  app = { ...made.app, now: () => new Date(clock) };
  odile = await teacher(app, 'odile');
  tamsin = await teacher(app, 'tamsin');
});
afterAll(() => done());

async function give(settings: Partial<typeof DEFAULT_SETTINGS>, changes = {}): Promise<string> {
  const question = seeds(changes);
  must(await saveNew(odile, question));
  const id = randomUUID();
  must(
    await publish(odile, {
      ...{ id, courseId, questionId: question.id, revision: 1 },
      settings: { ...DEFAULT_SETTINGS, ...settings },
    }),
  );
  return id;
}

describe('Today', () => {
  it('of a new teacher leads on to a first question, and holds nothing else', async () => {
    expect(await todayOf(odile)).toMatchObject({ isNew: true, due: [], ended: [], stuck: [], tried: [], drafts: [] });
  });

  it('says what is due or closes within seven days, and how many are missing', async () => {
    courseId = await course(odile);
    clover = await learner(odile, courseId, 'clover');
    await learner(odile, courseId, 'sorrel');
    const at = (hours: number) => new Date(clock + hours * HOUR);
    const soon = await give({ title: 'Soon', dueAt: at(30), closesAt: at(60) });
    const closing = await give({ title: 'Closing', dueAt: at(-1), closesAt: at(5) });
    await give({ title: 'Later', dueAt: at(8 * 24) });
    await give({ title: 'Practice', dueAt: at(3), practice: true });
    await give({ title: 'Undated' });
    const seat = await sitter(clover, soon);
    await seat.take(seat.put('barley', 'dry'));
    const { due, isNew } = await todayOf(odile);
    expect(isNew).toBe(false);
    expect(
      due.map(({ releaseId, closes, learners, finished, begun }) => [releaseId, closes, learners, finished, begun]),
    ).toEqual(
      expect.arrayContaining([
        [soon, false, 2, 0, 1],
        [closing, true, 2, 0, 0],
      ]),
    );
    expect(due).toHaveLength(2);
    // Somebody who teaches nothing of it is told nothing of it.
    expect((await todayOf(tamsin)).due).toEqual([]);
  });

  it('tells of attempts that ended or stand still, until the teacher has looked', async () => {
    const id = await give({ title: 'Seeds' }, { tries: null });
    const seat = await sitter(clover, id);
    for (const [item, zone] of [
      ['barley', 'dry'],
      ['poppy', 'dry'],
      ['acorn', 'moist'],
    ] as const)
      await seat.take(seat.put(item, zone));
    expect((await todayOf(odile)).stuck).toEqual([]);
    clock += HOUR / 2;
    expect((await todayOf(odile)).stuck.filter(({ releaseId }) => releaseId === id)).toMatchObject([
      { name: 'clover', place: 1, sittingId: seat.view.id },
    ]);
    must(await finish(clover, seat.view.id));
    const then = await todayOf(odile);
    expect(then.ended).toMatchObject([{ releaseId: id, ended: 1, fullMarks: 1 }]);
    expect(then.stuck.filter(({ releaseId }) => releaseId === id)).toEqual([]);
    clock += 1000;
    must(await noteLook(odile));
    expect((await todayOf(odile)).ended).toEqual([]);
    expect((await todayOf(odile)).since.getTime()).toBe(clock);
  });

  it('holds the questions with errors that were changed last', async () => {
    const question = seeds({ title: 'Unfinished', key: [] });
    must(await saveNew(odile, question));
    const errors = await app.db.all<{ n: number }>(
      sql`select json_extract(findings, '$.error') as n from question where id = ${question.id}`,
    );
    const drafts = (await todayOf(odile)).drafts.map(({ title }) => title);
    expect(drafts.includes('Unfinished')).toBe((errors[0]?.n ?? 0) > 0);
    expect(errors[0]?.n).toBeGreaterThan(0);
  });
});

describe('A learner’s first page', () => {
  it('says where an attempt is that runs, and the course and unit', async () => {
    const id = await give({ title: 'Running' });
    const seat = await sitter(clover, id);
    await seat.take(seat.put('barley', 'dry'));
    const found = (await assignedReleases(clover)).find((release) => release.id === id);
    expect(found).toMatchObject({ state: 'started', at: 1, questions: 1, unit: null, courseId, corrected: null });
  });
});

describe('Search in everything', () => {
  const kinds = async (as: As<Teacher>, words: string) =>
    (await findAnything(as, words)).map(({ kind, title }) => `${kind}: ${title}`);

  it('finds questions by title and words, sets, courses, releases and learners, the best first', async () => {
    must(await saveNew(odile, seeds({ title: 'Foxglove and harebell' })));
    must(await makeSet(odile, randomUUID(), 'Foxglove week'));
    expect(await kinds(odile, 'foxg')).toEqual(
      expect.arrayContaining(['question: Foxglove and harebell', 'set: Foxglove week']),
    );
    expect(await kinds(odile, 'tarn hollow')).toEqual(['course: Tarn Hollow induction']);
    expect(await kinds(odile, 'Undated')).toEqual(['release: Undated']);
    expect(await kinds(odile, 'clov')).toEqual(['learner: clover']);
    // In a title before in the words.
    must(await saveNew(odile, seeds({ title: 'Gravel is no seed' })));
    expect((await kinds(odile, 'gravel'))[0]).toBe('question: Gravel is no seed');
    expect(await kinds(odile, '')).toEqual([]);
    expect(await kinds(odile, '" OR *')).toEqual([]);
  });

  it('goes with what it names', async () => {
    must(await changeCourse(odile, courseId, { title: 'Viability testing', from: 1 }));
    expect(await kinds(odile, 'viability')).toEqual(['course: Viability testing']);
    expect(await kinds(odile, 'tarn hollow')).toEqual([]);
    const question = seeds({ title: 'Sycamore' });
    must(await saveNew(odile, question));
    must(await setDeleted(odile, question.id, true));
    expect(await kinds(odile, 'sycamore')).toEqual([]);
  });

  it('shows nobody else’s, but what was shared', async () => {
    expect(await kinds(tamsin, 'foxglove')).toEqual([]);
    expect(await kinds(tamsin, 'clover')).toEqual([]);
    const shelf = must(await makeShelf(odile, { id: randomUUID(), title: 'Shared', parentId: null })).id;
    must(await saveNew(odile, seeds({ title: 'Harebell alone' }), shelf));
    expect(await kinds(tamsin, 'harebell')).toEqual([]);
    must(await shareShelf(odile, shelf, { username: 'tamsin', right: 'see', from: null }));
    expect(await kinds(tamsin, 'harebell')).toEqual(['question: Harebell alone']);
  });
});
