import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS } from '../src/contract';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { changeCourse, openCourse, setTeacher } from '../src/server/courses/courses';
import { allowance, edition, release } from '../src/server/database/tables';
import { calendarFile, calendarMadeAt, makeCalendarAddress, takeCalendarBack } from '../src/server/releases/calendar';
import { publish } from '../src/server/releases/publish';
import { openSettings, setAllowance } from '../src/server/releases/settings';
import { copyRelease, setWithdrawn } from '../src/server/releases/withdraw';
import { assignedReleases } from '../src/server/results/assignedReleases';
import { openGradebook } from '../src/server/results/gradebook';
import { saveNew } from '../src/server/vault/questions';
import { course, learner, must, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

const HOUR = 3_600_000;
let app: App;
let done: () => void;
let odile: As<Teacher>;
let tamsin: As<Teacher>;
let clover: As<Learner>;
let courseId = '';

beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
  tamsin = await teacher(app, 'tamsin');
  courseId = await course(odile);
  clover = await learner(odile, courseId, 'clover');
});
afterAll(() => done());

const inHours = (hours: number) => new Date(Date.now() + hours * HOUR);

async function give(settings: Partial<typeof DEFAULT_SETTINGS> = {}): Promise<string> {
  const question = seeds();
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

describe('a withdrawn release', () => {
  it('is seen by no learner, takes no move and does not count; brought back, all is as it was', async () => {
    const id = await give({ title: 'To withdraw' });
    const sitting = await sitter(clover, id);
    await sitting.take(sitting.put('barley', 'dry'));
    await sitting.take(sitting.move({ kind: 'check' }));
    const titles = async () => (await assignedReleases(clover)).map(({ title }) => title);
    const columns = async () =>
      must(await openGradebook(odile, courseId, { from: 0, sort: 'name', words: '' })).releases.map(
        ({ title }) => title,
      );
    expect([await titles(), await columns()]).toEqual([['To withdraw'], ['To withdraw']]);

    must(await setWithdrawn(odile, id, true));
    expect(must(await setWithdrawn(odile, id, true)).withdrawnAt).toEqual(expect.any(Date));
    expect([await titles(), await columns()]).toEqual([[], []]);
    await expect(sitter(clover, id)).rejects.toThrow('notFound');
    expect(await sitting.send(2, sitting.put('poppy', 'dry'))).toMatchObject({ ok: false });
    expect(must(await openCourse(odile, courseId)).releases).toMatchObject([{ withdrawnAt: expect.any(Date), sat: 1 }]);

    must(await setWithdrawn(odile, id, false));
    expect([await titles(), await columns()]).toEqual([['To withdraw'], ['To withdraw']]);
    const again = await sitter(clover, id);
    expect(again.view.last).toBe(2);
    await again.take(again.put('poppy', 'dry'));
  });
});

describe('a release for other courses', () => {
  it('has the same questions and settings, once for each course, without what is the first course’s own', async () => {
    const id = await give({ title: 'For three', closesAt: inHours(4), dueAt: inHours(2), minutes: 30, sittings: 3 });
    const [first, second] = [await course(odile), await course(odile)] as [string, string];
    const copies = [first, second].map((into) => ({ id: randomUUID(), courseId: into }));
    expect(must(await copyRelease(odile, id, copies))).toEqual({ made: 2 });
    expect(must(await copyRelease(odile, id, copies))).toEqual({ made: 0 });
    const [from, to] = await Promise.all(
      [id, copies[0]?.id ?? ''].map(async (one) => must(await openSettings(odile, one)).settings),
    );
    expect(to).toEqual(from);
    const contents = await Promise.all(
      [id, copies[1]?.id ?? ''].map((one) => app.db.query.edition.findFirst({ where: eq(edition.releaseId, one) })),
    );
    expect(contents[1]?.content).toEqual(contents[0]?.content);
    const person = await learner(odile, second, 'sorrel');
    expect((await sitter(person, copies[1]?.id ?? '')).view.question.items).toHaveLength(4);
  });

  it('leaves out dates that have passed, and is refused in a course that is not theirs', async () => {
    const id = await give({ feedbackTime: 'closed', closesAt: inHours(1) });
    await app.db
      .update(release)
      .set({ closesAt: inHours(-1) })
      .where(eq(release.id, id));
    const copy = randomUUID();
    must(await copyRelease(odile, id, [{ id: copy, courseId }]));
    expect(must(await openSettings(odile, copy)).settings).toMatchObject({ closesAt: null, feedbackTime: 'finished' });
    const others = await course(tamsin);
    expect(await copyRelease(odile, id, [{ id: randomUUID(), courseId: others }])).toMatchObject({
      ok: false,
      problems: [{ path: 'copies[0].courseId' }],
    });
    expect(await copyRelease(tamsin, id, [{ id: randomUUID(), courseId: others }])).toMatchObject({ code: 'notFound' });
  });
});

describe('what a course’s new releases begin with', () => {
  it('is kept with the course', async () => {
    const defaults = { ...DEFAULT_SETTINGS, practice: true, sittings: null, minutes: 20 };
    const { minutes, sittings, counts, practice, feedbackLevel, feedbackTime } = defaults;
    const releaseDefaults = { minutes, sittings, counts, practice, feedbackLevel, feedbackTime };
    must(await changeCourse(odile, courseId, { releaseDefaults }));
    expect(must(await openCourse(odile, courseId)).releaseDefaults).toEqual(releaseDefaults);
  });
});

describe('dates in a calendar', () => {
  const read = async (path: string) => calendarFile(app, path.replace(/^.*\/|\.ics$/g, ''), 'https://vault.example');
  /** Long lines are folded (RFC 5545, 3.1). */
  const text = async (path: string) => must(await read(path)).replace(/\r\n[ \t]/g, '');

  it('are a learner’s own, with what they are allowed, and those of what a teacher teaches', async () => {
    const id = await give({ title: 'With dates, and a comma; too', opensAt: inHours(1), dueAt: inHours(30) });
    must(
      await setAllowance(odile, id, clover.person.id, {
        ...{ moreMinutes: 0, moreSittings: 0 },
        ...{ dueAt: new Date('2031-01-15T11:30:00Z'), closesAt: null },
      }),
    );
    const own = await text((await makeCalendarAddress(clover)).path);
    expect(own).toMatch(/^BEGIN:VCALENDAR\r\nVERSION:2\.0\r\n/);
    expect(own).toContain(`UID:${id}-due@vault-drop`);
    expect(own).toContain('DTSTART:20310115T113000Z');
    expect(own).toContain('SUMMARY:Due: With dates\\, and a comma\\; too');
    expect(own).toContain(`URL;VALUE=URI:https://vault.example/sit/${id}`);
    await app.db.delete(allowance);
    const taught = await text((await makeCalendarAddress(odile)).path);
    expect(taught).toContain(`UID:${id}-opens@vault-drop`);
    expect(taught).not.toContain('20310115T113000Z');
    expect(await text((await makeCalendarAddress(tamsin)).path)).not.toContain('BEGIN:VEVENT');
    must(await setTeacher(odile, courseId, 'tamsin', true));
    const { path } = await makeCalendarAddress(tamsin);
    expect(await text(path)).toContain(`UID:${id}-due@vault-drop`);
    // What is withdrawn has no dates.
    must(await setWithdrawn(odile, id, true));
    expect(await text(path)).not.toContain(id);
  });

  it('are read at the latest address alone, and nowhere once it is taken back', async () => {
    const first = await makeCalendarAddress(clover);
    const second = await makeCalendarAddress(clover);
    expect(second.path).not.toBe(first.path);
    expect(await read(first.path)).toMatchObject({ ok: false, code: 'notFound' });
    expect((await read(second.path)).ok).toBe(true);
    // The database does not hold what would open it.
    const [stored] = await app.db.query.calendarAddress.findMany();
    expect(JSON.stringify(stored)).not.toContain(second.path.slice(14, -4));
    await takeCalendarBack(clover);
    expect(await calendarMadeAt(clover)).toEqual({ madeAt: null });
    expect(await read(second.path)).toMatchObject({ ok: false, code: 'notFound' });
  });
});
