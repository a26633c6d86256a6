import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { user } from '../src/server/database/accountTables';
import { course, ltiLine, ltiPerson, outbox, release } from '../src/server/database/tables';
import { SCOPE } from '../src/server/lti/claims';
import { goesOutside } from '../src/server/lti/outside';
import { planPlatformRoster, takePlatformRoster } from '../src/server/lti/roster';
import { sendAgain } from '../src/server/lti/scores';
import { pauseAfter, settle, takeDue } from '../src/server/outbox/outbox';
import { sendDue } from '../src/server/outboxRunner';
import { nextPage, under } from '../src/server/outside/replies';
import { publish } from '../src/server/releases/publish';
import { openGradebook } from '../src/server/results/gradebook';
import { setMark, setRemark } from '../src/server/results/handMarks';
import { eraseLearner } from '../src/server/results/personal';
import { finish } from '../src/server/sittings/finish';
import { openRelease } from '../src/server/sittings/openRelease';
import { saveNew } from '../src/server/vault/questions';
import { must, seeds, testApp } from './support/app';
import { otherProcess } from './support/otherProcess';
import { type Claimed, LEARNS, launched, type School, school, TEACHES } from './support/school';

interface Sent {
  readonly path: string;
  readonly search: string;
  readonly body: Record<string, unknown>;
}

let app: App;
let done: () => void;
let at: School;
let as: As<Teacher>;
let courseId: string;
let sent: Sent[] = [];
/** The status that the platform answers with. */
let status = 204;
let number = 0;

beforeAll(async () => {
  ({ app, done } = await testApp({ LTI_LOOPBACK: '1' }));
  at = await school(app);
  await launched(app, at, { sub: 'teacher-1', name: 'Maren Holt', roles: [TEACHES] });
  const [made] = await app.db.select().from(course);
  courseId = made?.id ?? '';
  as = { ...app, person: { id: made?.ownerId ?? '', name: 'Maren Holt', username: null, role: 'teacher' } };
  at.services['/lines/1/scores'] = async (request) => {
    const { pathname, search } = new URL(request.url);
    if (status < 300) sent.push({ path: pathname, search, body: (await request.json()) as Record<string, unknown> });
    return new Response(null, { status });
  };
});
afterAll(async () => {
  await at.end();
  done();
});
beforeEach(() => {
  sent = [];
  status = 204;
});

/** A release that a pupil has been launched to. */
async function linked(
  claimed: Claimed = {},
): Promise<{ releaseId: string; pupil: As<Learner>; launch: () => Promise<void> }> {
  const question = seeds();
  must(await saveNew(as, question));
  const { id: releaseId } = must(
    await publish(as, { id: randomUUID(), courseId, questionId: question.id, revision: 1 }),
  );
  const sub = `pupil-${++number}`;
  const line = `${at.address}/lines/1?type_id=3`;
  const launch = async () => {
    expect((await launched(app, at, { sub, release: releaseId, line, ...claimed })).answer.status).toBe(303);
  };
  await launch();
  const known = await app.db.query.ltiPerson.findFirst({ where: eq(ltiPerson.sub, sub) });
  const row = await app.db.query.user.findFirst({ where: eq(user.id, known?.personId ?? '') });
  return {
    ...{ releaseId, launch },
    pupil: { ...app, person: { id: row?.id ?? '', name: row?.name ?? '', username: null, role: 'learner' } },
  };
}

const begun = async (pupil: As<Learner>, releaseId: string) => must(await openRelease(pupil, releaseId)).open?.id ?? '';
const cell = async (releaseId: string, learnerId: string) => {
  const page = must(await openGradebook(as, courseId));
  const column = page.releases.findIndex(({ id }) => id === releaseId);
  return page.rows.find((row) => row.learnerId === learnerId)?.cells[column];
};
const rows = (learnerId: string) => app.db.select().from(outbox).where(eq(outbox.subject, learnerId));
/** Makes everything due that waits for its next try. */
const hurry = () =>
  app.db
    .update(outbox)
    .set({ dueAt: new Date(0) })
    .where(eq(outbox.state, 'waiting'));

