import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ReleaseSettings } from '../src/contract';
import type { As, Learner, Teacher } from '../src/server/context';
import { listAudit } from '../src/server/courses/audit';
import { changeCourse, openCourse, setTeacher } from '../src/server/courses/courses';
import { listParts, saveCategories, saveGroup, saveUnits, setMember } from '../src/server/courses/parts';
import type { Result } from '../src/server/errors';
import { publish } from '../src/server/releases/publish';
import { changeSettings, openSettings } from '../src/server/releases/settings';
import { assignedReleases } from '../src/server/results/assignedReleases';
import { applyEdition, makeEdition, previewCorrection } from '../src/server/results/corrections';
import { openGradebook } from '../src/server/results/gradebook';
import { gradebookCsv } from '../src/server/results/gradebookCsv';
import { setMark } from '../src/server/results/handMarks';
import { removalEffects, remove, undoRemoval } from '../src/server/results/removals';
import { resultsOf } from '../src/server/results/results';
import { finish } from '../src/server/sittings/finish';
import { openRelease } from '../src/server/sittings/openRelease';
import { makeList, saveList } from '../src/server/vault/lists';
import { saveNew } from '../src/server/vault/questions';
import { makeSet, openSet, saveSet } from '../src/server/vault/sets';
import { makeShelf, shareShelf } from '../src/server/vault/shelves';
import { course, inOrder, learner, must, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let odile: As<Teacher>;
let tamsin: As<Teacher>;
let done: () => void;
beforeAll(async () => {
  const at = await testApp();
  done = at.done;
  [odile, tamsin] = [await teacher(at.app, 'odile'), await teacher(at.app, 'tamsin')];
});
afterAll(() => done());

/** A course that both teach. */
async function shared(): Promise<string> {
  const courseId = await course(odile);
  must(await setTeacher(odile, courseId, 'tamsin', true));
  return courseId;
}
const named = (title: string) => ({ id: randomUUID(), title });
const stale = (detail: unknown) => ({ ok: false, code: 'changedMeanwhile', detail });

describe('a write of the whole that was made on an older revision is refused, with what is there now', () => {
  it('units and categories of a course', async () => {
    const courseId = await shared();
    const [one, two] = [named('Drying'), named('Sealing')];
    must(await saveUnits(odile, courseId, [one], 1));
    must(await saveUnits(tamsin, courseId, [one, two], 2));
    expect(await saveUnits(odile, courseId, [{ ...one, title: 'Drying well' }], 2)).toMatchObject(
      stale({ revision: 3, content: { units: [one, two] } }),
    );
    const [exercises, tests] = [
      { ...named('Exercises'), weight: 1 },
      { ...named('Tests'), weight: 3 },
    ];
    must(await saveCategories(odile, courseId, [exercises], 1));
    must(await saveCategories(odile, courseId, [exercises, tests], 2));
    expect(await saveCategories(tamsin, courseId, [{ ...exercises, weight: 5 }], 2)).toMatchObject(
      stale({ revision: 3, content: { categories: [exercises, tests] } }),
    );
    expect(must(await listParts(odile, courseId))).toMatchObject({
      units: [one, two],
      categories: [exercises, tests],
      unitsRevision: 3,
      categoriesRevision: 3,
    });
    // Weights are what marks rest on.
    expect(must(await listAudit(odile, courseId)).map(({ what }) => what)).toEqual(['categories', 'categories']);
  });

  it('of two at once only one is taken', async () => {
    const courseId = await shared();
    const both: Result<unknown>[] = await Promise.all([
      saveUnits(odile, courseId, [named('Mine')], 1),
      saveUnits(tamsin, courseId, [named('Hers')], 1),
    ]);
    expect(both.map(({ ok }) => ok).sort()).toEqual([false, true]);
    expect(must(await listParts(odile, courseId)).units).toHaveLength(1);
  });

  it('a group, a course, a shelf’s share', async () => {
    const courseId = await shared();
    const group = named('Morning shift');
    must(await saveGroup(odile, courseId, { ...group, from: null }));
    must(await saveGroup(tamsin, courseId, { ...group, title: 'Early shift', from: 1 }));
    expect(await saveGroup(odile, courseId, { ...group, title: 'Dawn shift', from: 1 })).toMatchObject(
      stale({ revision: 2, content: { title: 'Early shift' } }),
    );
    const { revision } = must(await openCourse(odile, courseId));
    must(await changeCourse(tamsin, courseId, { title: 'Induction', from: revision }));
    expect(await changeCourse(odile, courseId, { title: 'Week one', from: revision })).toMatchObject(
      stale({ revision: revision + 1, content: { title: 'Induction' } }),
    );
    const shelf = must(await makeShelf(odile, { id: randomUUID(), title: 'Drying', parentId: null })).id;
    must(await shareShelf(odile, shelf, { username: 'tamsin', right: 'use', from: null }));
    expect(await shareShelf(odile, shelf, { username: 'tamsin', right: 'see', from: null })).toMatchObject(
      stale({ content: { right: 'use' } }),
    );
  });

  it('a set, a list, the settings of a release', async () => {
    const [one, two] = [seeds({ title: 'One' }), seeds({ title: 'Two' })];
    for (const question of [one, two]) must(await saveNew(odile, question));
    const setId = randomUUID();
    must(await makeSet(odile, setId, 'Both'));
    must(await saveSet(odile, setId, { title: 'Both', goBack: true, sections: inOrder([one.id]) }, 1));
    expect(
      must(await saveSet(odile, setId, { title: 'Both', goBack: true, sections: inOrder([one.id, two.id]) }, 2))
        .revision,
    ).toBe(3);
    expect(await saveSet(odile, setId, { title: 'One', goBack: false, sections: inOrder([one.id]) }, 2)).toMatchObject(
      stale({ revision: 3, content: { title: 'Both' } }),
    );
    expect(must(await openSet(odile, setId)).sections[0]?.questions).toHaveLength(2);
    const list = must(await makeList(odile, { id: randomUUID(), title: 'Seeds', rows: [['barley']] })).id;
    must(await saveList(odile, list, { title: 'Seeds', rows: [['barley'], ['oat']] }, 1));
    expect(await saveList(odile, list, { title: 'Seeds', rows: [['rye']] }, 1)).toMatchObject(
      stale({ revision: 2, content: { rows: [['barley'], ['oat']] } }),
    );
    const courseId = await shared();
    const releaseId = must(await publish(odile, { id: randomUUID(), courseId, setId })).id;
    const { settings } = must(await openSettings(odile, releaseId));
    must(await changeSettings(odile, releaseId, { ...settings, sittings: 5 }, 1));
    expect(await changeSettings(tamsin, releaseId, { ...settings, minutes: 30 }, 1)).toMatchObject(
      stale({ revision: 2, content: { sittings: 5, minutes: null } }),
    );
    expect(must(await openSettings(odile, releaseId)).settings).toMatchObject({ sittings: 5, minutes: null });
  });
});

/** A course with a category in which there is something, and one in which there is nothing. */
async function graded() {
  const courseId = await shared();
  const [exercises, tests] = [
    { ...named('Exercises'), weight: 1 },
    { ...named('Tests'), weight: 3 },
  ];
  must(await saveCategories(odile, courseId, [exercises, tests]));
  const [wren, ash] = [
    await learner(odile, courseId, `wren.${randomUUID().slice(0, 8)}`),
    await learner(odile, courseId, `ash.${randomUUID().slice(0, 8)}`),
  ];
  const give = async (settings: Partial<ReleaseSettings>) => {
    const question = seeds();
    must(await saveNew(odile, question));
    return must(await publish(odile, { id: randomUUID(), courseId, questionId: question.id, revision: 1, settings }))
      .id;
  };
  const exercise = await give({ categoryId: exercises.id });
  const test = await give({ categoryId: tests.id });
  const answer = async (as: As<Learner>, releaseId: string, ...placed: [string, string][]) => {
    const sat = await sitter(as, releaseId);
    for (const [item, zone] of placed) await sat.take(sat.put(item, zone));
    must(await finish(as, sat.view.id));
  };
  await answer(wren, exercise, ['barley', 'dry'], ['poppy', 'dry'], ['acorn', 'moist']);
  await answer(wren, test, ['barley', 'dry']);
  await answer(ash, exercise, ['barley', 'dry']);
  const whole = async (as: As<Learner>) =>
    must(await openGradebook(odile, courseId)).rows.find(({ learnerId }) => learnerId === as.person.id)?.whole;
  return { courseId, exercises, tests, wren, ash, exercise, test, whole, answer, give };
}

describe('removing what marks and releases rest on', () => {
  it('a category: says which marks it would change, is on record, and can be undone', async () => {
    const { courseId, tests, wren, test, whole } = await graded();
    const before = await whole(wren);
    const effects = must(await removalEffects(tamsin, courseId, 'category', tests.id));
    expect(effects).toMatchObject({
      releases: [{ id: test }],
      marks: [{ learnerId: wren.person.id, before, after: 1 }],
    });
    const id = randomUUID();
    must(await remove(tamsin, courseId, { id, kind: 'category', of: tests.id }));
    must(await remove(tamsin, courseId, { id, kind: 'category', of: tests.id }));
    expect(await whole(wren)).toBe(1);
    expect(must(await undoRemoval(odile, courseId, id)).categories).toMatchObject([{ title: 'Exercises' }, tests]);
    must(await undoRemoval(odile, courseId, id));
    expect(await whole(wren)).toBe(before);
    expect(must(await listAudit(odile, courseId)).map(({ what, by }) => [what, by])).toEqual([
      ['removalUndone', 'odile'],
      ['removed', 'tamsin'],
      ['categories', 'odile'],
    ]);
  });

  it('a group: says for whom nothing would be left, and can be undone with its learners and releases', async () => {
    const { courseId, wren, ash, give } = await graded();
    const group = named('Morning shift');
    must(await saveGroup(odile, courseId, group));
    must(await setMember(odile, courseId, group.id, wren.person.id, true));
    const releaseId = await give({ title: 'For the morning', audience: { groups: [group.id], learners: [] } });
    expect(must(await removalEffects(odile, courseId, 'group', group.id))).toMatchObject({
      releases: [{ id: releaseId }],
      learners: 1,
      forNobody: ['For the morning'],
    });
    const id = randomUUID();
    must(await remove(odile, courseId, { id, kind: 'group', of: group.id }));
    expect((await assignedReleases(wren)).map((assignedRelease) => assignedRelease.id)).not.toContain(releaseId);
    must(await undoRemoval(odile, courseId, id));
    expect((await assignedReleases(wren)).map((assignedRelease) => assignedRelease.id)).toContain(releaseId);
    expect((await assignedReleases(ash)).map((assignedRelease) => assignedRelease.id)).not.toContain(releaseId);
  });

  it('what is of another course is not there', async () => {
    const { tests } = await graded();
    const other = await shared();
    expect(await removalEffects(odile, other, 'category', tests.id)).toMatchObject({ code: 'notFound' });
    expect(await remove(odile, other, { id: randomUUID(), kind: 'category', of: tests.id })).toMatchObject({
      code: 'notFound',
    });
    expect(await undoRemoval(odile, other, randomUUID())).toMatchObject({ code: 'notFound' });
  });
});

describe('a mark by hand', () => {
  it('keeps what it is out of, whatever a correction makes of the release, and is shown before one is applied', async () => {
    const courseId = await course(odile);
    const setId = randomUUID();
    const questions = [seeds({ title: 'First' }), seeds({ title: 'Second' })];
    for (const question of questions) must(await saveNew(odile, question));
    must(await makeSet(odile, setId, 'Both'));
    must(
      await saveSet(odile, setId, { title: 'Both', goBack: true, sections: inOrder(questions.map(({ id }) => id)) }),
    );
    const releaseId = must(await publish(odile, { id: randomUUID(), courseId, setId })).id;
    const [juno, arlo] = [await learner(odile, courseId, 'juno'), await learner(odile, courseId, 'arlo')];
    const sat = await sitter(arlo, releaseId);
    for (const item of ['barley', 'poppy']) await sat.take(sat.put(item, 'dry'));
    must(await finish(arlo, sat.view.id));
    must(await setMark(odile, releaseId, juno.person.id, { points: 3, reason: 'On paper' }));
    const correction = { reason: 'Unclear', changes: [{ question: 1, strike: true, fromVault: false, accept: [] }] };
    expect(must(await previewCorrection(odile, releaseId, correction)).byHand).toEqual([
      { learnerId: juno.person.id, name: 'juno', points: 3, outOf: 6 },
    ]);
    must(await makeEdition(odile, releaseId, 2, correction));
    must(await applyEdition(odile, releaseId, 2));
    const cells = Object.fromEntries(
      must(await openGradebook(odile, courseId)).rows.map(({ name, cells: [cell], whole }) => [
        name,
        [cell?.points, cell?.outOf, whole],
      ]),
    );
    expect(cells).toEqual({ juno: [3, 6, 0.5], arlo: [2, 3, 2 / 3] });
    expect(must(await resultsOf(odile, releaseId)).rows.map(({ name, mark, max }) => [name, mark, max])).toEqual([
      ['arlo', 2, 3],
      ['juno', 3, 6],
    ]);
    // The overall mark follows from the line, to the last digit.
    for (const line of must(await gradebookCsv(odile, courseId))
      .trim()
      .split('\r\n')
      .slice(1)) {
      const [, , , points, outOf, , , , , overall] = line.split(',');
      expect(Number(overall)).toBe(Number(((100 * Number(points)) / Number(outOf)).toFixed(8)));
    }
  });

  it('above what there is to be had has to be meant', async () => {
    const { test, wren } = await graded();
    expect(await setMark(odile, test, wren.person.id, { points: 99, reason: 'Extra' })).toMatchObject({
      code: 'invalid',
      problems: [{ path: 'mark.above' }],
    });
    must(await setMark(odile, test, wren.person.id, { points: 99, reason: 'Extra', above: true }));
  });
});

describe('an attempt in which nothing was done', () => {
  it('does not count, even where the last one does', async () => {
    const { wren, give, courseId } = await graded();
    const releaseId = await give({ title: 'Twice', sittings: 3, counts: 'last' });
    const sat = await sitter(wren, releaseId);
    for (const item of ['barley', 'poppy']) await sat.take(sat.put(item, 'dry'));
    must(await finish(wren, sat.view.id));
    const again = must(await openRelease(wren, releaseId));
    must(await finish(wren, again.open?.id ?? ''));
    const cell = must(await openGradebook(odile, courseId))
      .rows.find(({ learnerId }) => learnerId === wren.person.id)
      ?.cells.at(-1);
    expect(cell).toMatchObject({ points: 2, outOf: 3 });
    expect((await assignedReleases(wren)).find(({ id }) => id === releaseId)).toMatchObject({ mark: 2 });
    expect(
      must(await resultsOf(odile, releaseId)).rows.find(({ learnerId }) => learnerId === wren.person.id),
    ).toMatchObject({ mark: 2 });
  });
});
