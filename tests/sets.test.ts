import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sweep } from '../src/server/accounts/sweep';
import type { App } from '../src/server/app';
import type { As, Teacher } from '../src/server/context';
import { publish } from '../src/server/releases/publish';
import { findAnything } from '../src/server/search/search';
import { saveNew } from '../src/server/vault/questions';
import { copySet, listSets, makeSet, openSet, saveSet, setSetDeleted } from '../src/server/vault/sets';
import { course, learner, must, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

const DAY = 24 * 3_600_000;
const TITLES = ['Barley', 'Poppy', 'Acorn', 'Flax', 'Rye', 'Oat'];
let app: App;
let done: () => void;
let odile: As<Teacher>;
let courseId = '';
let questions: string[] = [];

beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
  courseId = await course(odile);
  const made = TITLES.map((title) => seeds({ title }));
  for (const question of made) must(await saveNew(odile, question));
  questions = made.map(({ id }) => id);
});
afterAll(() => done());

async function setOf(title: string, head: { draw?: { count: number; points: number }; shuffled?: boolean } = {}) {
  const id = randomUUID();
  must(await makeSet(odile, id, title));
  const entries = questions.map((question) => ({ id: question, points: 2 }));
  must(
    await saveSet(odile, id, {
      ...{ title, goBack: true, sources: [] },
      sections: [{ title: '', draw: null, ...head, questions: entries }],
    }),
  );
  return id;
}

const rowOf = async (id: string) => (await listSets(odile)).find((row) => row.id === id);

describe('a set in the list', () => {
  it('says its points, its time and how often it was published; a draw counts as what is drawn', async () => {
    const whole = await setOf('All of them');
    const drawn = await setOf('Two of them', { draw: { count: 2, points: 3 } });
    must(await publish(odile, { id: randomUUID(), courseId, setId: whole }));
    const row = await rowOf(whole);
    expect(row).toMatchObject({ questions: 6, points: 12, releases: 1, deletedAt: null });
    expect(await rowOf(drawn)).toMatchObject({ questions: 6, points: 6, releases: 0 });
    const view = must(await openSet(odile, whole));
    const seconds = view.sections.flatMap((section) => section.questions.map((question) => question.seconds));
    // Four items to place, a check, and words to read.
    expect(Math.min(...seconds)).toBeGreaterThan(34);
    expect(row?.seconds).toBe(seconds.reduce((sum, one) => sum + one, 0));
    expect((await rowOf(drawn))?.seconds).toBe(Math.round((row?.seconds ?? 0) / 3));
    expect(view.uses).toMatchObject([{ title: 'All of them', course: expect.any(String) }]);
  });
});

describe('a shuffled section', () => {
  it('comes in an order of its own for each learner, the same whenever they come back', async () => {
    const id = randomUUID();
    must(await publish(odile, { id, courseId, setId: await setOf('In any order', { shuffled: true }) }));
    const orders = new Set<string>();
    for (const name of ['clover', 'sorrel', 'yarrow', 'tansy']) {
      const person = await learner(odile, courseId, name);
      const order: string[] = [];
      for (let at = 0; at < TITLES.length; at++) order.push((await sitter(person, id, at)).view.question.title);
      expect(order.toSorted()).toEqual(TITLES.toSorted());
      expect((await sitter(person, id, 0)).view.question.title).toBe(order[0]);
      orders.add(order.join());
    }
    expect(orders.size).toBeGreaterThan(1);
  });
});

describe('a copy of a set', () => {
  it('has its questions, sections and points, and is made once however often it is asked for', async () => {
    const id = await setOf('Original', { draw: { count: 3, points: 1 }, shuffled: true });
    const copyId = randomUUID();
    must(await copySet(odile, id, copyId));
    must(await copySet(odile, id, copyId));
    const [original, copy] = [must(await openSet(odile, id)), must(await openSet(odile, copyId))];
    expect(copy.title).toBe('Original (copy)');
    expect(copy.sections).toEqual(original.sections);
    expect((await listSets(odile)).filter(({ title }) => title === 'Original (copy)')).toHaveLength(1);
  });
});

describe('a deleted set', () => {
  it('is found nowhere and can be neither opened nor published, until it is brought back', async () => {
    const id = await setOf('Short-lived');
    const found = async () => (await findAnything(odile, 'short lived')).map(({ title }) => title);
    expect(await found()).toEqual(['Short-lived']);
    must(await setSetDeleted(odile, id, true));
    expect(await found()).toEqual([]);
    expect(await openSet(odile, id)).toMatchObject({ ok: false, code: 'notFound' });
    expect(await publish(odile, { id: randomUUID(), courseId, setId: id })).toMatchObject({ ok: false });
    expect((await rowOf(id))?.deletedAt).toEqual(expect.any(Date));
    must(await setSetDeleted(odile, id, false));
    expect(await found()).toEqual(['Short-lived']);
    expect(must(await openSet(odile, id)).sections[0]?.questions).toHaveLength(6);
  });

  it('goes for good when its time is over, and what was published from it stays', async () => {
    const id = await setOf('Gone for good');
    const releaseId = randomUUID();
    must(await publish(odile, { id: releaseId, courseId, setId: id }));
    must(await setSetDeleted(odile, id, true));
    const later = (days: number) => ({ ...app, now: () => new Date(Date.now() + days * DAY) });
    await sweep(later(80));
    expect(await rowOf(id)).toBeDefined();
    await sweep(later(100));
    expect(await rowOf(id)).toBeUndefined();
    const clover = await learner(odile, courseId, 'bryony');
    expect((await sitter(clover, releaseId)).view.release).toBe('Gone for good');
  });
});