describe('a mark', () => {
  it('arrives as it came about: begun, by hand, taken back', async () => {
    const { releaseId, pupil } = await linked();
    await begun(pupil, releaseId);
    await sendDue(app);
    expect(sent).toMatchObject([
      {
        ...{ path: '/lines/1/scores', search: '?type_id=3' },
        body: { userId: `pupil-${number}`, activityProgress: 'InProgress', gradingProgress: 'NotReady' },
      },
    ]);
    expect(sent[0]?.body).not.toHaveProperty('scoreGiven');
    must(await setMark(as, releaseId, pupil.person.id, { points: 1, reason: 'On paper' }));
    await sendDue(app);
    must(await setMark(as, releaseId, pupil.person.id, null));
    await sendDue(app);
    expect(sent.slice(1).map(({ body }) => body)).toMatchObject([
      {
        ...{
          activityProgress: 'Completed',
          gradingProgress: 'FullyGraded',
          scoreGiven: 1,
          comment: 'Set by a teacher.',
        },
        scoreMaximum: (await cell(releaseId, pupil.person.id))?.outOf,
      },
      { activityProgress: 'InProgress', gradingProgress: 'NotReady' },
    ]);
    const times = sent.map(({ body }) => String(body.timestamp));
    expect(times).toEqual([...new Set(times)].toSorted());
    expect(times[0]).toMatch(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/);
  });

  it('waits in the transaction that changes it, and the same is not sent twice', async () => {
    const { releaseId, pupil } = await linked();
    const sittingId = await begun(pupil, releaseId);
    must(await finish(pupil, sittingId));
    must(await setMark(as, releaseId, pupil.person.id, { points: 2, reason: 'Seen' }));
    expect(await cell(releaseId, pupil.person.id)).toMatchObject({ sending: { state: 'waiting', tries: 0 } });
    await sendDue(app);
    expect(await cell(releaseId, pupil.person.id)).toMatchObject({ sending: null });
    const count = sent.length;
    must(await setMark(as, releaseId, pupil.person.id, { points: 2, reason: 'Seen twice' }));
    await sendDue(app);
    expect(sent.length).toBe(count);
    must(await setRemark(as, releaseId, { learnerId: pupil.person.id, excused: true, note: '' }));
    await sendDue(app);
    expect(sent.at(-1)?.body).toMatchObject({ gradingProgress: 'NotReady', comment: 'Excused.' });
  });

  it('is tried again under the same time while the platform is down, and arrives after', async () => {
    const { releaseId, pupil } = await linked();
    status = 503;
    must(await setMark(as, releaseId, pupil.person.id, { points: 1, reason: 'On paper' }));
    const [before] = await rows(pupil.person.id);
    await sendDue(app);
    expect(await cell(releaseId, pupil.person.id)).toMatchObject({
      sending: { state: 'waiting', tries: 1, reason: 'The platform answers with status 503.' },
    });
    const [failed] = await rows(pupil.person.id);
    expect((failed?.dueAt.getTime() ?? 0) - Date.now()).toBeGreaterThan(7000);
    await sendDue(app);
    expect((await rows(pupil.person.id))[0]?.tries).toBe(1);
    status = 204;
    await hurry();
    await sendDue(app);
    expect(sent).toMatchObject([{ body: { scoreGiven: 1, timestamp: before?.at.toISOString() } }]);
    expect(await cell(releaseId, pupil.person.id)).toMatchObject({ sending: null });
  });

  it.each([
    [409, null],
    [404, { state: 'failed', reason: 'The platform does not have its line any more.' }],
    [403, { state: 'waiting' }],
    [429, { state: 'waiting' }],
    [302, { state: 'waiting' }],
  ])('with the answer %i stands as %j', async (answer, sending) => {
    const { releaseId, pupil } = await linked();
    status = answer;
    must(await setMark(as, releaseId, pupil.person.id, { points: 1, reason: 'On paper' }));
    await sendDue(app);
    const now = await cell(releaseId, pupil.person.id);
    if (sending === null) expect(now?.sending).toBeNull();
    else expect(now).toMatchObject({ sending });
    status = 204;
    expect(must(await sendAgain(as, releaseId, pupil.person.id)).sending).toMatchObject({ state: 'waiting', tries: 0 });
    await sendDue(app);
    expect(sent.at(-1)?.body).toMatchObject({ scoreGiven: 1 });
    expect((await cell(releaseId, pupil.person.id))?.sending).toBeNull();
  });

  it('that changes while it is being sent is sent again, and only the newest waits', async () => {
    const { releaseId, pupil } = await linked();
    must(await setMark(as, releaseId, pupil.person.id, { points: 1, reason: 'On paper' }));
    const [taken] = await takeDue(app, 1);
    must(await setMark(as, releaseId, pupil.person.id, { points: 2, reason: 'Looked again' }));
    if (taken) await settle(app, taken, { arrived: true, body: { scoreGiven: 1 } });
    const [now] = await rows(pupil.person.id);
    expect(now).toMatchObject({ state: 'waiting', version: (taken?.version ?? 0) + 1 });
    expect(now?.at.getTime()).toBeGreaterThan(taken?.at.getTime() ?? 0);
    await sendDue(app);
    expect(sent.map(({ body }) => body.scoreGiven)).toEqual([2]);
  });

  it('is taken by one of two that send at once, and again when that one has ended', async () => {
    const { releaseId, pupil } = await linked();
    must(await setMark(as, releaseId, pupil.person.id, { points: 1, reason: 'On paper' }));
    const taken = await Promise.all([takeDue(app, 9), takeDue(app, 9), takeDue(app, 9)]);
    expect(taken.flat()).toHaveLength(1);
    const later = { ...app, now: () => new Date(Date.now() + 61_000) };
    expect(await takeDue(later, 9)).toHaveLength(1);
    await app.db.delete(outbox).where(eq(outbox.subject, pupil.person.id));
  });

  it('goes to each line through which the learner came, at once if there is one already', async () => {
    const { releaseId, pupil, launch } = await linked();
    must(await setMark(as, releaseId, pupil.person.id, { points: 1, reason: 'On paper' }));
    await sendDue(app);
    at.services['/lines/2/scores'] = at.services['/lines/1/scores'] as (typeof at.services)[string];
    await launched(app, at, {
      ...{ sub: `pupil-${number}`, release: releaseId, link: 'link-2', line: `${at.address}/lines/2` },
    });
    await sendDue(app);
    expect(sent.map(({ path }) => path)).toEqual(['/lines/1/scores', '/lines/2/scores']);
    await launch();
    await sendDue(app);
    expect(sent).toHaveLength(2);
  });

  it('of practice is not sent, nor where the platform takes none', async () => {
    const { releaseId, pupil } = await linked();
    await app.db.update(release).set({ practice: true }).where(eq(release.id, releaseId));
    await begun(pupil, releaseId);
    await sendDue(app);
    const refused = await linked({ scopes: [SCOPE.lines] });
    must(await setMark(as, refused.releaseId, refused.pupil.person.id, { points: 1, reason: 'On paper' }));
    await sendDue(app);
    expect(sent).toEqual([]);
    const page = must(await openGradebook(as, courseId));
    expect(page.releases.find(({ id }) => id === refused.releaseId)?.scores).toBe('refused');
  });

  it('finds or makes the line of a link that came without one, once', async () => {
    let made = 0;
    at.services['/lines'] = async (request) => {
      if (request.method === 'GET') return Response.json([{ id: 'x', resourceId: null, resourceLinkId: 'other' }]);
      made++;
      expect(await request.json()).toMatchObject({
        resourceLinkId: 'link-1',
        scoreMaximum: expect.any(Number) as number,
      });
      return Response.json({ id: `${at.address}/lines/1` }, { status: 201 });
    };
    const claimed = { line: null, lines: `${at.address}/lines?type_id=1` };
    const { releaseId, pupil } = await linked(claimed);
    const mates = await Promise.all(
      ['mate-1', 'mate-2', 'mate-3'].map(async (sub) => {
        await launched(app, at, { sub, release: releaseId, ...claimed });
        return (await app.db.query.ltiPerson.findFirst({ where: eq(ltiPerson.sub, sub) }))?.personId ?? '';
      }),
    );
    for (const id of [pupil.person.id, ...mates])
      must(await setMark(as, releaseId, id, { points: 1, reason: 'On paper' }));
    await sendDue(app);
    expect([made, sent.length]).toEqual([1, 4]);
    expect(await app.db.query.ltiLine.findFirst({ where: eq(ltiLine.releaseId, releaseId) })).toMatchObject({
      url: `${at.address}/lines/1`,
    });
  });

  it('that was erased waits no more', async () => {
    const { releaseId, pupil } = await linked();
    await begun(pupil, releaseId);
    expect(await rows(pupil.person.id)).toHaveLength(1);
    must(await eraseLearner(as, courseId, pupil.person.id));
    expect(await rows(pupil.person.id)).toEqual([]);
    expect(await app.db.query.user.findFirst({ where: eq(user.id, pupil.person.id) })).toBeUndefined();
    expect(await app.db.query.ltiPerson.findFirst({ where: eq(ltiPerson.sub, `pupil-${number}`) })).toBeUndefined();
  });
});

