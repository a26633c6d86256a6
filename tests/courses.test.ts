import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { courseChange, DEFAULT_SETTINGS, type ReleaseSettings } from '../src/contract';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { listAudit } from '../src/server/courses/audit';
import {
  changeCourse,
  listCourses,
  listTeachers,
  makeCourse,
  openCourse,
  setTeacher,
} from '../src/server/courses/courses';
import { joinCourse, registerWith } from '../src/server/courses/join';
import { listParts, saveCategories, saveGroup, saveUnits, setMember } from '../src/server/courses/parts';
import { importRoster, listRoster, makeLearner, planRoster, removeLearner } from '../src/server/courses/roster';
import { publish } from '../src/server/releases/publish';
import { changeSettings, openSettings, setAllowance } from '../src/server/releases/settings';
import { assignedReleases } from '../src/server/results/assignedReleases';
import { remove } from '../src/server/results/removals';
import { resultsOf } from '../src/server/results/results';
import { finish } from '../src/server/sittings/finish';
import { openRelease } from '../src/server/sittings/openRelease';
import { reopen } from '../src/server/sittings/reopen';
import { saveNew } from '../src/server/vault/questions';
import { course, learner, must, seeds, teacher, testApp } from './support/app';
import { expectScoresKept } from './support/scores';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let tamsin: As<Teacher>;
let fern: As<Teacher>;
let n = 0;
beforeAll(async () => {
  ({ app, done } = await testApp());
  [odile, tamsin, fern] = [await teacher(app, 'odile'), await teacher(app, 'tamsin'), await teacher(app, 'fern')];
});
afterAll(() => done());

const someone = (courseId: string) => learner(odile, courseId, `learner.${n++}`);
const names = async (courseId: string) => must(await listRoster(odile, courseId)).rows.map(({ name }) => name);
/** The same person so many minutes later. */
const later = <Who extends As>(as: Who, minutes: number): Who => ({
  ...as,
  now: () => new Date(Date.now() + minutes * 60_000),
});
const inMinutes = (minutes: number) => new Date(Date.now() + minutes * 60_000);

async function give(
  courseId: string,
  settings: Partial<ReleaseSettings> = {},
  changes: Record<string, unknown> = {},
): Promise<string> {
  const question = seeds(changes);
  must(await saveNew(odile, question));
  return must(await publish(odile, { id: randomUUID(), courseId, settings, questionId: question.id, revision: 1 })).id;
}

