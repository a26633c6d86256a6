import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { courseChange, type GradesSought, type ReleaseSettings } from '../src/contract';
import { idOf, type Question, questionModel, restoredBoard, type SavedBoard } from '../src/core';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { listAudit } from '../src/server/courses/audit';
import { changeCourse, openCourse } from '../src/server/courses/courses';
import { listParts, saveCategories, saveGroup, setMember } from '../src/server/courses/parts';
import { audit } from '../src/server/database/tables';
import { publish } from '../src/server/releases/publish';
import { setAllowance } from '../src/server/releases/settings';
import { assignedReleases } from '../src/server/results/assignedReleases';
import { gradeMeans, openGradebook } from '../src/server/results/gradebook';
import { gradebookCsv } from '../src/server/results/gradebookCsv';
import { setMark, setRemark } from '../src/server/results/handMarks';
import { groupNeeds } from '../src/server/results/needs';
import { reportOf, reportsOf } from '../src/server/results/report';
import { finish } from '../src/server/sittings/finish';
import { saveNew } from '../src/server/vault/questions';
import { course, learner, must, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let fern: As<Teacher>;
let courseId: string;
const CATEGORIES = [
  { id: randomUUID(), title: 'Exercises', weight: 1 },
  { id: randomUUID(), title: 'Tests', weight: 3 },
];
const [EXERCISES, TESTS] = CATEGORIES.map(({ id }) => id) as [string, string];
const say = (text: string) => ({ text: { blocks: [{ type: 'paragraph', runs: [{ text }] }] } });
const inMinutes = (minutes: number) => new Date(Date.now() + minutes * 60_000);
const later = <Who extends As>(as: Who, minutes: number): Who => ({ ...as, now: () => inMinutes(minutes) });

async function give(title: string, settings: Partial<ReleaseSettings> = {}): Promise<string> {
  const question = seeds({
    title,
    key: [
      {
        zone: 'dry',
        belongs: ['barley', 'poppy', 'acorn'],
        need: { rule: 'all' },
        says: { zone: null, items: { gravel: say('Gravel is no seed.') } },
      },
    ],
  });
  must(await saveNew(odile, question));
  return must(await publish(odile, { id: randomUUID(), courseId, settings, questionId: question.id, revision: 1 })).id;
}
async function answer(as: As<Learner>, releaseId: string, ...dry: string[]): Promise<void> {
  const sat = await sitter(as, releaseId);
  for (const item of dry) await sat.take(sat.put(item, 'dry'));
  must(await finish(as, sat.view.id));
}

const rowOf = async (as: As<Teacher>, who: As<Learner>) =>
  must(await openGradebook(as, courseId, { words: who.person.name })).rows.find(
    ({ learnerId }) => learnerId === who.person.id,
  );

let wren: As<Learner>;
let ash: As<Learner>;
let exercise: string;
let test: string;
beforeAll(async () => {
  ({ app, done } = await testApp());
  [odile, fern] = [await teacher(app, 'odile'), await teacher(app, 'fern')];
  courseId = await course(odile);
  [wren, ash] = [await learner(odile, courseId, 'wren'), await learner(odile, courseId, 'ash')];
  must(await saveCategories(odile, courseId, CATEGORIES));
  exercise = await give('An exercise', { categoryId: EXERCISES, dueAt: inMinutes(30) });
  test = await give('A test', { categoryId: TESTS, dueAt: inMinutes(30), closesAt: inMinutes(60) });
  await give('Practice', { practice: true });
});
afterAll(() => done());

describe('the gradebook', () => {
  it('weighs categories, says what is late and missing, and leaves practice out', async () => {
    expect(await rowOf(odile, wren)).toMatchObject({
      whole: null,
      cells: [{ state: 'none', points: null }, { state: 'none' }],
    });
    await answer(wren, exercise, 'barley', 'poppy', 'acorn');
    expect(await rowOf(odile, wren)).toMatchObject({
      whole: 1,
      cells: [{ state: 'done', points: 3, outOf: 3, late: false }, {}],
    });
    await answer(later(ash, 40), exercise, 'barley');
    expect(await rowOf(odile, ash)).toMatchObject({ cells: [{ points: 1, late: true }, { state: 'none' }] });
    const then = later(odile, 61);
    expect(await rowOf(then, wren)).toMatchObject({ whole: 0.25, cells: [{}, { state: 'missing', points: null }] });
    must(
      await setAllowance(odile, test, wren.person.id, {
        moreMinutes: 0,
        moreSittings: 0,
        dueAt: inMinutes(90),
        closesAt: inMinutes(90),
      }),
    );
    expect(await rowOf(then, wren)).toMatchObject({ whole: 1, cells: [{}, { state: 'none' }] });
  });

  it('takes a mark set by hand, with its reason, and gives it back; who did is on record for good', async () => {
    must(await setMark(odile, test, wren.person.id, { points: 2.5, reason: 'Answered on paper' }));
    must(await setMark(odile, test, wren.person.id, { points: 2.5, reason: 'Answered on paper' }));
    expect(await rowOf(odile, wren)).toMatchObject({
      whole: (1 + 3 * (2.5 / 3)) / 4,
      cells: [{}, { points: 2.5, byHand: 'Answered on paper', state: 'done' }],
    });
    must(await setMark(odile, test, wren.person.id, null));
    expect(await rowOf(odile, wren)).toMatchObject({ cells: [{}, { byHand: null, points: null }] });
    const marks = must(await listAudit(odile, courseId)).filter(({ what }) => what.startsWith('mark'));
    expect(marks.map(({ what, learner: who, detail }) => [what, who, detail.before, detail.points])).toEqual([
      ['markSetBack', 'wren', 2.5, null],
      ['markSet', 'wren', null, 2.5],
    ]);
    await expect(app.db.delete(audit)).rejects.toThrow();
    await expect(app.db.update(audit).set({ by: 'another' })).rejects.toThrow();
    expect(await setMark(fern, test, wren.person.id, { points: 3, reason: 'x' })).toMatchObject({ code: 'notFound' });
    expect(await setMark(odile, test, fern.person.id, { points: 3, reason: 'x' })).toMatchObject({ code: 'notFound' });
    expect(await openGradebook(fern, courseId)).toMatchObject({ code: 'notFound' });
  });

  it('is sorted by the whole mark, with who has none yet at the end', async () => {
    for (let i = 0; i < 105; i++) await learner(odile, courseId, `many.${i}`);
    const page = async (which: 'lowest' | 'highest', from = 0) =>
      must(await openGradebook(odile, courseId, { sort: 'overall', descending: which === 'highest', from }));
    expect(
      (await page('lowest')).rows.slice(0, 3).map(({ name, whole }) => [name, whole && Math.round(whole * 100)]),
    ).toEqual([
      ['ash', 33],
      ['wren', 100],
      ['many.0', null],
    ]);
    const highest = await page('highest');
    expect([highest.total, highest.rows.length, highest.rows[0]?.name]).toEqual([107, 100, 'wren']);
    expect((await page('highest', 100)).rows).toHaveLength(7);
    // A mark that changes while one reads on moves nobody from one page to the other.
    const read = highest.rows.map(({ learnerId }) => learnerId);
    const last = must(await openGradebook(odile, courseId, { from: 100 })).rows.at(-1);
    must(await setMark(odile, test, last?.learnerId ?? '', { points: 3, reason: 'By word of mouth' }));
    const rest = await page('highest', 100);
    expect(new Set([...read, ...rest.rows.map(({ learnerId }) => learnerId)]).size).toBe(107);
    expect((await page('highest')).rows.map(({ learnerId }) => learnerId)).toContain(last?.learnerId);
    expect((await page('highest', 100)).rows.map(({ learnerId }) => learnerId)).not.toContain(last?.learnerId);
    must(await setMark(odile, test, last?.learnerId ?? '', null));
    expect(
      must(await openGradebook(odile, courseId, { sort: 'overall', words: 'wr' })).rows.map(({ name }) => name),
    ).toEqual(['wren']);
  });

  it('goes out as CSV, a line for each learner of all pages', async () => {
    const lines = must(await gradebookCsv(odile, courseId))
      .trim()
      .split('\r\n');
    const own = (title: string, of: string) =>
      `${title} (${of}),${['out of', 'state', 'late', 'by hand', 'note'].map((column) => `${title}: ${column}`).join()}`;
    expect(lines[0]).toBe(
      `name,user name,groups,${own('An exercise', 'Exercises')},${own('A test', 'Tests')},"category Exercises, weight 1: points",category Exercises: out of,"category Tests, weight 3: points",category Tests: out of,"overall mark, percent"`,
    );
    expect(lines).toHaveLength(1 + 107);
    expect(lines.find((line) => line.startsWith('ash,'))).toBe(
      'ash,ash,,1,3,done,late,,,,,nothing yet,,,,1,3,,,33.33333333',
    );
    expect(must(await gradebookCsv(odile, courseId, { bom: true }))).toBe(`\uFEFF${lines.join('\r\n')}\r\n`);
    expect(await gradebookCsv(fern, courseId)).toMatchObject({ code: 'notFound' });
  });

  it('leaves out what somebody is excused from, and keeps what teachers note of a mark', async () => {
    const set = (excused: boolean, note: string) =>
      setRemark(odile, exercise, { learnerId: ash.person.id, excused, note });
    const row = must(await set(true, ' Was at the dryer '));
    expect(row).toMatchObject({
      whole: null,
      cells: [{ state: 'excused', points: 1, note: 'Was at the dryer' }, { state: 'none' }],
    });
    expect(await rowOf(odile, ash)).toEqual(row);
    const line = must(await gradebookCsv(odile, courseId)).match(/^ash,.*$/m)?.[0];
    expect(line).toBe('ash,ash,,,,excused,late,,Was at the dryer,,,nothing yet,,,,,,,,');
    must(await set(true, ''));
    must(await set(false, ''));
    // Who is excused before they began has nothing to do, and is not missing.
    const learners = async () =>
      must(await openCourse(odile, courseId)).releases.find(({ id }) => id === test)?.learners ?? 0;
    const before = await learners();
    must(await setRemark(odile, test, { learnerId: wren.person.id, excused: true, note: '' }));
    expect(await learners()).toBe(before - 1);
    expect((await assignedReleases(wren)).find(({ id }) => id === test)).toMatchObject({ excused: true });
    must(await setRemark(odile, test, { learnerId: wren.person.id, excused: false, note: '' }));
    expect(await rowOf(odile, ash)).toMatchObject({ cells: [{ state: 'done', note: '' }, {}] });
    const said = must(await listAudit(odile, courseId)).filter(
      ({ what, learner: who }) => what === 'excused' && who === 'ash',
    );
    expect(said.map(({ learner: who, detail }) => [who, detail.excused])).toEqual([
      ['ash', false],
      ['ash', true],
    ]);
    expect(await setRemark(fern, exercise, { learnerId: ash.person.id, excused: true, note: '' })).toMatchObject({
      code: 'notFound',
    });
  });

  it('is sorted by a release and filtered by a group or a state, with the means of those shown', async () => {
    const group = randomUUID();
    must(await saveGroup(odile, courseId, { id: group, title: 'Morning' }));
    must(await setMember(odile, courseId, group, wren.person.id, true));
    const names = async (sought: GradesSought) =>
      must(await openGradebook(odile, courseId, sought)).rows.map(({ name }) => name);
    expect((await names({ sort: exercise })).slice(0, 2)).toEqual(['ash', 'wren']);
    expect((await names({ sort: exercise, descending: true })).slice(0, 2)).toEqual(['wren', 'ash']);
    expect((await names({ sort: 'name', descending: true }))[0]).toBe('wren');
    expect((await names({ sort: 'group' }))[0]).toBe('wren');
    expect(await names({ group })).toEqual(['wren']);
    expect(await names({ release: exercise, state: 'late' })).toEqual(['ash']);
    expect(await names({ release: exercise, state: 'done', words: 'wr' })).toEqual(['wren']);
    expect(await names({ release: exercise, state: 'byHand' })).toEqual([]);
    expect(must(await gradeMeans(odile, courseId))).toEqual({
      overall: { mean: (1 + 1 / 3) / 2, count: 2 },
      releases: [
        { mean: (1 + 1 / 3) / 2, count: 2 },
        { mean: null, count: 0 },
      ],
    });
    expect(must(await gradeMeans(odile, courseId, { group })).overall).toEqual({ mean: 1, count: 1 });
    expect(must(await openGradebook(odile, courseId, { group })).rows[0]?.groups).toEqual(['Morning']);
    expect(await gradeMeans(fern, courseId)).toMatchObject({ code: 'notFound' });
  });

  it('gathers those who have not had the full mark of a question into a group, in one press', async () => {
    const made = { id: randomUUID(), question: 0, title: 'To see again' };
    expect(must(await groupNeeds(odile, exercise, made))).toEqual({ learners: 1 });
    expect(must(await groupNeeds(odile, exercise, made))).toEqual({ learners: 1 });
    const { rows } = must(await openGradebook(odile, courseId, { group: made.id }));
    expect(rows.map(({ name }) => name)).toEqual(['ash']);
    expect(await groupNeeds(odile, exercise, { ...made, question: 1 })).toMatchObject({ code: 'invalid' });
    expect(await groupNeeds(fern, exercise, made)).toMatchObject({ code: 'notFound' });
    must(await setMember(odile, courseId, made.id, ash.person.id, false));
  });

  it('gives letters by the bounds of the course', async () => {
    const letters = [
      { letter: 'Pass', from: 0.3 },
      { letter: 'Well', from: 0.9 },
    ];
    must(await changeCourse(odile, courseId, { letters }));
    expect([(await rowOf(odile, wren))?.letter, (await rowOf(odile, ash))?.letter]).toEqual(['Well', 'Pass']);
    expect(must(await gradebookCsv(odile, courseId))).toMatch(/^wren,.*,100,Well$/m);
    must(await changeCourse(odile, courseId, { letters: [] }));
    expect((await rowOf(odile, wren))?.letter).toBeNull();
    const wrong = [...letters, { letter: 'Pass', from: 0.5 }];
    expect(() => courseChange.validateSync({ from: 1, letters: wrong }, { strict: true })).toThrow('same name');
  });

  it('has each learner’s results with what was said', async () => {
    await answer(ash, test, 'barley', 'gravel');
    const report = must(await reportOf(odile, courseId, ash.person.id));
    expect(report.overall).toBeCloseTo((1 / 3 + 3 * (1 / 3)) / 4);
    expect(report.categories).toEqual([
      { title: 'Exercises', weight: 1, points: 1, outOf: 3 },
      { title: 'Tests', weight: 3, points: 1, outOf: 3 },
    ]);
    const drawn = report.releases[1]?.questions[0]?.drawn;
    const model = questionModel(drawn?.document as Question, drawn?.homes);
    const held = restoredBoard(drawn?.answer as SavedBoard).zones.map((copies) =>
      copies.map((copy) => idOf(model, copy)),
    );
    expect(held).toEqual([['barley', 'gravel'], []]);
    // The whole class has the same reports, by name; a group has those of its own.
    const whole = must(await reportsOf(odile, courseId));
    expect([whole.total, whole.reports.length, whole.reports[0]?.learner.name]).toEqual([107, 40, 'ash']);
    expect(whole.reports[0]).toEqual(report);
    const morning = must(await listParts(odile, courseId)).groups[0]?.id ?? '';
    expect(
      must(await reportsOf(odile, courseId, { group: morning })).reports.map(({ learner: { name } }) => name),
    ).toEqual(['wren']);
    expect(await reportsOf(fern, courseId)).toMatchObject({ code: 'notFound' });
    expect(report.releases).toMatchObject([
      { title: 'An exercise', mark: 1, outOf: 3 },
      {
        title: 'A test',
        mark: 1,
        questions: [
          {
            tries: 1,
            earned: 1,
            lines: [
              { item: 'barley', zone: 'dry', verdict: 'right', said: '' },
              { item: 'gravel', zone: 'dry', verdict: 'wrong', said: 'Gravel is no seed.' },
            ],
          },
        ],
      },
    ]);
    // Of several sittings it has the one that counts.
    const again = await give('Twice', { sittings: 2, counts: 'best' });
    await answer(ash, again, 'barley', 'poppy');
    await answer(ash, again, 'gravel');
    const twice = must(await reportOf(odile, courseId, ash.person.id)).releases.at(-1);
    expect(twice).toMatchObject({
      mark: 2,
      sittings: 2,
      questions: [{ earned: 2, lines: [{ item: 'barley' }, { item: 'poppy' }] }],
    });
    // The answer that earned the mark stands there, though what was wrong in it went home.
    const home = await give('Sent home', {});
    const sat = await sitter(ash, home);
    for (const item of ['barley', 'gravel']) await sat.take(sat.put(item, 'dry'));
    await sat.take(sat.move({ kind: 'check' }));
    await sat.take(sat.put('gravel', 'moist'));
    await sat.take(sat.put('gravel', null));
    const { releases } = must(await reportOf(odile, courseId, ash.person.id));
    expect(releases.at(-1)?.questions).toMatchObject([
      {
        struck: false,
        earned: 1,
        tries: 1,
        lines: [
          { item: 'barley', verdict: 'right' },
          { item: 'gravel', verdict: 'wrong' },
        ],
      },
    ]);
    expect(await reportOf(fern, courseId, ash.person.id)).toMatchObject({ code: 'notFound' });
    expect(await reportOf(odile, courseId, fern.person.id)).toMatchObject({ code: 'notFound' });
  });
});