describe('trying again', () => {
  it('waits ten seconds, then twice as long each time, up to an hour, and gives up after two weeks', async () => {
    expect([1, 2, 3, 9, 10, 40].map((tries) => pauseAfter(tries, 0.5) / 1000)).toEqual([10, 20, 40, 2560, 3600, 3600]);
    expect([pauseAfter(1, 0), pauseAfter(1, 1)]).toEqual([8000, 12_000]);
    const { releaseId, pupil } = await linked();
    must(await setMark(as, releaseId, pupil.person.id, { points: 1, reason: 'On paper' }));
    const late = { ...app, now: () => new Date(Date.now() + 15 * 24 * 3600 * 1000) };
    const [row] = await takeDue(late, 1);
    if (row) await settle(late, row, { arrived: false, reason: 'Nobody answers.', again: true });
    expect(await cell(releaseId, pupil.person.id)).toMatchObject({
      sending: { state: 'failed', reason: 'Nobody answers.' },
    });
  });

  it('asks for another token when one is not taken any more', async () => {
    let tokens = 0;
    const [token, scores] = [at.services['/token'], at.services['/lines/1/scores']];
    at.services['/token'] = () => Response.json({ access_token: `token ${++tokens}`, expires_in: 3600 });
    at.services['/lines/1/scores'] = (request) =>
      request.headers.get('authorization') === 'Bearer token 1'
        ? (scores as NonNullable<typeof scores>)(request)
        : new Response('', { status: 401 });
    const { releaseId, pupil } = await linked();
    must(await setMark(as, releaseId, pupil.person.id, { points: 1, reason: 'On paper' }));
    await sendDue(app);
    expect([tokens, sent.length]).toEqual([1, 1]);
    Object.assign(at.services, { '/token': token, '/lines/1/scores': scores });
  });
});