describe('a roster', () => {
  it('imports a list whole or not at all, if somebody takes one of its names meanwhile', async () => {
    const [first, second] = [await teacher(app, 'odile-list'), await teacher(app, 'sorrel-list')];
    const lists = [
      {
        as: first,
        courseId: await course(first),
        text: 'name,username\nJuniper Voss,juniper.v\nTeasel Marsh,teasel.m',
      },
      {
        as: second,
        courseId: await course(second),
        text: 'name,username\nTeasel Moor,teasel.m\nBracken Hale,bracken.h',
      },
    ];
    const results = await Promise.all(lists.map(({ as, courseId, text }) => importRoster(as, courseId, text, false)));
    for (const [i, result] of results.entries()) {
      const list = lists[i];
      const { rows } = must(await listRoster(list?.as as As<Teacher>, list?.courseId ?? ''));
      expect(rows).toHaveLength(result.ok ? 2 : 0);
    }
    expect(results.map((result) => (result.ok ? 'stored' : result.code)).sort()).toEqual(['nameTaken', 'stored']);
    const refused = results.find((result) => !result.ok);
    expect(refused).toMatchObject({ problems: [{ message: 'The user name “teasel.m” is taken.' }] });
  });

  it('is planned line by line before it is taken, and taken once however often it is sent', async () => {
    const courseId = await course(odile);
    await learner(odile, courseId, 'wren');
    const elsewhere = await course(odile);
    await learner(odile, elsewhere, 'ash');
    const text =
      'name,user name,password,group\nSomebody else,wren\nAsh,ash,,Rack A\nLinden Voss,linden,seedlings-1,Rack A|Rack B\nSorrel Haim,sorrel\n,bryony\nOdile,odile\nTwice,linden';
    const plan = must(await planRoster(odile, courseId, text));
    expect(plan.lines.map(({ username, will, knownAs }) => [username, will, knownAs])).toEqual([
      ['wren', 'stay', 'wren'],
      ['ash', 'join', 'ash'],
      ['linden', 'make', null],
      ['sorrel', 'make', null],
    ]);
    expect(plan.problems.map(({ line }) => line)).toEqual([6, 7, 8]);
    expect(plan.newGroups).toEqual(['Rack A', 'Rack B']);
    expect(await names(courseId)).toEqual(['wren']);

    const taken = must(await importRoster(odile, courseId, text, false));
    expect(taken.made.map(({ username, password }) => [username, password.length > 8])).toEqual([
      ['linden', true],
      ['sorrel', true],
    ]);
    expect(await names(courseId)).toEqual(['Linden Voss', 'Sorrel Haim', 'ash', 'wren']);
    expect(must(await importRoster(odile, courseId, text, false))).toMatchObject({ made: [], joined: 0 });
    const { groups } = must(await listParts(odile, courseId));
    expect(groups.map(({ title, learners }) => [title, learners])).toEqual([
      ['Rack A', 2],
      ['Rack B', 1],
    ]);
    expect(must(await importRoster(odile, courseId, 'Ash,ash', true))).toMatchObject({ removed: 3 });
    expect(await names(courseId)).toEqual(['ash']);
    expect(await planRoster(fern, courseId, text)).toMatchObject({ code: 'notFound' });
    expect(await importRoster(fern, courseId, text, true)).toMatchObject({ code: 'notFound' });
  });

  it('is searched for what is typed, SQLite’s wildcards too', async () => {
    const courseId = await course(odile);
    for (const username of ['wren_tallow', 'wrenxtallow', 'wren.tallow'])
      must(await makeLearner(odile, courseId, { name: username.toUpperCase(), username, password: 'seedlings-26' }));
    const found = async (words: string) =>
      must(await listRoster(odile, courseId, { words }))
        .rows.map(({ username }) => username)
        .sort();
    expect(await found('wren_tallow')).toEqual(['wren_tallow']);
    expect(await found('_')).toEqual(['wren_tallow']);
    expect(await found('%')).toEqual([]);
    expect(await found('\\')).toEqual([]);
    expect(await found('wren')).toHaveLength(3);
  });

  it('lets a learner go and come back to what they did', async () => {
    const courseId = await course(odile);
    const as = await someone(courseId);
    const releaseId = await give(courseId);
    const sitting = await sitter(as, releaseId);
    await sitting.take(sitting.put('barley', 'dry'));
    must(await removeLearner(odile, courseId, [as.person.id]));
    expect(await openRelease(as, releaseId)).toMatchObject({ code: 'notFound' });
    expect(await assignedReleases(as)).toEqual([]);
    must(await importRoster(odile, courseId, `,${as.person.username}`, false));
    expect((await sitter(as, releaseId)).view.last).toBe(1);
  });

  it('is joined with a code while it holds', async () => {
    const courseId = await course(odile);
    const as = await someone(await course(odile));
    const { join } = must(await changeCourse(odile, courseId, { join: { until: inMinutes(60) } }));
    const code = join?.code ?? '';
    expect(code).toMatch(/^[A-HJ-NP-Z2-9]{8}$/);
    expect(await joinCourse(as, 'ABCDEFGH')).toMatchObject({ code: 'invalid', problems: [{ path: 'code' }] });
    must(await joinCourse(as, ` ${code.toLowerCase().slice(0, 4)} ${code.slice(4)}`));
    must(await joinCourse(as, code));
    const fresh = { name: 'Bryony Keld', username: 'bryony.joins', password: 'seedlings-26' };
    must(await registerWith(app, code, fresh));
    expect(await registerWith(app, code, fresh)).toMatchObject({ code: 'nameTaken' });
    expect((await names(courseId)).length).toBe(2);
    expect(must(await listRoster(odile, courseId, { words: 'keld' })).rows).toMatchObject([
      { name: 'Bryony Keld', mine: true },
    ]);
    const late = await someone(await course(odile));
    expect(await joinCourse(later(late, 61), code)).toMatchObject({ code: 'invalid' });
    must(await changeCourse(odile, courseId, { join: null }));
    expect(await joinCourse(late, code)).toMatchObject({ code: 'invalid' });
  });
});

