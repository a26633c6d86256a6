import { randomUUID } from 'node:crypto';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import { createOTP } from '@better-auth/utils/otp';
import { desc, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { changeInstallation, openInstallation } from '../src/server/accounts/installation';
import { clearCounts, mayOnceMore } from '../src/server/accounts/limit';
import { passwordProblem } from '../src/server/accounts/password';
import { makePerson, resetLearnerPassword } from '../src/server/accounts/people';
import { myEvents } from '../src/server/accounts/securityLog';
import { endOtherSessions, endSession, listSessions } from '../src/server/accounts/sessions';
import { sweep } from '../src/server/accounts/sweep';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { changeCourse } from '../src/server/courses/courses';
import { answerInvitation, listInvitations } from '../src/server/courses/invitations';
import { joinCourse, registerWith } from '../src/server/courses/join';
import { importRoster, listRoster, planRoster } from '../src/server/courses/roster';
import { requestCount, securityEvent, user } from '../src/server/database/accountTables';
import { move, question, sitting } from '../src/server/database/tables';
import { finish } from '../src/server/sittings/finish';
import { saveNew, setDeleted } from '../src/server/vault/questions';
import { course, learner, must, release, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let folder: string;
let done: () => void;
let odile: As<Teacher>;
let courseId: string;
beforeAll(async () => {
  ({ app, folder, done } = await testApp());
  odile = await teacher(app, 'odile');
  courseId = await course(odile);
});
afterAll(() => done());

const PASSWORD = 'seedlings-26';
/** Asks the sign-in library as a browser does. */
async function auth(path: string, body: object, cookie = ''): Promise<Response> {
  const headers = {
    'content-type': 'application/json',
    origin: 'http://127.0.0.1:4321',
    host: '127.0.0.1:4321',
    'x-client-ip': '203.0.113.5',
    cookie,
  };
  return app.auth.handler(
    new Request(`http://127.0.0.1:4321/api/auth${path}`, { method: 'POST', headers, body: JSON.stringify(body) }),
  );
}
const signIn = (username: string, password: string, cookie = '') =>
  auth('/sign-in/username', { username, password }, cookie);
const cookiesOf = (...answers: Response[]) =>
  answers
    .flatMap((answer) => answer.headers.getSetCookie().flatMap((one) => one.split(';')[0] ?? []))
    .filter((candidate) => !candidate.endsWith('='))
    .join('; ');
const PEOPLE = [
  ['anne-marie', 'Anne-Marie'],
  ['moss@tarn.example', 'MOSS@tarn.example'],
  // Composed of a letter and a mark, as some keyboards send it.
  ['\u017eofie', 'Z\u030cofie'],
  ['василий', 'ВАСИЛИЙ'],
  ['李小龍', '李小龍'],
] as const;

describe('user names', () => {
  it.each(PEOPLE)('%s signs in, typed as %s, and nobody else can be called so', async (username, typed) => {
    const person = { name: 'Somebody', username, password: PASSWORD, role: 'learner', madeBy: null } as const;
    must(await makePerson(app, person));
    expect((await signIn(typed, PASSWORD)).status).toBe(200);
    expect((await signIn(typed, 'not it at all')).status).toBe(401);
    expect(await makePerson(app, { ...person, username: typed })).toMatchObject({ ok: false, code: 'nameTaken' });
  });
});

let n = 0;
const someone = () => learner(odile, courseId, `learner.${++n}`);

describe('signing in', () => {
  it('counts wrong passwords before they are looked at: of many at once no more than five are', async () => {
    const who = await someone();
    const name = who.person.username ?? '';
    const answers = await Promise.all(Array.from({ length: 20 }, () => signIn(name, 'not it at all')));
    expect(answers.filter(({ status }) => status === 401)).toHaveLength(5);
    expect(answers.filter(({ status }) => status === 429)).toHaveLength(15);
    expect((await signIn(name, PASSWORD)).status).toBe(429);
    // A new password opens it again.
    must(await resetLearnerPassword(odile, who.person.id, 'another-seed-27'));
    expect((await signIn(name, 'another-seed-27')).status).toBe(200);
  });

  it('is not shut by others in a browser where the owner has signed in before', async () => {
    const name = (await someone()).person.username ?? '';
    const known = cookiesOf(await signIn(name, PASSWORD));
    for (let i = 0; i < 6; i++) await signIn(name, 'not it at all');
    expect((await signIn(name, PASSWORD)).status).toBe(429);
    expect((await signIn(name, PASSWORD, known)).status).toBe(200);
    expect((await signIn(name, PASSWORD, known.replace(/(known=)./, '$1x'))).status).not.toBe(429);
  });

  it('is limited by address too, by the minute: a class that signs in one after another is not', async () => {
    const from = (address: string) =>
      app.auth.handler(
        new Request('http://127.0.0.1:4321/api/auth/sign-in/username', {
          method: 'POST',
          headers: {
            'content-type': 'application/json',
            origin: 'http://127.0.0.1:4321',
            host: '127.0.0.1:4321',
            'x-client-ip': address,
          },
          // No user name is that short: nothing is hashed.
          body: JSON.stringify({ username: 'x', password: PASSWORD }),
        }),
      );
    const key = 'sign-in-address 203.0.113.77';
    await from('203.0.113.77');
    await app.db.update(requestCount).set({ count: 300 }).where(eq(requestCount.key, key));
    const refused = await from('203.0.113.77');
    expect([refused.status, await refused.json()]).toEqual([429, expect.objectContaining({ code: 'ADDRESS_SHUT' })]);
    expect((await from('203.0.113.78')).status).not.toBe(429);
    // A minute after the first of them it begins anew, whatever came in between.
    await app.db
      .update(requestCount)
      .set({ since: Date.now() - 61_000 })
      .where(eq(requestCount.key, key));
    expect((await from('203.0.113.77')).status).not.toBe(429);
  });

  it('is noted, taken or refused', async () => {
    const who = await someone();
    await signIn(who.person.username ?? '', 'not it at all');
    await signIn(who.person.username ?? '', PASSWORD);
    expect((await myEvents(who)).map(({ what, address }) => [what, address])).toEqual([
      ['signedIn', '203.0.113.5'],
      ['signInRefused', '203.0.113.5'],
      ['accountMade', null],
    ]);
    expect(JSON.stringify(await app.db.select().from(securityEvent))).not.toContain(PASSWORD);
  });

  it('is listed, and ended one by one or everywhere', async () => {
    const who = await someone();
    const [here] = [
      await signIn(who.person.username ?? '', PASSWORD),
      await signIn(who.person.username ?? '', PASSWORD),
      await signIn(who.person.username ?? '', PASSWORD),
    ];
    const token =
      decodeURIComponent(/session_token=([^;]+)/.exec(here?.headers.getSetCookie().join() ?? '')?.[1] ?? '').split(
        '.',
      )[0] ?? '';
    const rows = await listSessions(who, token);
    expect(rows.map((row) => row.here).filter(Boolean)).toHaveLength(1);
    const other = rows.find((row) => !row.here);
    must(await endSession(who, other?.id ?? ''));
    expect(await endSession(await someone(), rows[0]?.id ?? '')).toMatchObject({ code: 'notFound' });
    expect(must(await endOtherSessions(who, token))).toEqual({ ended: 1 });
    expect(await listSessions(who, token)).toMatchObject([{ here: true }]);
    // Looked up each time: what is ended is ended.
    const cookie = cookiesOf(here as Response);
    expect(await app.auth.api.getSession({ headers: new Headers({ cookie }) })).not.toBeNull();
    await endOtherSessions(who, 'none of them');
    expect(await app.auth.api.getSession({ headers: new Headers({ cookie }) })).toBeNull();
  });
});

describe('a password', () => {
  it('is not one that many have, nor the user name', async () => {
    for (const common of ['password', '12345678', 'Password1', 'iloveyou1'])
      expect(passwordProblem(common, 'wren')).toMatch(/Many people/);
    expect(passwordProblem('wren.tallow', 'Wren.Tallow')).toMatch(/user name/);
    expect(passwordProblem(PASSWORD, 'wren')).toBeNull();
    expect(
      await makePerson(app, { name: 'x', username: 'common.one', password: 'password', role: 'learner', madeBy: null }),
    ).toMatchObject({
      code: 'invalid',
      problems: [{ path: 'password' }],
    });
  });

  it('that is changed is asked for the present one five times at most, and is noted', async () => {
    const who = await someone();
    const cookie = cookiesOf(await signIn(who.person.username ?? '', PASSWORD));
    const change = (currentPassword: string, newPassword: string) =>
      auth('/change-password', { currentPassword, newPassword, revokeOtherSessions: true }, cookie);
    expect((await change(PASSWORD, 'password')).status).toBe(422);
    for (let i = 0; i < 4; i++) expect((await change('not it at all', 'another-seed-27')).status).toBe(400);
    expect((await change(PASSWORD, 'another-seed-27')).status).toBe(429);
    await app.db.delete(requestCount);
    expect((await change(PASSWORD, 'another-seed-27')).status).toBe(200);
    expect((await myEvents(who))[0]?.what).toBe('passwordChanged');
  });
});

describe('a second factor', () => {
  it('is asked for once it is confirmed; a recovery code holds once', async () => {
    const name = odile.person.username ?? '';
    const cookie = cookiesOf(await signIn(name, PASSWORD));
    const begun = (await (await auth('/two-factor/enable', { password: PASSWORD }, cookie)).json()) as {
      totpURI: string;
      backupCodes: string[];
    };
    const secret = new URL(begun.totpURI).searchParams.get('secret') ?? '';
    const decoded = Buffer.from(base32(secret)).toString();
    const code = async () => ({ code: await createOTP(decoded).totp() });
    // Until it is confirmed nothing is asked.
    expect((await (await signIn(name, PASSWORD)).json()) as object).not.toHaveProperty('twoFactorRedirect');
    expect((await auth('/two-factor/verify-totp', await code(), cookie)).status).toBe(200);
    const halfway = await signIn(name, PASSWORD);
    expect(await halfway.clone().json()).toMatchObject({ twoFactorRedirect: true });
    expect(cookiesOf(halfway)).not.toContain('session_token');
    expect((await auth('/two-factor/verify-totp', { code: '000000' }, cookiesOf(halfway))).status).toBe(401);
    const through = await auth('/two-factor/verify-totp', await code(), cookiesOf(halfway));
    expect([through.status, cookiesOf(through)]).toEqual([200, expect.stringContaining('session_token')]);
    const recovery = { code: begun.backupCodes[0] };
    expect(
      (await auth('/two-factor/verify-backup-code', recovery, cookiesOf(await signIn(name, PASSWORD)))).status,
    ).toBe(200);
    expect(
      (await auth('/two-factor/verify-backup-code', recovery, cookiesOf(await signIn(name, PASSWORD)))).status,
    ).toBe(401);
    expect((await auth('/two-factor/disable', { password: PASSWORD }, cookiesOf(through))).status).toBe(200);
    expect((await (await signIn(name, PASSWORD)).json()) as object).not.toHaveProperty('twoFactorRedirect');
  });
});

/** RFC 4648, 6. */
function base32(text: string): number[] {
  const bits = [...text.replace(/=+$/, '')]
    .map((sign) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(sign).toString(2).padStart(5, '0'))
    .join('');
  return (bits.match(/.{8}/g) ?? []).map((byte) => Number.parseInt(byte, 2));
}

describe('joining', () => {
  it('is limited by address, and by codes that are none', async () => {
    const { join } = must(await changeCourse(odile, courseId, { join: { until: null } }));
    const from = (address: string) => ({ ...app, address });
    const guess = () =>
      registerWith(from('203.0.113.9'), 'ABCDEFGH', {
        name: 'x',
        username: randomUUID().slice(0, 8),
        password: PASSWORD,
      });
    for (let i = 0; i < 10; i++) expect(await guess()).toMatchObject({ code: 'invalid' });
    expect(await guess()).toMatchObject({ code: 'tooMany' });
    must(
      await registerWith(from('203.0.113.10'), join?.code ?? '', {
        name: 'Bryony Keld',
        username: 'bryony.joins',
        password: PASSWORD,
      }),
    );
    const who = await someone();
    for (let i = 0; i < 10; i++) await joinCourse({ ...who, address: '203.0.113.11' }, 'ABCDEFGH');
    expect(await joinCourse({ ...who, address: '203.0.113.11' }, 'ABCDEFGH')).toMatchObject({ code: 'tooMany' });
  });
});

describe('bringing an account into a course', () => {
  it('by a teacher who does not know the person asks them, and tells no name', async () => {
    const fern = await teacher(app, 'fern');
    const ferns = await course(fern);
    const wren: As<Learner> = {
      ...app,
      person: {
        id: must(
          await makePerson(app, {
            name: 'Wren Tallow',
            username: 'wren',
            password: PASSWORD,
            role: 'learner',
            madeBy: odile.person.id,
          }),
        ).id,
        name: 'Wren Tallow',
        username: 'wren',
        role: 'learner',
      },
    };
    const plan = must(await planRoster(fern, ferns, '?,wren'));
    expect(plan.lines).toMatchObject([{ username: 'wren', will: 'invite', name: '?', knownAs: null }]);
    expect(JSON.stringify(plan)).not.toContain('Tallow');
    expect(must(await importRoster(fern, ferns, '?,wren', false))).toMatchObject({ joined: 0, invited: 1, made: [] });
    expect(must(await listRoster(fern, ferns)).rows).toEqual([]);
    expect(await listInvitations(wren)).toEqual([
      { courseId: ferns, course: 'Tarn Hollow induction', teacher: 'fern' },
    ]);
    expect(await answerInvitation(await someone(), ferns, true)).toMatchObject({ code: 'notFound' });
    must(await answerInvitation(wren, ferns, true));
    expect(must(await listRoster(fern, ferns)).rows.map(({ name }) => name)).toEqual(['Wren Tallow']);
    // Who teaches them in one course knows them in another.
    expect(must(await planRoster(fern, await course(fern), '?,wren')).lines).toMatchObject([
      { will: 'join', name: 'Wren Tallow' },
    ]);
  });

  it('is done at once where an administrator has allowed it for all', async () => {
    const gorse = await teacher(app, 'gorse');
    expect(await changeInstallation(gorse, { directEnrolment: true })).toMatchObject({ code: 'notAllowed' });
    await app.db.update(user).set({ isAdmin: true }).where(eq(user.id, odile.person.id));
    must(await changeInstallation(odile, { directEnrolment: true }));
    expect(must(await openInstallation(gorse))).toEqual({ directEnrolment: true, mayChange: false });
    expect(must(await planRoster(gorse, await course(gorse), '?,wren')).lines).toMatchObject([
      { will: 'join', name: '?' },
    ]);
    must(await changeInstallation(odile, { directEnrolment: false }));
  });
});

describe('what is kept', () => {
  it('is for its owner alone', () => {
    const mode = (path: string) => (statSync(path).mode & 0o777).toString(8);
    expect([
      mode(folder),
      mode(join(folder, 'vault-drop.db')),
      mode(join(folder, 'secret')),
      mode(join(folder, 'incoming')),
    ]).toEqual(['700', '600', '600', '700']);
  });

  it('is kept as long as is set: counts, events, the bin, attempts', async () => {
    const days = (n: number) => ({ ...app, now: () => new Date(Date.now() + n * 24 * 3600 * 1000) });
    await mayOnceMore(app, 'upload', 'x');
    await clearCounts(app);
    expect(await app.db.select().from(requestCount).where(eq(requestCount.key, 'upload x'))).toHaveLength(1);
    const deleted = seeds({ title: 'Deleted' });
    must(await saveNew(odile, deleted));
    must(await setDeleted(odile, deleted.id, true));
    const sat = await sitter(await someone(), await release(odile, courseId, seeds()));
    await sat.take(sat.put('barley', 'dry'));
    must(
      await finish(
        {
          ...app,
          person: {
            id: (await app.db.select().from(sitting).where(eq(sitting.id, sat.view.id)))[0]?.learnerId ?? '',
            name: '',
            username: '',
            role: 'learner',
          },
        },
        sat.view.id,
      ),
    );
    const kept = async () => [
      (await app.db.select().from(question).where(eq(question.id, deleted.id))).length,
      (await app.db.select().from(move).where(eq(move.sittingId, sat.view.id))).length > 0,
      (await app.db.select().from(securityEvent).orderBy(desc(securityEvent.n))).length > 0,
      (await app.db.select().from(requestCount)).length > 0,
    ];
    const keep = { binDays: 30, logDays: 60, attemptDays: 365 };
    const later = (n: number) => ({ ...days(n), config: { ...app.config, keep } });
    await sweep(later(10));
    expect(await kept()).toEqual([1, true, true, false]);
    await sweep(later(31));
    expect(await kept()).toEqual([0, true, true, false]);
    await sweep(later(61));
    expect(await kept()).toEqual([0, true, false, false]);
    await sweep(later(366));
    expect(await kept()).toEqual([0, false, false, false]);
  });
});
