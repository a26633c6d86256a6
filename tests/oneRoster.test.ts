import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { and, eq } from 'drizzle-orm';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { resetLearnerPassword } from '../src/server/accounts/people';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { listRoster } from '../src/server/courses/roster';
import { account, user } from '../src/server/database/accountTables';
import { course, courseTeacher, oneRosterUser } from '../src/server/database/tables';
import { oneRosterNotes, oneRosterOut } from '../src/server/oneroster/marks';
import { planOneRoster, takeOneRoster } from '../src/server/oneroster/take';
import { setMark, setRemark } from '../src/server/results/handMarks';
import { eraseLearner } from '../src/server/results/personal';
import { learner, must, release, seeds, course as someCourse, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let folder: string;
let done: () => void;
let as: As<Teacher>;
let files = 0;

beforeAll(async () => {
  ({ app, done, folder } = await testApp());
  as = await teacher(app, 'admin');
  await app.db.update(user).set({ isAdmin: true }).where(eq(user.id, as.person.id));
});
afterAll(() => done());

// The headers of the binding, as a school's system writes them.
const HEADERS = {
  academicSessions: 'sourcedId,status,dateLastModified,title,type,startDate,endDate,parentSourcedId,schoolYear',
  classes:
    'sourcedId,status,dateLastModified,title,grades,courseSourcedId,classCode,classType,location,schoolSourcedId,termSourcedIds,subjects,subjectCodes,periods',
  courses:
    'sourcedId,status,dateLastModified,schoolYearSourcedId,title,courseCode,grades,orgSourcedId,subjects,subjectCodes',
  enrollments:
    'sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role,primary,beginDate,endDate',
  orgs: 'sourcedId,status,dateLastModified,name,type,identifier,parentSourcedId',
  roles:
    'sourcedId,status,dateLastModified,userSourcedId,roleType,role,beginDate,endDate,orgSourcedId,userProfileSourcedId',
  users:
    'sourcedId,status,dateLastModified,enabledUser,username,userIds,givenName,familyName,middleName,identifier,email,sms,phone,agentSourcedIds,grades,password,userMasterIdentifier,preferredGivenName,preferredMiddleName,preferredFamilyName,primaryOrgSourcedId,pronouns',
} as const;
type Name = keyof typeof HEADERS;

const person = (id: string, given: string, family: string, more: Record<string, string> = {}): string => {
  const values: Record<string, string> = {
    ...{
      sourcedId: id,
      enabledUser: 'true',
      username: id,
      givenName: given,
      familyName: family,
      password: 'plain-text-1',
    },
    ...more,
  };
  return HEADERS.users
    .split(',')
    .map((column) => values[column] ?? '')
    .join(',');
};
const enrolled = (id: string, group: string, who: string, role: string, more = ',,', status = ',') =>
  `${id},${status},${group},s1,${who},${role},${more}`;

const SCHOOL: Record<Name, string[]> = {
  orgs: ['s1,,,Tarn Hollow School,school,,'],
  academicSessions: ['t1,,,Autumn,term,2026-08-20,2026-12-18,,2027', 't2,,,Spring,term,2027-01-10,2027-06-11,,2027'],
  courses: ['c1,,,,Seeds,,,s1,,'],
  classes: ['k1,,,Seeds 7a,,c1,,scheduled,,s1,"t1,t2",,,', 'k2,,,Seeds 7b,,c1,,scheduled,,s1,t1,,,'],
  users: [
    person('u-holt', 'Maren', 'Holt'),
    person('u-corran', 'Ash', 'Corran'),
    person('u-tallow', 'Wren', 'Tallow', { preferredGivenName: 'Robin', username: 'wren.tallow@tarn.example' }),
    person('u-marsh', 'Linden', 'Marsh'),
    person('u-gone', 'Clover', 'Moss', { enabledUser: 'false' }),
    person('u-aide', 'Sedge', 'Fell'),
  ],
  roles: ['r1,,,u-holt,primary,teacher,,,s1,', 'r2,,,u-tallow,primary,student,,,s1,'],
  enrollments: [
    enrolled('e1', 'k1', 'u-holt', 'teacher', 'true,,'),
    enrolled('e2', 'k1', 'u-corran', 'teacher', 'false,,'),
    enrolled('e3', 'k1', 'u-tallow', 'student'),
    enrolled('e4', 'k1', 'u-marsh', 'student', ',2026-01-01,2030-01-01'),
    enrolled('e5', 'k1', 'u-gone', 'student'),
    enrolled('e6', 'k1', 'u-aide', 'aide'),
    enrolled('e7', 'k2', 'u-marsh', 'student', ',2020-01-01,2021-01-01'),
  ],
};

/** A package on the disk; files that are left out are absent. */
function packed(
  tables: Partial<Record<Name, string[]>>,
  {
    mode = 'bulk',
    system = 'sis-7',
    changes = {},
  }: { mode?: string; system?: string; changes?: Record<string, string> } = {},
): string {
  const names = Object.keys(tables) as Name[];
  const properties = {
    ...{ 'manifest.version': '1.0', 'oneroster.version': '1.2' },
    ...Object.fromEntries(
      (Object.keys(HEADERS) as Name[]).map((name) => [`file.${name}`, names.includes(name) ? mode : 'absent']),
    ),
    ...(system === '' ? {} : { 'source.systemCode': system }),
    ...changes,
  };
  const manifest = ['propertyName,value', ...Object.entries(properties).map((pair) => pair.join(','))];
  const parts = names.map((name): [string, string] => [
    `${name}.csv`,
    [HEADERS[name], ...(tables[name] ?? [])].join('\r\n'),
  ]);
  const zip = zipSync(
    Object.fromEntries(
      [['manifest.csv', manifest.join('\r\n')], ...parts].map(([name, text]) => [name, strToU8(text ?? '')]),
    ),
  );
  const file = join(folder, `package-${++files}.zip`);
  writeFileSync(file, zip);
  return file;
}
const plan = async (file: string, source?: string) => must(await planOneRoster(as, file, source));
const take = async (file: string, skipFaulty = false) => must(await takeOneRoster(as, file, undefined, skipFaulty));
const wordsOf = (changes: readonly { words: string }[]) => changes.map(({ words }) => words);
const idOf = async (title: string) =>
  (await app.db.query.course.findFirst({ where: eq(course.title, title) }))?.id ?? '';
const onIt = async (title: string) => must(await listRoster(as, await idOf(title))).rows.map(({ name }) => name);

describe('a package that comes in', () => {
  it('is told line by line before anything changes, and then taken', async () => {
    const file = packed(SCHOOL);
    const told = await plan(file);
    expect(told.problems).toEqual([]);
    expect(told.source).toBe('sis-7');
    expect(told.changes).toContainEqual({
      ...{ file: 'classes.csv', line: 2, sourcedId: 'k1', does: 'make' },
      words: 'The course “Seeds 7a” is made for Maren Holt',
    });
    expect(told.changes).toContainEqual({
      ...{ file: 'enrollments.csv', line: 4, sourcedId: 'e3', does: 'enrol' },
      words: 'Robin Tallow learns in “Seeds 7a”',
    });
    expect(await app.db.select().from(course)).toEqual([]);
    const taken = await take(file);
    expect(taken.courses.map(({ title }) => title).sort()).toEqual(['Seeds 7a', 'Seeds 7b']);
    expect(taken.made.map(({ username, role }) => `${username} ${role}`).sort()).toEqual([
      'u-corran teacher',
      'u-holt teacher',
      'u-marsh learner',
      'wren.tallow@tarn.example learner',
    ]);
    // A first password, and never the one in the file.
    for (const { password } of taken.made) expect(password).toMatch(/^(?!plain).{10,}$/);
    expect(await onIt('Seeds 7a')).toEqual(['Linden Marsh', 'Robin Tallow']);
    expect(await onIt('Seeds 7b')).toEqual([]);
    const owner = await app.db.query.course.findFirst({ where: eq(course.title, 'Seeds 7a') });
    expect((await app.db.query.user.findFirst({ where: eq(user.id, owner?.ownerId ?? '') }))?.name).toBe('Maren Holt');
    const teachers = await app.db
      .select({ name: user.name })
      .from(courseTeacher)
      .innerJoin(user, eq(user.id, courseTeacher.personId))
      .where(eq(courseTeacher.courseId, owner?.id ?? ''));
    expect(teachers.map(({ name }) => name).sort()).toEqual(['Ash Corran', 'admin']);
    // Whoever took it in counts as the maker.
    const wren = await app.db.query.user.findFirst({ where: eq(user.name, 'Robin Tallow') });
    must(await resetLearnerPassword(as, wren?.id ?? '', 'seedlings-27'));
  });

  it('changes nothing when it comes again', async () => {
    const file = packed(SCHOOL);
    expect((await plan(file)).changes).toEqual([]);
    expect(await take(file)).toMatchObject({ courses: [], made: [], enrolled: 0, takenOff: 0 });
  });

  it('changes what changed: names, titles, and who is not in it any more', async () => {
    const tables = {
      ...SCHOOL,
      classes: ['k1,,,Seeds 7a (late),,c1,,scheduled,,s1,t1,,,', SCHOOL.classes[1] as string],
      users: [...SCHOOL.users.slice(0, 3), person('u-marsh', 'Lindy', 'Marsh'), ...SCHOOL.users.slice(4)],
      enrollments: SCHOOL.enrollments.filter((line) => !line.startsWith('e3')),
    };
    const file = packed(tables);
    expect(wordsOf((await plan(file)).changes)).toEqual([
      'The course “Seeds 7a” is called “Seeds 7a (late)”',
      'Linden Marsh is called Lindy Marsh',
      'Robin Tallow learns in “Seeds 7a (late)” no more',
    ]);
    expect(await take(file)).toMatchObject({ takenOff: 1 });
    expect(await onIt('Seeds 7a (late)')).toEqual(['Lindy Marsh']);
  });

  it('as a delta changes what it names, and takes off what is to be deleted', async () => {
    const file = packed(
      {
        enrollments: [
          enrolled('e3', 'k1', 'u-tallow', 'student', ',,', 'active,2026-10-01T08:00:00Z'),
          enrolled('e4', 'k1', 'u-marsh', 'student', ',,', 'tobedeleted,2026-10-01T08:00:00Z'),
        ],
      },
      { mode: 'delta' },
    );
    expect(wordsOf((await plan(file)).changes)).toEqual([
      'Robin Tallow learns in “Seeds 7a (late)”',
      'Lindy Marsh learns in “Seeds 7a (late)” no more',
    ]);
    await take(file);
    expect(await onIt('Seeds 7a (late)')).toEqual(['Robin Tallow']);
    const gone = packed(
      { classes: ['k1,tobedeleted,2026-10-01T08:00:00Z,Seeds,,c1,,scheduled,,s1,t1,,,'] },
      { mode: 'delta' },
    );
    expect(wordsOf((await plan(gone)).changes)[0]).toBe('The course “Seeds 7a (late)” is archived: the class is gone');
    await take(gone);
    const archived = await app.db.query.course.findFirst({ where: eq(course.title, 'Seeds 7a (late)') });
    expect(archived?.archivedAt).not.toBeNull();
    // The same class again brings it back.
    await take(
      packed({ classes: ['k1,active,2026-10-02T08:00:00Z,Seeds 7a,,c1,,scheduled,,s1,t1,,,'] }, { mode: 'delta' }),
    );
    expect(await onIt('Seeds 7a')).toEqual(['Robin Tallow']);
  });

  it('is of one system: the same ids of another are others', async () => {
    const file = packed(SCHOOL, { system: 'sis-8' });
    const taken = await take(file);
    expect(taken.courses).toHaveLength(2);
    // Their user names are taken by now, which is said.
    expect(wordsOf((await plan(packed(SCHOOL, { system: 'sis-9' }))).changes)).toContain(
      'Maren Holt gets an account as teacher, “u-holt.3”: “u-holt” is taken',
    );
    expect(taken.made.map(({ username }) => username)).toContain('u-holt.2');
    expect(await planOneRoster(as, packed(SCHOOL, { system: '' }), undefined)).toMatchObject({
      code: 'invalid',
      problems: [{ path: 'source' }],
    });
    expect((await plan(packed(SCHOOL, { system: '' }), 'sis-7')).source).toBe('sis-7');
  });

  it('with faults is not taken, unless they are left out; each is named with its place', async () => {
    const file = packed(
      {
        ...SCHOOL,
        users: [...SCHOOL.users, person('u bad', 'A', 'B'), person('u-tallow', 'Twice', 'Over'), 'u-short,,'],
        enrollments: [
          ...SCHOOL.enrollments,
          enrolled('e8', 'k9', 'u-marsh', 'student'),
          enrolled('e9', 'k1', 'u-marsh', 'pupil'),
          enrolled('e10', 'k1', 'u-marsh', 'student', ',2026-02-30,'),
        ],
      },
      { system: 'sis-10' },
    );
    const { problems } = await plan(file);
    expect(problems.map(({ file: name, line, column }) => [name, line, column])).toEqual([
      ['enrollments.csv', 9, 'classSourcedId'],
      ['enrollments.csv', 10, 'role'],
      ['enrollments.csv', 11, 'beginDate'],
      ['users.csv', 8, 'sourcedId'],
      ['users.csv', 9, 'sourcedId'],
      ['users.csv', 10, null],
    ]);
    const refused = await takeOneRoster(as, file, undefined, false);
    expect(refused).toMatchObject({ ok: false, code: 'invalid' });
    expect((await take(file, true)).problems).toHaveLength(6);
    for (const [changes, path] of [
      [{ 'oneroster.version': '1.1' }, 'manifest.csv.oneroster.version'],
      [{ 'file.users': 'some' }, 'manifest.csv.file.users'],
    ] as const)
      expect(await takeOneRoster(as, packed(SCHOOL, { changes }), undefined, false)).toMatchObject({
        problems: expect.arrayContaining([expect.objectContaining({ path })]),
      });
    writeFileSync(join(folder, 'no.zip'), 'no zip');
    expect(await planOneRoster(as, join(folder, 'no.zip'), 'x')).toMatchObject({ problems: [{ path: 'file' }] });
  });

  it('is an administrator’s to take', async () => {
    const other = await teacher(app, 'plain');
    expect(await planOneRoster(other, packed(SCHOOL), undefined)).toMatchObject({ code: 'notAllowed' });
    expect(await takeOneRoster(other, packed(SCHOOL), undefined, false)).toMatchObject({ code: 'notAllowed' });
  });

  it('leaves nothing of somebody who is erased', async () => {
    const tables = {
      ...SCHOOL,
      users: SCHOOL.users.slice(2, 3),
      roles: [],
      enrollments: SCHOOL.enrollments.slice(2, 3),
    };
    const { courses } = await take(packed(tables, { system: 'sis-11' }));
    const courseId = courses.find(({ title }) => title === 'Seeds 7a')?.id ?? '';
    const [wren] = must(await listRoster(as, courseId)).rows;
    must(await eraseLearner(as, courseId, wren?.id ?? ''));
    expect(await app.db.select().from(oneRosterUser).where(eq(oneRosterUser.source, 'sis-11'))).toEqual([]);
  });

  it('makes accounts that nobody can sign in with before they have a password, beyond 500', async () => {
    const people = Array.from({ length: 502 }, (_, i) => person(`p${i}`, 'Learner', `No ${i}`));
    const enrollments = people.map((_, i) => enrolled(`m${i}`, 'k1', `p${i}`, 'student'));
    const { made } = await take(packed({ ...SCHOOL, users: people, roles: [], enrollments }, { system: 'sis-12' }));
    expect(made.filter(({ password }) => password === '')).toHaveLength(2);
    const last = made.find(({ password }) => password === '');
    const [row] = await app.db
      .select({ id: user.id, password: account.password })
      .from(user)
      .innerJoin(account, and(eq(account.userId, user.id), eq(account.providerId, 'credential')))
      .where(eq(user.username, last?.username ?? ''));
    expect(row?.password).toBeNull();
    must(await resetLearnerPassword(as, row?.id ?? '', 'seedlings-26'));
  }, 120_000);
});

/** The tables of a package. */
function unpacked(bytes: Uint8Array): Record<string, Record<string, string>[]> {
  return Object.fromEntries(
    Object.entries(unzipSync(bytes)).map(([name, content]) => [
      name,
      Papa.parse<Record<string, string>>(strFromU8(content), { header: true, skipEmptyLines: true }).data,
    ]),
  );
}

describe('the marks of a course', () => {
  const sitters = async (courseId: string): Promise<As<Learner>[]> =>
    must(await listRoster(as, courseId)).rows.map(({ id, name, username }) => ({
      ...app,
      person: { id, name, username, role: 'learner' as const },
    }));

  it('go out as the binding says, under the ids of the system', async () => {
    const { courses } = await take(
      packed(
        { ...SCHOOL, enrollments: SCHOOL.enrollments.slice(2, 4), roles: [], classes: SCHOOL.classes.slice(0, 1) },
        { system: 'sis-20' },
      ),
    );
    const courseId = courses[0]?.id ?? '';
    const releaseId = await release(as, courseId, { ...seeds(), id: 'q-out' as never, title: '=1+1' });
    const [marsh, tallow] = await sitters(courseId);
    if (!marsh || !tallow) throw new Error('Nobody is on it');
    const at = await sitter(marsh, releaseId);
    await at.take(at.put('barley', 'dry'));
    must(await setMark(as, releaseId, tallow.person.id, { points: 1.5, reason: 'On paper' }));
    const own = await learner(as, courseId, 'ours');
    expect(must(await oneRosterNotes(as, courseId))).toEqual({ ownId: false, leftOut: [own.person.name] });
    const { bytes } = must(await oneRosterOut(as, courseId));
    expect(must(await oneRosterOut(as, courseId)).bytes).toEqual(bytes);
    const texts = unzipSync(bytes);
    expect(Object.keys(texts).sort()).toEqual(['categories.csv', 'lineItems.csv', 'manifest.csv', 'results.csv']);
    const headOf = (name: string) => strFromU8(texts[name] as Uint8Array).split('\r\n')[0];
    expect(headOf('categories.csv')).toBe('sourcedId,status,dateLastModified,title,weight');
    expect(headOf('lineItems.csv')).toBe(
      'sourcedId,status,dateLastModified,title,description,assignDate,dueDate,classSourcedId,categorySourcedId,gradingPeriodSourcedId,academicSessionSourcedId,schoolSourcedId,resultValueMin,resultValueMax',
    );
    expect(headOf('results.csv')).toBe(
      'sourcedId,status,dateLastModified,lineItemSourcedId,studentSourcedId,scoreStatus,score,scoreDate,comment,textScore,classSourcedId,inProgress,incomplete,late,missing',
    );
    const tables = unpacked(bytes);
    const properties = new Map(tables['manifest.csv']?.map(({ propertyName, value }) => [propertyName, value]));
    expect([...properties.keys()].filter((name) => name?.startsWith('file.'))).toHaveLength(21);
    expect(properties.get('file.results')).toBe('bulk');
    expect(properties.get('file.users')).toBe('absent');
    expect(tables['lineItems.csv']).toEqual([
      expect.objectContaining({
        ...{ sourcedId: releaseId, status: '', title: '=1+1', classSourcedId: 'k1', dueDate: '2027-06-11' },
        ...{ gradingPeriodSourcedId: 't2', schoolSourcedId: 's1', resultValueMin: '0' },
        categorySourcedId: tables['categories.csv']?.[0]?.sourcedId,
      }),
    ]);
    const results = new Map(tables['results.csv']?.map((row) => [row.studentSourcedId, row]));
    expect([...results.keys()].sort()).toEqual(['u-marsh', 'u-tallow']);
    expect(results.get('u-marsh')).toMatchObject({
      scoreStatus: 'not submitted',
      score: '',
      inProgress: 'true',
      late: 'false',
    });
    expect(results.get('u-tallow')).toMatchObject({ scoreStatus: 'fully graded', score: '1.5', inProgress: 'false' });
    for (const row of results.values()) expect(row.scoreDate).toMatch(/^\d{4}-\d\d-\d\d$/);
    must(await setRemark(as, releaseId, { learnerId: tallow.person.id, excused: true, note: '' }));
    expect(unpacked(must(await oneRosterOut(as, courseId)).bytes)['results.csv']).toContainEqual(
      expect.objectContaining({ studentSourcedId: 'u-tallow', scoreStatus: 'exempt', score: '' }),
    );
  });

  it('of a course that came from no system go out under its id, without those whom none knows', async () => {
    const courseId = await someCourse(as);
    await release(as, courseId, { ...seeds(), id: 'q-own' as never });
    const who = await learner(as, courseId, 'nobody');
    expect(must(await oneRosterNotes(as, courseId))).toEqual({ ownId: true, leftOut: [who.person.name] });
    const tables = unpacked(must(await oneRosterOut(as, courseId)).bytes);
    expect(tables['lineItems.csv']?.[0]?.classSourcedId).toBe(courseId);
    expect(tables['lineItems.csv']?.[0]?.dueDate).toMatch(/-07-31$/);
    expect(tables['results.csv']).toEqual([]);
    const other = await teacher(app, 'elsewhere');
    expect(await oneRosterOut(other, courseId)).toMatchObject({ code: 'notFound' });
  });
});