describe('a course', () => {
  it('has units, categories and groups, which are its own', async () => {
    const [courseId, other] = [await course(odile), must(await makeCourse(fern, randomUUID(), 'Fern’s')).id];
    const unit = { id: randomUUID(), title: 'Week one' };
    const category = { id: randomUUID(), title: 'Tests', weight: 3 };
    must(await saveUnits(odile, courseId, [unit, { id: randomUUID(), title: 'Week two' }]));
    must(await saveCategories(odile, courseId, [category]));
    const group = randomUUID();
    must(await saveGroup(odile, courseId, { id: group, title: 'Rack A' }));
    const as = await someone(courseId);
    must(await setMember(odile, courseId, group, as.person.id, true));
    must(await setMember(odile, courseId, group, as.person.id, true));
    expect(must(await listParts(odile, courseId))).toMatchObject({
      units: [unit, {}],
      categories: [category],
      groups: [{ title: 'Rack A', learners: 1 }],
    });
    expect(await saveUnits(fern, other, [unit])).toMatchObject({ code: 'invalid' });
    expect(await saveCategories(fern, other, [category])).toMatchObject({ code: 'invalid' });
    expect(await saveGroup(fern, other, { id: group, title: 'Mine' })).toMatchObject({ code: 'invalid' });
    expect(await setMember(fern, other, group, as.person.id, true)).toMatchObject({ code: 'notFound' });
    expect(await setMember(odile, courseId, group, fern.person.id, true)).toMatchObject({ code: 'notFound' });
    // A unit goes, and what stood in it stays, in none.
    await give(courseId, { unitId: unit.id });
    expect(await saveUnits(odile, courseId, [])).toMatchObject({ code: 'invalid' });
    must(await remove(odile, courseId, { id: randomUUID(), kind: 'unit', of: unit.id }));
    expect(must(await openCourse(odile, courseId)).releases).toMatchObject([{ unitId: null }]);
    expect(must(await remove(odile, courseId, { id: randomUUID(), kind: 'group', of: group })).groups).toEqual([]);
  });

  it('is taught by colleagues its owner lets, who do all but give it away', async () => {
    const courseId = await course(odile);
    expect(await openCourse(tamsin, courseId)).toMatchObject({ code: 'notFound' });
    expect(await setTeacher(odile, courseId, 'nobody', true)).toMatchObject({ code: 'invalid' });
    expect(must(await setTeacher(odile, courseId, 'Tamsin', true))).toMatchObject([{ name: 'tamsin' }]);
    expect((await listCourses(tamsin)).find(({ id }) => id === courseId)).toMatchObject({
      right: 'teach',
      owner: 'odile',
    });
    must(await changeCourse(tamsin, courseId, { title: 'Renamed' }));
    expect(await changeCourse(tamsin, courseId, { archived: true })).toMatchObject({ code: 'notAllowed' });
    expect(await setTeacher(tamsin, courseId, 'fern', true)).toMatchObject({ code: 'notAllowed' });
    const releaseId = await give(courseId);
    expect(await resultsOf(tamsin, releaseId)).toMatchObject({ ok: true });
    expect(await resultsOf(fern, releaseId)).toMatchObject({ code: 'notFound' });
    must(await setTeacher(tamsin, courseId, 'tamsin', false));
    expect(await openCourse(tamsin, courseId)).toMatchObject({ code: 'notFound' });
    expect(must(await listTeachers(odile, courseId))).toEqual([]);
  });

  it('has a zone of its own for its times, where one is said', async () => {
    const courseId = await course(odile);
    expect(must(await openCourse(odile, courseId)).zone).toBeNull();
    expect(must(await changeCourse(odile, courseId, { zone: 'Asia/Tokyo', from: 1 }))).toMatchObject({
      zone: 'Asia/Tokyo',
      revision: 2,
    });
    expect(must(await changeCourse(odile, courseId, { title: 'Another', from: 2 }))).toMatchObject({
      zone: 'Asia/Tokyo',
    });
    expect(await changeCourse(odile, courseId, { zone: null, from: 2 })).toMatchObject({
      code: 'changedMeanwhile',
      detail: { content: { zone: 'Asia/Tokyo' } },
    });
    expect(must(await listParts(odile, courseId)).zone).toBe('Asia/Tokyo');
    expect(() => courseChange.validateSync({ zone: 'Nowhere/Land', from: 1 })).toThrow('This is no time zone');
  });

  it('that is put away is not there for learners, and comes back', async () => {
    const courseId = await course(odile);
    const as = await someone(courseId);
    const releaseId = await give(courseId);
    must(await changeCourse(odile, courseId, { archived: true }));
    expect(await assignedReleases(as)).toEqual([]);
    expect(await openRelease(as, releaseId)).toMatchObject({ code: 'notFound' });
    const question = seeds();
    must(await saveNew(odile, question));
    expect(await publish(odile, { id: randomUUID(), courseId, questionId: question.id, revision: 1 })).toMatchObject({
      code: 'notFound',
    });
    must(await changeCourse(odile, courseId, { archived: false }));
    expect(await assignedReleases(as)).toHaveLength(1);
  });
});