describe('addresses of services', () => {
  it('keep their query, and follow to the next page', () => {
    expect(under('https://x.example/lines/7?type_id=3', 'scores')).toBe('https://x.example/lines/7/scores?type_id=3');
    expect(under('https://x.example/lines/7/', 'scores')).toBe('https://x.example/lines/7/scores');
    const reply = (link: string) => ({ status: 200, text: '', headers: new Headers({ link }) });
    const here = 'https://x.example/members?from=0';
    expect(nextPage(reply('<https://x.example/a>; rel="prev", <https://x.example/b?c=1,2>; rel="next"'), here)).toBe(
      'https://x.example/b?c=1,2',
    );
    expect(nextPage(reply('</members?from=3>; rel=next'), here)).toBe('https://x.example/members?from=3');
    expect(nextPage(reply('<https://x.example/a>; rel="prev"'), here)).toBeNull();
  });
});

describe('what goes elsewhere', () => {
  it('is told for each platform of a course', async () => {
    const { platforms } = must(await goesOutside(as, courseId));
    expect(platforms).toMatchObject([{ name: 'Tarn Hollow School', roster: false }]);
    expect(platforms[0]?.releases.length).toBeGreaterThan(0);
    expect(platforms[0]?.arrived).toBe((await app.db.select().from(outbox)).filter(({ body }) => body !== null).length);
  });
});

