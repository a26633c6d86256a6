import { randomUUID } from 'node:crypto';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq, sql } from 'drizzle-orm';
import { strToU8, zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { OPERATIONS, type OperationName } from '../src/contract';
import { makeToken } from '../src/server/accounts/tokens';
import { type App, makeApp } from '../src/server/app';
import { keepClassRecord } from '../src/server/board/records';
import { readConfig } from '../src/server/config';
import type { As, Learner, Person, Teacher } from '../src/server/context';
import { changeCourse, setTeacher } from '../src/server/courses/courses';
import { invite } from '../src/server/courses/invitations';
import { saveGroup, saveUnits } from '../src/server/courses/parts';
import { session, user } from '../src/server/database/accountTables';
import { framework, job, ltiContext, ltiLaunch, ltiLine, ltiLinePerson, outcome } from '../src/server/database/tables';
import { errors } from '../src/server/errors';
import { addJob } from '../src/server/jobs/jobs';
import { listPlatforms } from '../src/server/lti/platforms';
import { storeMedium } from '../src/server/media/media';
import { makeCalendarAddress } from '../src/server/releases/calendar';
import { publish } from '../src/server/releases/publish';
import { makeEdition } from '../src/server/results/corrections';
import { remove } from '../src/server/results/removals';
import { finish } from '../src/server/sittings/finish';
import { askForMail, confirmMail, MORNING_MAIL } from '../src/server/today/mail';
import { makeList } from '../src/server/vault/lists';
import { editQuestion, saveNew, setDeleted } from '../src/server/vault/questions';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { makeShelf, shareShelf } from '../src/server/vault/shelves';
import { nameRecordStore } from '../src/server/xapi/recordStore';
import { operation } from './support/apiDocument';
import { course, inOrder, learner, must, release, seeds, teacher, testApp } from './support/app';
import { type Asking, asked, ENDPOINTS } from './support/endpoints';
import { exported } from './support/packages';
import { type School, school } from './support/school';
import { sitter } from './support/sitting';

/**
 * Who asks. `owner` has everything below; `coTeacher` teaches the course too; `colleague` may use what stands on a
 * shelf; `elsewhere` teaches another course. `sitter` is on the course and sits its release, `classmate` is on it too,
 * `outsider` is on the other course alone. `nobody` is not signed in.
 */
const ACTORS = ['owner', 'coTeacher', 'colleague', 'elsewhere', 'sitter', 'classmate', 'outsider', 'nobody'] as const;
type Actor = (typeof ACTORS)[number];
const TEACHERS: readonly Actor[] = ['owner', 'coTeacher', 'colleague', 'elsewhere'];
const LEARNERS: readonly Actor[] = ['sitter', 'classmate', 'outsider'];
const SIGNED_IN: readonly Actor[] = [...TEACHERS, ...LEARNERS];
const COURSE: readonly Actor[] = ['owner', 'coTeacher'];
const OWNER: readonly Actor[] = ['owner'];
const OTHER_TEACHERS: readonly Actor[] = ['coTeacher', 'colleague', 'elsewhere'];

const PLANT = '<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><path d="M0 0h9v9z"/></svg>';
const FRESH = '0d1c2f30-5a10-4c1e-9b52-6f6e1a2bff01';

let template: { app: App; folder: string; done: () => void };
const people: Record<Actor, Person | null> = {
  owner: null,
  coTeacher: null,
  colleague: null,
  elsewhere: null,
  sitter: null,
  classmate: null,
  outsider: null,
  nobody: null,
};
/** The ids of what is the owner's. */
const of = {
  course: '',
  release: '',
  set: '',
  question: '',
  shelf: '',
  list: '',
  record: '',
  calendar: '',
  token: '',
  group: '',
  removal: '',
  job: '',
  session: '',
  finished: '',
  sitting: '',
  hash: '',
  medium: '',
  code: '',
  item: '',
  zone: '',
  platform: '',
  launch: '',
  accessToken: '',
  framework: '',
  outcome: '',
};
let zip: Uint8Array;
let platformOfSchool: School | undefined;
afterAll(() => platformOfSchool?.end());

/** A world in which every endpoint has something to find. */
beforeAll(async () => {
  template = await testApp({ LTI_LOOPBACK: '1' });
  const { app } = template;
  const [owner, coTeacher, colleague, elsewhere] = (await Promise.all(
    ['owner', 'coteacher', 'colleague', 'elsewhere'].map((name) => teacher(app, name)),
  )) as [As<Teacher>, As<Teacher>, As<Teacher>, As<Teacher>];
  of.course = await course(owner);
  must(await setTeacher(owner, of.course, 'coteacher', true));
  const { code } = must(await changeCourse(owner, of.course, { join: { until: null } })).join ?? { code: '' };
  of.code = code;
  const other = await course(elsewhere);
  const [one, two, three] = (await Promise.all([
    learner(owner, of.course, 'sitter'),
    learner(owner, of.course, 'classmate'),
    learner(elsewhere, other, 'outsider'),
  ])) as [As<Learner>, As<Learner>, As<Learner>];
  await release(elsewhere, other, seeds({ title: 'Elsewhere' }));
  const medium = must(
    await storeMedium(owner, {
      name: 'leaf.svg',
      claimed: 'image/svg+xml',
      bytes: Buffer.from(PLANT),
      room: { width: 100, height: 100 },
    }),
  );
  of.hash = medium.hash;
  const question = seeds({
    media: { leaf: { kind: 'picture', hash: medium.hash, description: 'A leaf', weight: medium.weight } },
    fixtures: [{ id: 'leaf', type: 'picture', media: 'leaf', x: 0, y: 0, w: 10, h: 10 }],
  });
  must(await saveNew(owner, question));
  must(
    await editQuestion(owner, question.id, {
      id: randomUUID(),
      from: 1,
      edits: [{ type: 'setQuestion', field: 'tries', to: 3, from: 2 }],
    }),
  );
  of.question = question.id;
  const binned = seeds({ title: 'In the bin' });
  must(await saveNew(owner, binned));
  must(await setDeleted(owner, binned.id, true));
  of.shelf = must(await makeShelf(owner, { id: randomUUID(), title: 'Drying', parentId: null })).id;
  const plain = seeds({ title: 'On a shelf' });
  must(await saveNew(owner, plain, of.shelf));
  must(await shareShelf(owner, of.shelf, { username: 'colleague', right: 'use' }));
  of.record = must(
    await keepClassRecord(owner, {
      id: randomUUID(),
      title: 'At the board',
      questions: [seeds()],
      rounds: [{ question: 0, up: [{ name: 'Clover' }], homes: seeds().items.map(() => ({ x: 0, y: 0 })), moves: [] }],
    }),
  ).id;
  of.list = must(await makeList(owner, { id: randomUUID(), title: 'Seeds', rows: [['barley']] })).id;
  of.set = must(await makeSet(owner, randomUUID(), 'Week one')).id;
  const beside = {
    id: randomUUID(),
    title: 'Beside',
    text: '',
    medium: { hash: medium.hash, kind: 'picture' as const, description: 'A leaf' },
    captions: '',
    questions: [question.id],
  };
  must(
    await saveSet(owner, of.set, {
      title: 'Week one',
      goBack: true,
      sections: inOrder([question.id, plain.id]),
      sources: [beside],
    }),
  );
  of.release = must(await publish(owner, { id: randomUUID(), courseId: of.course, setId: of.set })).id;
  of.job = randomUUID();
  await addJob(owner, { id: of.job, kind: 'publish', ownerId: owner.person.id, input: {}, total: 1 });
  of.group = randomUUID();
  must(await saveGroup(owner, of.course, { id: of.group, title: 'Morning shift' }));
  const unit = { id: randomUUID(), title: 'Week one' };
  must(await saveUnits(owner, of.course, [unit]));
  of.removal = randomUUID();
  must(await remove(owner, of.course, { id: of.removal, kind: 'unit', of: unit.id }));
  const sat = await sitter(one, of.release);
  await sat.take(sat.put('barley', 'dry'));
  of.sitting = sat.view.id;
  of.medium = Object.keys(sat.view.question.media)[0] ?? '';
  of.item = sat.view.question.items[0]?.id ?? '';
  of.zone = sat.view.question.zones[0]?.id ?? '';
  must(
    await makeEdition(owner, of.release, 2, {
      reason: 'Too narrow',
      changes: [{ question: 0, strike: false, fromVault: false, accept: [{ item: 'acorn', zone: 'dry' }] }],
    }),
  );
  of.session = randomUUID();
  const at = new Date();
  await app.db.insert(session).values({
    id: of.session,
    token: randomUUID(),
    userId: one.person.id,
    createdAt: at,
    updatedAt: at,
    expiresAt: new Date(at.getTime() + 3_600_000),
  });
  of.finished = (await sitter(two, of.release)).view.id;
  must(await finish(two, of.finished));
  await invite(owner, of.course, [{ id: three.person.id, groups: [] }]);
  await app.db.update(user).set({ isAdmin: true }).where(eq(user.id, owner.person.id));
  must(
    await storeMedium(owner, {
      name: 'unused.svg',
      claimed: 'image/svg+xml',
      bytes: Buffer.from(PLANT.replaceAll('9', '7')),
      room: { width: 100, height: 100 },
    }),
  );
  of.calendar = (await makeCalendarAddress(owner)).path.replace(/^.*\/|\.ics$/g, '');
  const wanted = { address: 'owner@people.invalid', days: 'mondays', hour: 6, zone: 'UTC' } as const;
  must(await askForMail(owner, wanted, 'http://127.0.0.1:4321'));
  const [letter] = await owner.db.select().from(job).where(eq(job.kind, MORNING_MAIL));
  of.token = ((letter?.input ?? { token: '' }) as { token: string }).token;
  must(await confirmMail(owner, of.token));
  zip = must(await exported(owner, { set: of.set })).bytes;
  Object.assign(people, {
    owner: owner.person,
    coTeacher: coTeacher.person,
    colleague: colleague.person,
    elsewhere: elsewhere.person,
    sitter: one.person,
    classmate: two.person,
    outsider: three.person,
  });
  of.accessToken = randomUUID();
  must(await makeToken(owner, { id: of.accessToken, name: 'A script', scopes: ['read'], days: 7 }));
  await linkedByASchool(owner, one);
  [of.framework, of.outcome] = [randomUUID(), randomUUID()];
  await app.db.insert(framework).values({
    ...{ id: of.framework, identifier: null, title: 'Seeds', ownerId: owner.person.id, at: new Date() },
  });
  await app.db.insert(outcome).values({
    ...{ id: of.outcome, frameworkId: of.framework, key: 'A', code: 'A', words: 'Keeps seeds', position: 0 },
  });
  await app.db.run(sql`pragma wal_checkpoint(truncate)`);
}, 60_000);

/** The course is a platform's too, which has a roster and a line for the release; its owner is choosing what it links. */
async function linkedByASchool(owner: As<Teacher>, pupil: As<Learner>): Promise<void> {
  platformOfSchool = await school(template.app);
  platformOfSchool.services['/members'] = () =>
    Response.json({ members: [{ user_id: 'x', name: 'X', roles: ['Learner'] }] });
  const [platform] = await listPlatforms(owner);
  of.platform = platform?.id ?? '';
  must(await nameRecordStore(owner, store));
  const [contextId, lineId] = [randomUUID(), randomUUID()];
  const { db } = owner;
  await db.insert(ltiContext).values({
    ...{ id: contextId, platformId: of.platform, deploymentId: 'autumn', contextId: 'x', courseId: of.course },
    membershipsUrl: `${platformOfSchool.address}/members`,
  });
  await db.insert(ltiLine).values({
    ...{ id: lineId, contextId, releaseId: of.release, linkId: 'x', url: 'https://x.example/1', takesScores: true },
  });
  await db.insert(ltiLinePerson).values({ lineId, learnerId: pupil.person.id, sub: 'x' });
  of.launch = randomUUID();
  await db.insert(ltiLaunch).values({
    ...{ id: of.launch, contextId, personId: owner.person.id, path: '/', maybe: people.elsewhere?.id ?? null },
    deepLink: {
      returnUrl: 'https://x.example/',
      data: null,
      takesLinks: true,
      takesLines: true,
      deploymentId: 'autumn',
    },
    expiresAt: new Date(Date.now() + 3_600_000),
  });
}
afterAll(() => template.done());

interface Row {
  readonly may: readonly Actor[];
  /** Who is told that it is done, and nothing is: of theirs there is nothing to do it to. */
  readonly nothing?: readonly Actor[];
  readonly ask?: () => Asking;
  /** What those of the right role are told who may not: that there is nothing, unless another is given. */
  readonly else?: Partial<Record<Actor, keyof typeof errors>>;
}
const inCourse = (more: Record<string, string> = {}) => ({ id: of.course, ...more });
const at =
  (id: () => string, more: Partial<Asking> = {}) =>
  () => ({ params: { id: id() }, ...more });
const settings = {
  from: 1,
  sittings: 1,
  counts: 'best',
  practice: false,
  feedbackLevel: 'modelAnswer',
  feedbackTime: 'atOnce',
};
const empty = { from: 2, title: 'Another name', goBack: true, sections: [] };

const store = { address: 'https://store.example/xapi', key: 'k', secret: 's', names: false };

/** A class, as a school's system says it. */
const classesOfSchool = () =>
  zipSync({
    'manifest.csv': strToU8('propertyName,value\noneroster.version,1.2\nfile.classes,bulk\nsource.systemCode,school\n'),
    'classes.csv': strToU8(
      'sourcedId,status,dateLastModified,title,courseSourcedId,classType,schoolSourcedId,termSourcedIds\nk1,,,Seeds,c1,scheduled,s1,t1\n',
    ),
  });

const NOT_ADMIN = { coTeacher: 'notAllowed', colleague: 'notAllowed', elsewhere: 'notAllowed' } as const;
const another = {
  ...{ name: 'Another', issuer: 'https://x.example', clientId: 'x', deployments: ['1'] },
  ...{ authUrl: 'https://x.example/a', tokenUrl: 'https://x.example/t', jwksUrl: 'https://x.example/j' },
};

const ROWS: Readonly<Record<string, Row>> = {
  'GET /api/ping': { may: ACTORS },
  'GET /api/health': { may: ACTORS },
  'GET /stand-in/film': { may: ACTORS },
  'GET /lti/jwks': { may: ACTORS },
  'POST /lti/deep-link': { may: OWNER, ask: () => ({ body: { launch: of.launch, releaseId: of.release } }) },
  'POST /api/lti/same-person': { may: OWNER, ask: () => ({ body: { launch: of.launch, password: null } }) },
  'GET /api/platforms': { may: OWNER, else: NOT_ADMIN },
  'POST /api/platforms': { may: OWNER, ask: () => ({ body: another }), else: NOT_ADMIN },
  'DELETE /api/platforms/{id}': { may: OWNER, ask: at(() => of.platform), else: NOT_ADMIN },
  'GET /api/outcomes': { may: TEACHERS },
  'POST /api/outcomes': {
    may: OWNER,
    ask: () => ({ query: `?take=true&id=${of.framework}`, bytes: Buffer.from('A,Keeps seeds\nB,Names seeds\n') }),
    else: { coTeacher: 'notAllowed', colleague: 'notAllowed', elsewhere: 'notAllowed' },
  },
  'DELETE /api/outcomes/{id}': { may: OWNER, ask: at(() => of.framework), else: NOT_ADMIN },
  'GET /api/questions/{id}/outcomes': { may: OWNER, ask: at(() => of.question) },
  'PUT /api/questions/{id}/outcomes': {
    may: OWNER,
    ask: () => ({ params: { id: of.question }, body: { outcomes: [of.outcome] } }),
  },
  'POST /api/outcomes/questions': {
    may: OWNER,
    ask: () => ({ body: { questions: [of.question], add: [of.outcome], remove: [] } }),
  },
  'GET /api/releases/{id}/mastery': { may: COURSE, ask: at(() => of.release) },
  // Nobody needs anything by then (`outcomes.test.ts`).
  'POST /api/courses/{id}/mastery/groups': {
    may: [],
    ask: () => ({
      params: { id: of.course },
      body: { id: randomUUID(), outcome: of.outcome, release: of.release, title: 'To see again' },
    }),
    else: { owner: 'invalid', coTeacher: 'invalid' },
  },
  'GET /api/courses/{id}/mastery': { may: COURSE, ask: at(() => of.course) },
  'POST /api/oneroster': {
    may: OWNER,
    ask: () => ({ query: '?take=true', bytes: classesOfSchool() }),
    else: NOT_ADMIN,
  },
  'GET /api/courses/{id}/oneroster': { may: COURSE, ask: at(() => of.course) },
  'GET /api/courses/{id}/oneroster/notes': { may: COURSE, ask: at(() => of.course) },
  'GET /api/record-store': { may: OWNER, else: NOT_ADMIN },
  'PUT /api/record-store': {
    may: OWNER,
    ask: () => ({ body: { ...store, key: 'another' } }),
    else: NOT_ADMIN,
  },
  'POST /api/record-store/again': { may: OWNER, ask: () => ({ body: { all: false } }), else: NOT_ADMIN },
  'DELETE /api/record-store': { may: OWNER, else: NOT_ADMIN },
  'GET /api/releases/{id}/statements': { may: COURSE, ask: at(() => of.release) },
  'GET /api/courses/{id}/outside': { may: COURSE, ask: at(() => of.course) },
  'POST /api/courses/{id}/lti-roster': { may: COURSE, ask: at(() => of.course, { body: { take: true } }) },
  'POST /api/releases/{id}/scores': {
    may: COURSE,
    ask: () => ({ params: { id: of.release }, body: { learnerId: people.sitter?.id } }),
  },
  'PUT /api/joining': {
    may: ACTORS,
    ask: () => ({ body: { code: of.code, name: 'New', username: 'new.one', password: 'seedlings-26' } }),
  },
  'POST /api/joining': { may: LEARNERS, ask: () => ({ body: { code: of.code } }) },
  'GET /api/me': { may: LEARNERS },
  'GET /api/account/sessions': { may: SIGNED_IN },
  'DELETE /api/account/sessions': { may: ['sitter'], nothing: SIGNED_IN },
  'DELETE /api/account/sessions/{id}': { may: ['sitter'], ask: at(() => of.session) },
  'GET /api/account/events': { may: SIGNED_IN },
  'GET /api/account/calendar': { may: SIGNED_IN },
  'PUT /api/account/calendar': { may: SIGNED_IN },
  'DELETE /api/account/calendar': { may: OWNER, nothing: SIGNED_IN.filter((actor) => actor !== 'owner') },
  'GET /api/account/tokens': { may: TEACHERS },
  'POST /api/account/tokens': {
    may: TEACHERS,
    ask: () => ({ body: { id: randomUUID(), name: 'A script', scopes: ['read'], days: 7 } }),
  },
  'DELETE /api/account/tokens/{id}': { may: OWNER, ask: at(() => of.accessToken) },
  'GET /api/account/mail': { may: TEACHERS },
  'PUT /api/account/mail': {
    may: TEACHERS,
    ask: () => ({ body: { address: 'odile@people.invalid', days: 'mondays', hour: 6, zone: 'UTC' } }),
  },
  'DELETE /api/account/mail': { may: OWNER, nothing: OTHER_TEACHERS },
  'PUT /api/account/mail/confirmed': {
    may: OWNER,
    ask: () => ({ body: { token: of.token } }),
  },
  'POST /api/account/mail/now': { may: OWNER, ask: () => ({ body: { id: FRESH } }) },
  'GET /api/calendar/{secret}.ics': { may: ACTORS, ask: () => ({ params: { secret: of.calendar } }) },
  'GET /api/invitations': { may: LEARNERS },
  'PUT /api/invitations/{course}': {
    may: ['outsider'],
    nothing: ['sitter', 'classmate'],
    ask: () => ({ params: { course: of.course } }),
    else: {},
  },
  'DELETE /api/invitations/{course}': { may: ['outsider'], ask: () => ({ params: { course: of.course } }) },
  'GET /api/installation': { may: TEACHERS },
  'PUT /api/installation': {
    may: OWNER,
    ask: () => ({ body: { directEnrolment: true } }),
    else: NOT_ADMIN,
  },
  'GET /api/media/usage': { may: TEACHERS },
  'DELETE /api/media/usage': { may: OWNER, nothing: OTHER_TEACHERS },

  'GET /api/questions': { may: TEACHERS },
  'POST /api/questions': { may: TEACHERS, ask: () => ({ body: { id: FRESH, shelfId: null } }) },
  'PATCH /api/questions': {
    may: OWNER,
    nothing: OTHER_TEACHERS,
    ask: () => ({ body: { ids: [of.question], deleted: true } }),
  },
  'POST /api/questions/words': {
    may: OWNER,
    nothing: OTHER_TEACHERS,
    ask: () => ({
      body: { ids: [of.question], find: 'seeds', to: 'grains', wholeWords: true, matchCase: false, apply: true },
    }),
  },
  'DELETE /api/questions/words': {
    may: OWNER,
    nothing: OTHER_TEACHERS,
    ask: () => ({ body: { done: [{ id: of.question, revision: 2 }] } }),
  },
  'POST /api/questions/dress': {
    may: OWNER,
    ask: () => ({ body: { ids: [of.question], like: of.question } }),
  },
  'DELETE /api/questions/dress': {
    may: OWNER,
    nothing: OTHER_TEACHERS,
    ask: () => ({ body: { done: [{ id: of.question, revision: 2 }] } }),
  },
  'POST /api/formulas': { may: TEACHERS, ask: () => ({ body: { tex: 'x^2' } }) },
  'GET /api/questions/{id}': { may: OWNER, ask: at(() => of.question) },
  'PATCH /api/questions/{id}': { may: OWNER, ask: at(() => of.question, { body: { deleted: true } }) },
  'POST /api/questions/{id}/copies': { may: OWNER, ask: at(() => of.question, { body: { id: FRESH } }) },
  'POST /api/questions/{id}/edits': {
    may: OWNER,
    ask: at(() => of.question, {
      body: {
        id: FRESH,
        from: 2,
        edits: [{ type: 'setQuestion', field: 'title', to: 'Mine', from: 'Which seeds stand drying?' }],
      },
    }),
  },
  'GET /api/questions/{id}/uses': { may: OWNER, ask: at(() => of.question) },
  'GET /api/questions/{id}/versions': { may: OWNER, ask: at(() => of.question) },
  'GET /api/questions/{id}/versions/{revision}': {
    may: OWNER,
    ask: () => ({ params: { id: of.question, revision: '1' } }),
  },
  'PUT /api/questions/{id}/versions/{revision}': {
    may: OWNER,
    ask: () => ({ params: { id: of.question, revision: '2' }, body: { name: 'Before the second year' } }),
  },
  'DELETE /api/bin': { may: OWNER, nothing: OTHER_TEACHERS },
  'GET /api/tags': { may: TEACHERS },
  'GET /api/shelves': { may: TEACHERS },
  'POST /api/shelves': { may: TEACHERS, ask: () => ({ body: { id: FRESH, title: 'New', parentId: null } }) },
  'PATCH /api/shelves/{id}': { may: OWNER, ask: at(() => of.shelf, { body: { title: 'Mine' } }) },
  'DELETE /api/shelves/{id}': { may: OWNER, nothing: OTHER_TEACHERS, ask: at(() => of.shelf) },
  'PUT /api/shelves/{id}/shares': {
    may: OWNER,
    ask: at(() => of.shelf, { body: { username: 'elsewhere', right: 'edit', from: null } }),
  },
  'GET /api/lists': { may: TEACHERS },
  'POST /api/lists': { may: TEACHERS, ask: () => ({ body: { id: FRESH, title: 'Mine', rows: [['oat']] } }) },
  'PUT /api/lists/{id}': { may: OWNER, ask: at(() => of.list, { body: { from: 1, title: 'Mine', rows: [['oat']] } }) },
  'DELETE /api/lists/{id}': { may: OWNER, nothing: OTHER_TEACHERS, ask: at(() => of.list) },
  'GET /api/sets': { may: TEACHERS },
  'GET /api/sets/{id}': { may: OWNER, ask: at(() => of.set) },
  'GET /api/sets/{id}/whole': { may: OWNER, ask: at(() => of.set) },
  'POST /api/sets': { may: TEACHERS, ask: () => ({ body: { id: FRESH, title: 'Mine' } }) },
  'PUT /api/releases/{id}/withdrawn': { may: COURSE, ask: at(() => of.release, { body: { withdrawn: true } }) },
  'POST /api/releases/{id}/copies': {
    may: COURSE,
    ask: () => ({ params: { id: of.release }, body: { copies: [{ id: FRESH, courseId: of.course }] } }),
  },
  'DELETE /api/sets/{id}': { may: OWNER, ask: at(() => of.set) },
  'POST /api/sets/{id}/restore': { may: OWNER, ask: at(() => of.set) },
  'POST /api/sets/{id}/copies': { may: OWNER, ask: at(() => of.set, { body: { id: FRESH } }) },
  'PUT /api/sets/{id}': { may: OWNER, ask: at(() => of.set, { body: empty }) },
  'GET /api/board': { may: OWNER, ask: () => ({ query: `?from=set&id=${of.set}` }) },
  'GET /api/board/records': { may: TEACHERS },
  'POST /api/board/records': {
    may: TEACHERS,
    ask: () => ({
      body: {
        id: FRESH,
        title: 'Mine',
        questions: [seeds()],
        rounds: [{ question: 0, up: [], homes: seeds().items.map(() => ({ x: 0, y: 0 })), moves: [] }],
      },
    }),
  },
  'GET /api/board/records/{id}': { may: OWNER, ask: at(() => of.record) },
  'DELETE /api/board/records/{id}': { may: OWNER, nothing: OTHER_TEACHERS, ask: at(() => of.record) },
  'GET /api/today': { may: TEACHERS },
  'PUT /api/today': { may: TEACHERS },
  'GET /api/search': { may: TEACHERS, ask: () => ({ query: '?words=seeds' }) },
  'GET /api/releases/{id}/live': { may: COURSE, ask: at(() => of.release) },
  'GET /api/releases/{id}/live/events': { may: COURSE, ask: at(() => of.release) },
  'GET /api/courses/{id}/names': { may: COURSE, ask: at(() => of.course) },
  'GET /api/media': { may: TEACHERS },
  'POST /api/media': {
    may: TEACHERS,
    ask: () => ({ query: '?name=leaf.svg', bytes: Buffer.from(PLANT.replaceAll('9', '8')) }),
  },
  'GET /media/{hash}': { may: OWNER, ask: () => ({ params: { hash: of.hash } }) },
  'GET /api/packages': { may: OWNER, ask: () => ({ query: `?set=${of.set}` }) },
  'GET /api/packages/carried': { may: OWNER, ask: () => ({ query: `?set=${of.set}` }) },
  'POST /api/packages': { may: TEACHERS, ask: () => ({ query: `?id=${FRESH}`, bytes: zip }) },

  'GET /api/courses': { may: TEACHERS },
  'POST /api/courses': { may: TEACHERS, ask: () => ({ body: { id: FRESH, title: 'Mine' } }) },
  'GET /api/courses/{id}': { may: COURSE, ask: at(() => of.course) },
  'PATCH /api/courses/{id}': {
    may: OWNER,
    ask: at(() => of.course, { body: { archived: true, from: 2 } }),
    else: { coTeacher: 'notAllowed' },
  },
  'GET /api/courses/{id}/audit': { may: COURSE, ask: at(() => of.course) },
  'PUT /api/courses/{id}/categories': {
    may: COURSE,
    ask: at(() => of.course, { body: { from: 1, categories: [{ id: FRESH, title: 'Tests', weight: 1 }] } }),
  },
  'GET /api/courses/{id}/gradebook': { may: COURSE, ask: at(() => of.course) },
  'GET /api/courses/{id}/reports': { may: COURSE, ask: at(() => of.course) },
  'GET /api/courses/{id}/gradebook/means': { may: COURSE, ask: at(() => of.course) },
  'GET /courses/{id}/gradebook.csv': { may: COURSE, ask: at(() => of.course) },
  'PUT /api/courses/{id}/groups': {
    may: COURSE,
    ask: at(() => of.course, { body: { id: FRESH, title: 'Evening shift', from: null } }),
  },
  'PUT /api/courses/{id}/groups/{group}': {
    may: COURSE,
    ask: () => ({ params: inCourse({ group: of.group }), body: { learnerId: people.sitter?.id, isIn: true } }),
  },
  'GET /api/courses/{id}/removals': {
    may: COURSE,
    ask: () => ({ params: inCourse(), query: `?kind=group&of=${of.group}` }),
  },
  'POST /api/courses/{id}/removals': {
    may: COURSE,
    ask: () => ({ params: inCourse(), body: { id: FRESH, kind: 'group', of: of.group } }),
  },
  'DELETE /api/courses/{id}/removals/{removal}': {
    may: COURSE,
    ask: () => ({ params: inCourse({ removal: of.removal }) }),
  },
  'GET /api/courses/{id}/learners': { may: COURSE, ask: at(() => of.course) },
  'POST /api/courses/{id}/learners': {
    may: COURSE,
    ask: at(() => of.course, { body: { name: 'New', username: 'new.one', password: 'seedlings-26' } }),
  },
  'DELETE /api/courses/{id}/learners': {
    may: COURSE,
    ask: () => ({ params: inCourse(), body: { learners: [people.sitter?.id] } }),
  },
  'GET /api/courses/{id}/learners/{learner}': {
    may: COURSE,
    ask: () => ({ params: inCourse({ learner: people.sitter?.id ?? '' }) }),
  },
  'DELETE /api/courses/{id}/learners/{learner}': {
    may: OWNER,
    ask: () => ({ params: inCourse({ learner: people.sitter?.id ?? '' }) }),
    else: { coTeacher: 'notAllowed' },
  },
  'GET /api/courses/{id}/learners/{learner}/report': {
    may: COURSE,
    ask: () => ({ params: inCourse({ learner: people.sitter?.id ?? '' }) }),
  },
  'GET /api/courses/{id}/left': { may: COURSE, ask: at(() => of.course) },
  'GET /api/courses/{id}/parts': { may: COURSE, ask: at(() => of.course) },
  'POST /api/courses/{id}/roster': {
    may: COURSE,
    ask: at(() => of.course, { body: { text: 'New,new.one', take: true, removeOthers: true } }),
  },
  'GET /api/courses/{id}/teachers': { may: COURSE, ask: at(() => of.course) },
  'PUT /api/courses/{id}/teachers': {
    may: OWNER,
    ask: at(() => of.course, { body: { username: 'elsewhere', teaches: true } }),
    else: { coTeacher: 'notAllowed' },
  },
  'PUT /api/courses/{id}/units': {
    may: COURSE,
    ask: at(() => of.course, { body: { from: 3, units: [{ id: FRESH, title: 'Drying' }] } }),
  },
  'PUT /api/learners/{id}/pictures': { may: OWNER, ask: () => ({ params: { id: people.sitter?.id ?? '' } }) },
  'PUT /api/courses/{id}/pictures': { may: COURSE, ask: at(() => of.course, { body: { allowed: true } }) },
  'PUT /api/learners/{id}/password': {
    may: OWNER,
    ask: () => ({ params: { id: people.sitter?.id ?? '' }, body: { password: 'seedlings-27' } }),
  },

  'GET /api/jobs/{id}': { may: OWNER, ask: at(() => of.job) },
  'GET /api/releases': { may: LEARNERS },
  'POST /api/releases': { may: OWNER, ask: () => ({ body: { id: FRESH, courseId: of.course, setId: of.set } }) },
  'PUT /api/releases/{id}/allowances': {
    may: COURSE,
    ask: () => ({
      params: { id: of.release },
      body: { learnerId: people.sitter?.id, allowed: { moreMinutes: 5, moreSittings: 0 } },
    }),
  },
  'GET /api/releases/{id}/analysis': { may: COURSE, ask: at(() => of.release) },
  'GET /api/releases/{id}/together': { may: COURSE, ask: at(() => of.release) },
  'GET /api/releases/{id}/comparison': { may: COURSE, ask: at(() => of.release) },
  'GET /api/releases/{id}/editions': { may: COURSE, ask: at(() => of.release) },
  'POST /api/releases/{id}/editions': {
    may: COURSE,
    ask: at(() => of.release, {
      body: { reason: 'Unclear', number: 3, changes: [{ question: 0, strike: true, fromVault: false, accept: [] }] },
    }),
  },
  'GET /api/releases/{id}/editions/{number}': { may: COURSE, ask: () => ({ params: { id: of.release, number: '2' } }) },
  'PUT /api/releases/{id}/editions/{number}': {
    may: COURSE,
    ask: () => ({ params: { id: of.release, number: '2' }, body: {} }),
  },
  'PUT /api/releases/{id}/marks': {
    may: COURSE,
    ask: () => ({
      params: { id: of.release },
      body: { learnerId: people.sitter?.id, mark: { points: 1, reason: 'Late' } },
    }),
  },
  'PUT /api/releases/{id}/remarks': {
    may: COURSE,
    ask: () => ({ params: { id: of.release }, body: { learnerId: people.sitter?.id, excused: false, note: 'By bus' } }),
  },
  'GET /api/releases/{id}/results': { may: COURSE, ask: at(() => of.release) },
  'POST /api/releases/{id}/groups': {
    may: COURSE,
    ask: at(() => of.release, { body: { id: randomUUID(), question: 0, title: 'To see again' } }),
  },
  'GET /api/releases/{id}/paper': { may: COURSE, ask: at(() => of.release) },
  'GET /api/releases/{id}/paper/learners': { may: COURSE, ask: at(() => of.release) },
  'POST /api/releases/{id}/paper': {
    may: COURSE,
    ask: () => ({
      params: { id: of.release },
      body: { id: randomUUID(), learnerId: people.sitter?.id, variant: 1, writtenAt: null, answers: [] },
    }),
  },
  'GET /releases/{id}/answers.csv': { may: COURSE, ask: at(() => of.release) },
  'GET /releases/{id}/answers.jsonl': { may: COURSE, ask: at(() => of.release) },
  'GET /releases/{id}/results.csv': { may: COURSE, ask: at(() => of.release) },
  'GET /api/releases/{id}/settings': { may: COURSE, ask: at(() => of.release) },
  'PUT /api/releases/{id}/settings': { may: COURSE, ask: at(() => of.release, { body: settings }) },

  'GET /api/releases/{id}/sittings/{sitting}': {
    may: COURSE,
    ask: () => ({ params: { id: of.release, sitting: of.sitting } }),
  },
  'PUT /api/releases/{id}/sittings/{sitting}': {
    may: COURSE,
    ask: () => ({ params: { id: of.release, sitting: of.finished }, body: { minutes: null } }),
  },
  'GET /api/releases/{id}/sittings': { may: ['sitter', 'classmate'], ask: at(() => of.release) },
  'POST /api/releases/{id}/sittings': { may: ['sitter', 'classmate'], ask: at(() => of.release) },
  'POST /api/sittings/{id}/at': { may: ['sitter'], ask: at(() => of.sitting, { body: { question: 1 } }) },
  'POST /api/sittings/{id}/finish': { may: ['sitter'], ask: at(() => of.sitting) },
  'POST /api/sittings/{id}/moves': {
    may: ['sitter'],
    ask: () => ({
      params: { id: of.sitting },
      body: { question: 0, after: 1, moves: [{ id: FRESH, kind: 'put', item: of.item, copy: 0, zone: of.zone }] },
    }),
  },
  'GET /api/sittings/{id}/media/{name}': {
    may: ['sitter'],
    ask: () => ({ params: { id: of.sitting, name: of.medium } }),
  },
  'GET /api/sittings/{id}/sources/{n}': { may: ['sitter'], ask: () => ({ params: { id: of.sitting, n: '0' } }) },
};
/** What the sign-in library answers is its own (see `OPEN_AUTH_PATHS`); `tests/browser/pages.spec.ts` tries it. */
const OTHERS = [
  'ALL /api/auth/{all}',
  // Forms of platforms, and the page that one leads to (`launches.test.ts`, `tests/browser/platforms.spec.ts`).
  ...['GET /lti/login', 'POST /lti/login', 'POST /lti/launch', 'POST /lti/continue', 'GET /lti/deep-link'],
  // The other side, in the demo alone.
  ...['ALL /stand-in/platform/{path}', 'ALL /stand-in/record-store/{path}'],
];

/** Of the right role, as the endpoint says of itself? */
const isOfRole = (name: string, actor: Actor) => {
  const { who } = OPERATIONS[name as OperationName];
  return who === 'anyone' || (who === 'signedIn' && actor !== 'nobody') || people[actor]?.role === who;
};

describe('who may ask what', () => {
  it('is laid down for every endpoint there is', () => {
    expect([...ENDPOINTS.keys()].sort()).toEqual([...Object.keys(ROWS), ...OTHERS].sort());
  });

  const copies: string[] = [];
  let app: App | null = null;
  afterAll(() => {
    for (const copy of copies) rmSync(copy, { recursive: true, force: true });
  });
  /** An application over a copy of the world, the one before where that was not written to. */
  async function fresh(): Promise<App> {
    if (app) return app;
    const folder = mkdtempSync(join(tmpdir(), 'vault-drop-roles-'));
    copies.push(folder);
    cpSync(template.folder, folder, { recursive: true });
    app = await makeApp(readConfig({ VAULT_DROP_DATA: folder, VAULT_DROP_ROOT: process.cwd(), LTI_LOOPBACK: '1' }));
    return app;
  }
  // That a right was refused is noted, and how often something was asked for is counted: neither is a change of what is
  // there.
  const changesOf = async (one: App) =>
    (
      await one.db.get<{ n: number }>(
        sql`select total_changes() - (select coalesce(max(n), 0) from security_event) - (select coalesce(sum(count), 0) from request_count) as n`,
      )
    )?.n ?? 0;

  it.each(Object.keys(ROWS))('%s', async (name) => {
    const row = ROWS[name] as Row;
    for (const actor of ACTORS) {
      const one = await fresh();
      const before = await changesOf(one);
      const response = await asked(one, name, people[actor], row.ask?.());
      const body = response.headers.get('content-type')?.startsWith('application/json')
        ? ((await response.json()) as { ok?: boolean; error?: { code: string } })
        : {};
      const may = row.may.includes(actor);
      const code =
        may || row.nothing?.includes(actor)
          ? undefined
          : actor === 'nobody'
            ? 'notSignedIn'
            : isOfRole(name, actor)
              ? (row.else?.[actor] ?? 'notFound')
              : 'notAllowed';
      const expected = code ? { status: errors[code][0], code } : { status: 200, code: undefined };
      expect({ actor, status: response.status, code: body.error?.code }).toEqual({ actor, ...expected });
      // It is as the API document says.
      const { takes, answers, fails } = operation(name);
      if (!row.ask?.().bytes) expect(takes(row.ask?.().body)).toEqual([]);
      if (response.headers.get('content-type')?.startsWith('application/json'))
        expect(code ? fails(body) : answers(body)).toEqual([]);
      const wrote = (await changesOf(one)) > before;
      // Who may not, changes nothing and is told nothing of what is there.
      if (!may) expect({ actor, wrote }).toEqual({ actor, wrote: false });
      else if (!['GET', 'POST'].includes(name.split(' ')[0] ?? ''))
        expect({ actor, wrote }).toEqual({ actor, wrote: true });
      if (!may || (actor !== 'owner' && actor !== 'coTeacher')) {
        const told = JSON.stringify(body);
        const secrets =
          may && LEARNERS.includes(actor)
            ? [of.question, of.set, of.hash]
            : [of.question, of.set, of.list, of.course, of.hash];
        // What was asked with comes back at most to who may.
        expect({ actor, leaks: secrets.filter((id) => told.includes(id)) }).toEqual({ actor, leaks: [] });
      }
      if (wrote) app = null;
    }
  });

  it('of lists, shows each their own', async () => {
    const one = await fresh();
    const seen = async (name: string, actor: Actor, id: string) =>
      (await (await asked(one, name, people[actor])).text()).includes(id);
    const lists = [
      ['GET /api/courses', of.course, ['owner', 'coTeacher']],
      ['GET /api/questions', of.question, ['owner']],
      ['GET /api/questions', of.shelf, ['owner', 'colleague']],
      ['GET /api/shelves', of.shelf, ['owner', 'colleague']],
      ['GET /api/lists', of.list, ['owner']],
      ['GET /api/board/records', of.record, ['owner']],
      ['GET /api/media', of.hash, ['owner']],
    ] as const;
    for (const [name, id, who] of lists)
      for (const actor of TEACHERS)
        expect([name, actor, await seen(name, actor, id)]).toEqual([
          name,
          actor,
          (who as readonly Actor[]).includes(actor),
        ]);
  });
});