describe('a release', () => {
  it('is for a group and single learners alone, where it is not for all', async () => {
    const courseId = await course(odile);
    const [inGroup, alone, neither] = [await someone(courseId), await someone(courseId), await someone(courseId)];
    const group = randomUUID();
    must(await saveGroup(odile, courseId, { id: group, title: 'Rack A' }));
    must(await setMember(odile, courseId, group, inGroup.person.id, true));
    const releaseId = await give(courseId, { audience: { groups: [group], learners: [alone.person.id] } });
    for (const [as, count] of [
      [inGroup, 1],
      [alone, 1],
      [neither, 0],
    ] as [As<Learner>, number][]) {
      expect(await assignedReleases(as)).toHaveLength(count);
      expect((await openRelease(as, releaseId)).ok).toBe(count === 1);
    }
    expect(
      must(await resultsOf(odile, releaseId))
        .rows.map(({ learnerId }) => learnerId)
        .sort(),
    ).toEqual([inGroup.person.id, alone.person.id].sort());
    const question = seeds();
    must(await saveNew(odile, question));
    for (const audience of [
      { groups: [], learners: [] },
      { groups: [randomUUID()], learners: [] },
      { groups: [], learners: [fern.person.id] },
    ])
      expect(
        await publish(odile, {
          id: randomUUID(),
          courseId,
          settings: { audience },
          questionId: question.id,
          revision: 1,
        }),
      ).toMatchObject({
        code: 'notReady',
        problems: [{ path: 'audience' }],
      });
  });

  it('opens and closes, with another date and more time for one learner', async () => {
    const courseId = await course(odile);
    const [as, slow] = [await someone(courseId), await someone(courseId)];
    const releaseId = await give(courseId, { opensAt: inMinutes(10), closesAt: inMinutes(40), minutes: 20 });
    expect(must(await openRelease(as, releaseId))).toMatchObject({
      open: null,
      before: { minutes: 20, opensAt: expect.any(Date) },
    });
    expect(must(await openRelease(later(as, 11), releaseId, null, 'open'))).toMatchObject({
      before: { opensAt: null },
    });
    must(
      await setAllowance(odile, releaseId, slow.person.id, {
        moreMinutes: 30,
        moreSittings: 0,
        dueAt: null,
        closesAt: inMinutes(90),
      }),
    );
    const ends = async (who: As<Learner>) =>
      must(await openRelease(later(who, 11), releaseId)).open?.ends?.seconds ?? 0;
    expect(Math.round((await ends(as)) / 60)).toBe(20);
    expect(Math.round((await ends(slow)) / 60)).toBe(50);
    expect(must(await openRelease(later(as, 32), releaseId)).finished).not.toBeNull();
    expect(must(await openRelease(later(slow, 50), releaseId)).open).not.toBeNull();
    expect(await openRelease(later(await someone(courseId), 41), releaseId)).toMatchObject({ code: 'releaseClosed' });
    expect(await setAllowance(odile, releaseId, fern.person.id, null)).toMatchObject({ code: 'notFound' });
    expect(await setAllowance(fern, releaseId, slow.person.id, null)).toMatchObject({ code: 'notFound' });
    expect(must(await setAllowance(odile, releaseId, slow.person.id, null)).allowances).toEqual([]);
    expect(must(await listAudit(odile, courseId)).map(({ what, by, learner }) => [what, by, learner])).toEqual([
      ['allowed', 'odile', slow.person.name],
      ['allowed', 'odile', slow.person.name],
    ]);
  });

  it('may be sat several times: which sitting counts is said, and a teacher may allow one more', async () => {
    const courseId = await course(odile);
    const as = await someone(courseId);
    const releaseId = await give(courseId, { sittings: 2, counts: 'last' });
    const through = async (...placed: [string, string][]) => {
      const sitting = await sitter(as, releaseId);
      for (const [item, zone] of placed) await sitting.take(sitting.put(item, zone));
      must(await finish(as, sitting.view.id));
    };
    await through(['barley', 'dry'], ['poppy', 'dry'], ['acorn', 'moist']);
    expect(must(await openRelease(as, releaseId, null, 'open')).finished).toMatchObject({
      another: true,
      total: { mark: 3 },
    });
    expect((await assignedReleases(as))[0]).toMatchObject({ state: 'again', mark: 3 });
    await through(['barley', 'dry']);
    expect(must(await openRelease(as, releaseId)).finished).toMatchObject({ another: false, total: { mark: 1 } });
    const mark = async () => must(await resultsOf(odile, releaseId)).rows[0];
    expect(await mark()).toMatchObject({ mark: 1, sittings: [{ mark: 3 }, { mark: 1 }] });
    const { settings } = must(await openSettings(odile, releaseId));
    must(await changeSettings(odile, releaseId, { ...settings, counts: 'best' }));
    expect((await mark())?.mark).toBe(3);
    expect((await assignedReleases(as))[0]).toMatchObject({ state: 'finished', mark: 3, max: 3 });
    must(
      await setAllowance(odile, releaseId, as.person.id, {
        moreMinutes: 0,
        moreSittings: 1,
        dueAt: null,
        closesAt: null,
      }),
    );
    await through();
    expect(await mark()).toMatchObject({ mark: 3, sittings: [{}, {}, { mark: 0 }] });
  });

  it('that was shut by mistake is opened again by a teacher, goes on where it was, and is on record', async () => {
    const courseId = await course(odile);
    const as = await someone(courseId);
    const releaseId = await give(courseId, { minutes: 20 });
    const sat = await sitter(as, releaseId);
    await sat.take(sat.put('barley', 'dry'));
    await sat.take(sat.put('poppy', 'moist'));
    // A clock that runs an hour fast shuts it; what was placed is checked.
    expect(must(await openRelease(later(as, 60), releaseId)).finished).toMatchObject({ total: { mark: 1 } });
    expect(await openRelease(as, releaseId)).toMatchObject({ value: { open: null } });
    const again = (who: As<Teacher>, minutes: number | null) => reopen(who, releaseId, sat.view.id, minutes);
    expect(await again(fern, 5)).toMatchObject({ code: 'notFound' });
    expect(await again(odile, null)).toMatchObject({ code: 'invalid', problems: [{ path: 'minutes' }] });
    must(await again(odile, 5));
    must(await again(odile, 5));
    const open = must(await openRelease(as, releaseId)).open;
    expect(open?.id).toBe(sat.view.id);
    await expectScoresKept(app.db);
    expect(open?.ends?.seconds).toBeGreaterThan(4 * 60);
    expect(open?.ends?.seconds).toBeLessThanOrEqual(5 * 60);
    // It is as it was: what was placed is there, and the check that ended it is no try.
    const goesOn = await sitter(as, releaseId);
    expect(goesOn.view.question.tries).toBe(open?.question.tries);
    await goesOn.take(goesOn.put('poppy', 'dry'));
    await goesOn.take(goesOn.put('acorn', 'moist'));
    must(await finish(as, goesOn.view.id));
    expect(must(await resultsOf(odile, releaseId)).rows[0]).toMatchObject({ mark: 3, tries: 1 });
    expect(must(await listAudit(odile, courseId)).filter(({ what }) => what === 'reopened')).toMatchObject([
      { by: 'odile', detail: { minutes: 5 } },
    ]);
  });

  it('in silence says nothing before the end, and then as much as is allowed, from when it is allowed', async () => {
    const courseId = await course(odile);
    const as = await someone(courseId);
    const say = (text: string) => ({ text: { blocks: [{ type: 'paragraph', runs: [{ text }] }] } });
    const releaseId = await give(
      courseId,
      { feedbackLevel: 'verdicts', feedbackTime: 'closed', closesAt: inMinutes(60) },
      { judging: 'onLand', feedback: { right: say('Well done.'), partly: say('Partly.'), wrong: null } },
    );
    const sitting = await sitter(as, releaseId);
    expect(sitting.view).toMatchObject({ place: { deferred: true }, question: { judging: 'onCheck', tries: 1 } });
    expect(await sitting.take(sitting.put('barley', 'dry'))).toMatchObject({ told: null, best: null, ended: false });
    expect(await sitting.send(1, sitting.move({ kind: 'check' }))).toMatchObject({ code: 'invalid' });
    expect(must(await finish(as, sitting.view.id))).toMatchObject({
      total: null,
      review: false,
      questions: [{ earned: null, fullMarks: null, reckoning: null }],
    });
    expect(must(await openRelease(as, releaseId, 0)).open).toBeNull();
    expect((await assignedReleases(as))[0]).toMatchObject({ mark: null });
    expect(
      must(await resultsOf(odile, releaseId)).rows.find(({ learnerId }) => learnerId === as.person.id),
    ).toMatchObject({ mark: 1, max: 3 });
    const then = later(as, 61);
    expect(must(await openRelease(then, releaseId)).finished).toMatchObject({
      total: { mark: 1, max: 3 },
      review: true,
    });
    const again = must(await openRelease(then, releaseId, 0)).open;
    expect(again).toMatchObject({
      ended: true,
      place: { finished: true },
      modelAnswer: null,
      told: { says: [], try: { words: null, mark: { mark: 1 } } },
    });
    expect(again?.told?.verdicts).toHaveLength(1);
  });

  it('has settings that go together, and what marks rest on is not changed afterwards', async () => {
    const courseId = await course(odile);
    const releaseId = await give(courseId);
    const change = async (to: Partial<ReleaseSettings>) => {
      const answer = await changeSettings(odile, releaseId, { ...DEFAULT_SETTINGS, ...to });
      return answer.ok ? [] : (answer.problems ?? []).map(({ path }) => path);
    };
    expect(await change({ title: 'Renamed', practice: true, sittings: null })).toEqual([]);
    expect(must(await openSettings(odile, releaseId)).settings).toMatchObject({
      title: 'Renamed',
      practice: true,
      sittings: null,
    });
    expect(await change({ opensAt: inMinutes(10), closesAt: inMinutes(5) })).toEqual(['closesAt']);
    expect(await change({ dueAt: inMinutes(10), closesAt: inMinutes(5) })).toEqual(['dueAt']);
    expect(await change({ unitId: randomUUID(), categoryId: randomUUID() })).toEqual(['unitId', 'categoryId']);
    expect(await change({ feedbackLevel: 'nothing' })).toEqual(['feedbackTime']);
    expect(await change({ feedbackTime: 'finished' })).toEqual(['feedbackTime']);
    expect(await change({ feedbackLevel: 'verdicts' })).toEqual([]);
    expect(await changeSettings(fern, releaseId, DEFAULT_SETTINGS)).toMatchObject({ code: 'notFound' });
  });
});