describe('a platform’s roster', () => {
  it('is shown before it is taken, page by page, and whoever is launched later is the same person', async () => {
    const members = [
      { user_id: 'pupil-r1', name: 'Jory Whin', roles: ['Learner'], status: 'Active' },
      { user_id: 'pupil-r2', given_name: 'Teasel', family_name: 'Brand', roles: [LEARNS] },
      { user_id: 'pupil-r3', name: 'Gone', roles: [LEARNS], status: 'Inactive' },
      { user_id: 'teacher-7', name: 'Corin Ashby', roles: [TEACHES] },
    ];
    at.services['/members'] = (request) => {
      const from = Number(new URL(request.url).searchParams.get('from') ?? 0);
      expect(new URL(request.url).searchParams.get('course')).toBe('7');
      return Response.json(
        { members: members.slice(from, from + 2) },
        { headers: from + 2 < members.length ? { link: `<${at.address}/members?course=7&from=2>; rel="next"` } : {} },
      );
    };
    await launched(app, at, {
      ...{ sub: 'teacher-1', roles: [TEACHES] },
      more: {
        'https://purl.imsglobal.org/spec/lti-nrps/claim/namesroleservice': {
          context_memberships_url: `${at.address}/members?course=7`,
        },
      },
    });
    const plan = must(await planPlatformRoster(as, courseId));
    expect(plan.lines.map(({ name, will }) => [name, will])).toEqual([
      ['Jory Whin', 'make'],
      ['Teasel Brand', 'make'],
    ]);
    expect(await app.db.query.ltiPerson.findFirst({ where: eq(ltiPerson.sub, 'pupil-r1') })).toBeUndefined();
    expect(must(await takePlatformRoster(as, courseId, false))).toMatchObject({ joined: 0, removed: 0 });
    expect(must(await planPlatformRoster(as, courseId)).lines.map(({ will }) => will)).toEqual(['stay', 'stay']);
    const who = () => app.db.query.ltiPerson.findFirst({ where: and(eq(ltiPerson.sub, 'pupil-r1')) });
    const before = await who();
    await launched(app, at, { sub: 'pupil-r1', name: 'Jory Whin' });
    expect((await who())?.personId).toBe(before?.personId);
    at.services['/members'] = () => new Response('', { status: 500 });
    expect(await planPlatformRoster(as, courseId)).toMatchObject({ ok: false, code: 'notReached' });
  });
});

describe('a process that is killed as it sends', () => {
  it('loses nothing: once its hold on the row has run out another sends the same score, of the same moment', async () => {
    const { releaseId, pupil } = await linked();
    await sendDue(app);
    sent = [];
    must(await setMark(as, releaseId, pupil.person.id, { points: 2, reason: 'On paper' }));
    // The platform has the score, but its answer never comes back.
    const answers = at.services['/lines/1/scores'];
    const received = new Promise<Record<string, unknown>>((resolve) => {
      at.services['/lines/1/scores'] = async (request) => {
        resolve((await request.json()) as Record<string, unknown>);
        return new Promise(() => {});
      };
    });
    const other = otherProcess(app.config.data, { LTI_LOOPBACK: '1' });
    const ended = expect(other.call('sendDue')).rejects.toThrow('has ended');
    const first = await received;
    other.end();
    await ended;
    if (answers) at.services['/lines/1/scores'] = answers;

    // It is nobody's to send while the dead process may still live.
    await sendDue(app);
    expect(sent).toEqual([]);
    expect(await cell(releaseId, pupil.person.id)).toMatchObject({ sending: { state: 'waiting' } });
    await sendDue({ ...app, now: () => new Date(Date.now() + 61_000) });
    expect(sent.map(({ body }) => body)).toEqual([first]);
    expect(await rows(pupil.person.id)).toMatchObject([{ state: 'arrived', leasedUntil: null }]);
  });
});
