import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { applyAll, type ItemId, type Question, remove, rename, type Step, setItem } from '../src/core';
import type { As, Teacher } from '../src/server/context';
import { editQuestion, openQuestion, saveNew } from '../src/server/vault/questions';
import { listVersions, versionAt } from '../src/server/vault/versions';
import { must, seeds, teacher, testApp } from './support/app';

let odile: As<Teacher>;
let other: As<Teacher>;
let end: () => void;
beforeAll(async () => {
  const { app, done } = await testApp();
  end = done;
  odile = await teacher(app, 'odile');
  other = await teacher(app, 'mareike');
});
afterAll(() => end());

it('every version can be had again as it was, and those of a burst are one', async () => {
  const question = seeds({ id: randomUUID() });
  must(await saveNew(odile, question));
  const states: Question[] = [question];
  const steps: ((now: Question) => Step)[] = [
    (now) => rename(now, 'item', 'barley', 'Barley'),
    (now) => setItem(now, 'poppy' as ItemId, 'home', { x: 5, y: 6 }),
    (now) => remove(now, new Set(['item:acorn', 'zone:dry'])),
    (now) => rename(now, 'zone', 'moist', 'Moist'),
  ];
  let minutes = 0;
  for (const [i, step] of steps.entries()) {
    const now = states.at(-1) as Question;
    const edits = step(now);
    // The first two within a minute of one another, the others after a pause each.
    minutes += i === 1 ? 1 : 10;
    const at = new Date(Date.UTC(2026, 2, 2, 10, minutes));
    must(await editQuestion({ ...odile, now: () => at }, question.id, { id: randomUUID(), from: i + 1, edits }));
    states.push(applyAll(now, edits));
  }
  for (const [i, state] of states.entries())
    expect(must(await versionAt(odile, question.id, i + 1)).question).toEqual(state);
  expect(must(await openQuestion(odile, question.id)).question).toEqual(states.at(-1));
  const versions = must(await listVersions(odile, question.id));
  expect(versions.map(({ revision, changes, by }) => [revision, changes, by])).toEqual([
    [5, 1, 'odile'],
    [4, 1, 'odile'],
    [3, 2, 'odile'],
    [1, 0, 'odile'],
  ]);
});

it('what is no version, or another teacher’s, is not there', async () => {
  const question = seeds({ id: randomUUID() });
  must(await saveNew(odile, question));
  for (const revision of [0, 2, -1, 1.5, Number.NaN])
    expect(await versionAt(odile, question.id, revision)).toMatchObject({ ok: false, code: 'notFound' });
  expect(await versionAt(other, question.id, 1)).toMatchObject({ ok: false, code: 'notFound' });
  expect(await listVersions(other, question.id)).toMatchObject({ ok: false, code: 'notFound' });
});
