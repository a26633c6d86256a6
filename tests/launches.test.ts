import { randomUUID } from 'node:crypto';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { exportJWK, generateKeyPair, type JWTPayload } from 'jose';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { personOf } from '../src/server/accounts/session';
import type { App } from '../src/server/app';
import type { As, Teacher } from '../src/server/context';
import { securityEvent, user } from '../src/server/database/accountTables';
import { course, courseLearner, courseTeacher, ltiContext, ltiPerson } from '../src/server/database/tables';
import { CLAIM, roleIn } from '../src/server/lti/claims';
import { answerDeepLink, openDeepLink } from '../src/server/lti/deepLink';
import { publicKeys, signed, turnKey } from '../src/server/lti/keys';
import { addPlatform, platformFor } from '../src/server/lti/platforms';
import { answerSamePerson, maybeSame } from '../src/server/lti/samePerson';
import { publish } from '../src/server/releases/publish';
import { saveNew } from '../src/server/vault/questions';
import { must, seeds, teacher, testApp } from './support/app';
import {
  Browser,
  CLIENT,
  type Claimed,
  claims,
  DEPLOYMENT,
  ISSUER,
  LEARNS,
  launched,
  type School,
  school,
  TEACHES,
} from './support/school';

let app: App;
let done: () => void;
let at: School;
let courseId: string;
let releaseId: string;
let other: string;
beforeAll(async () => {
  ({ app, done } = await testApp({ LTI_LOOPBACK: '1' }));
  at = await school(app);
  await launched(app, at, { sub: 'teacher-1', name: 'Maren Holt', roles: [TEACHES] });
  const [made] = await app.db.select().from(course);
  courseId = made?.id ?? '';
  const maren = await asPerson('teacher-1');
  releaseId = await published(maren, courseId);
  const odile = await teacher(app, 'odile');
  const elsewhere = randomUUID();
  await app.db
    .insert(course)
    .values({ id: elsewhere, title: 'Elsewhere', ownerId: odile.person.id, createdAt: new Date() });
  other = await published(odile, elsewhere);
});
afterAll(async () => {
  await at.end();
  done();
});

async function asPerson(sub: string): Promise<As<Teacher>> {
  const found = await app.db.query.ltiPerson.findFirst({ where: eq(ltiPerson.sub, sub) });
  const row = await app.db.query.user.findFirst({ where: eq(user.id, found?.personId ?? '') });
  return { ...app, person: { id: row?.id ?? '', name: row?.name ?? '', username: null, role: 'teacher' } };
}

async function published(as: As<Teacher>, into: string): Promise<string> {
  const question = seeds();
  must(await saveNew(as, question));
  return must(await publish(as, { id: randomUUID(), courseId: into, questionId: question.id, revision: 1 })).id;
}

const whoIs = async (browser: Browser) =>
  (
    await personOf(
      app.auth,
      new Headers({ cookie: [...browser.cookies].map(([name, value]) => `${name}=${value}`).join('; ') }),
    )
  ).person;

describe('a launch', () => {
  it('signs a learner in, puts them on the course, and goes on to what is linked', async () => {
    const { answer, browser } = await launched(app, at, { sub: 'pupil-1', name: 'Pippa Lorne', release: releaseId });
    expect([answer.status, answer.headers.get('location')]).toEqual([303, `/sit/${releaseId}`]);
    expect(await whoIs(browser)).toMatchObject({ name: 'Pippa Lorne', role: 'learner', username: null });
    const [on] = await app.db.select().from(courseLearner).where(eq(courseLearner.courseId, courseId));
    expect(on?.learnerId).toBe((await whoIs(browser))?.id);
  });

  it('finds the same person again, whose name follows the platform’s, and never somebody by a name', async () => {
    const first = await whoIs((await launched(app, at, { sub: 'pupil-1' })).browser);
    const again = await whoIs((await launched(app, at, { sub: 'pupil-1', name: 'Pippa Lorne-Whin' })).browser);
    const namesake = await whoIs((await launched(app, at, { sub: 'Pupil-1', name: 'Pippa Lorne' })).browser);
    expect(again).toMatchObject({ id: first?.id, name: 'Pippa Lorne-Whin' });
    expect(namesake?.id).not.toBe(first?.id);
    const unnamed = await whoIs((await launched(app, at, { sub: 'pupil-9', name: undefined })).browser);
    expect(unnamed?.name).toMatch(/^Learner \d+$/);
  });

  it('makes the course at a teacher’s first launch, with its title, and lets a second teacher teach it', async () => {
    const context = { id: 'course-2', title: 'Drying room' };
    const one = await launched(app, at, { sub: 'teacher-1', name: 'Maren Holt', roles: [TEACHES], context });
    const made = await app.db.query.course.findFirst({ where: eq(course.title, 'Drying room') });
    expect(one.answer.headers.get('location')).toBe(`/courses/${made?.id}`);
    const assistant = ['http://purl.imsglobal.org/vocab/lis/v2/membership/Instructor#TeachingAssistant', LEARNS];
    const two = await launched(app, at, { sub: 'teacher-2', name: 'Corin Ashby', roles: assistant, context });
    expect(two.answer.headers.get('location')).toBe(`/courses/${made?.id}`);
    const teachers = await app.db
      .select()
      .from(courseTeacher)
      .where(eq(courseTeacher.courseId, made?.id ?? ''));
    expect(teachers.map(({ personId }) => personId)).toEqual([(await whoIs(two.browser))?.id]);
    const results = await launched(app, at, { sub: 'teacher-1', roles: [TEACHES], release: releaseId });
    expect(results.answer.headers.get('location')).toBe(`/releases/${releaseId}/results`);
  });

  it('makes no course for a learner, opens no release of another course, and lets nobody in by roles elsewhere', async () => {
    const early = await launched(app, at, { context: { id: 'course-3' } });
    expect([early.answer.status, early.browser.said?.refusal?.says]).toEqual([404, 'notOpened']);
    expect(await app.db.query.ltiContext.findFirst({ where: eq(ltiContext.contextId, 'course-3') })).toBeUndefined();
    for (const release of [other, randomUUID(), 'no id'])
      for (const roles of [[LEARNS], [TEACHES]]) {
        const { answer, browser } = await launched(app, at, { sub: `${roles[0]}`, roles, release });
        expect([answer.status, browser.said?.refusal?.says, await whoIs(browser)]).toEqual([404, 'notHere', null]);
      }
    const professor = 'http://purl.imsglobal.org/vocab/lis/v2/institution/person#Instructor';
    const admin = 'http://purl.imsglobal.org/vocab/lis/v2/system/person#Administrator';
    const mentor = 'http://purl.imsglobal.org/vocab/lis/v2/membership#Mentor';
    for (const roles of [[professor], [admin], [mentor], []])
      expect((await launched(app, at, { sub: 'guest', roles })).answer.status).toBe(403);
    expect([roleIn([professor, LEARNS]), roleIn(['Instructor'])]).toEqual(['learner', 'teacher']);
  });

  it('keeps courses of other deployments apart', async () => {
    must(
      await addPlatform(app, {
        ...{ name: 'Tarn Hollow School', issuer: ISSUER, clientId: CLIENT, deployments: ['spring'] },
        ...{
          authUrl: `${at.address}/authorize?realm=tarn`,
          tokenUrl: `${at.address}/token`,
          jwksUrl: `${at.address}/jwks`,
        },
      }),
    );
    const { answer } = await launched(app, at, { release: releaseId, more: { [CLAIM.deployment]: 'spring' } });
    expect(answer.status).toBe(404);
  });
});

describe('in a frame, or in another browser', () => {
  it('signs nobody in before a press, which is good once', async () => {
    for (const isOther of [false, true]) {
      const browser = new Browser(app);
      const { state, nonce } = await browser.begin();
      const shown = isOther ? new Browser(app) : browser;
      const token = await at.sign(claims(nonce, { release: releaseId }));
      const answer = await shown.launch({ state, id_token: token }, isOther ? {} : { 'sec-fetch-dest': 'iframe' });
      expect([answer.status, await whoIs(shown)]).toEqual([200, null]);
      const press = shown.said?.press;
      expect(press).toMatchObject({ name: 'Pippa Lorne', platform: 'Tarn Hollow School' });
      const form = { launch: press?.launch ?? '', ticket: press?.ticket ?? '' };
      expect((await new Browser(app).goOn({ ...form, ticket: 'guessed' })).status).toBe(400);
      const pressed = await shown.goOn(form);
      expect([pressed.status, pressed.headers.get('location')]).toEqual([303, `/sit/${releaseId}`]);
      expect((await whoIs(shown))?.name).toBe('Pippa Lorne');
      expect((await new Browser(app).goOn(form)).status).toBe(400);
    }
  });
});

describe('what is refused', () => {
  const attempt = async (change: (payload: JWTPayload) => JWTPayload, by?: Parameters<School['sign']>[1]) => {
    const browser = new Browser(app);
    const { state, nonce } = await browser.begin();
    const answer = await browser.launch({ state, id_token: await at.sign(change(claims(nonce)), by) });
    expect([answer.status, await whoIs(browser)]).toEqual([400, null]);
    return browser.said?.refusal?.why ?? '';
  };
  const seconds = () => Math.floor(Date.now() / 1000);

  it.each<[string, (payload: JWTPayload) => JWTPayload, RegExp]>([
    ['another issuer', (payload) => ({ ...payload, iss: 'https://school.tarnhollow.example' }), /iss/],
    ['another audience', (payload) => ({ ...payload, aud: 'tool-8' }), /aud/],
    ['more audiences', (payload) => ({ ...payload, aud: [CLIENT, 'tool-8'] }), /aud/],
    ['another authorised party', (payload) => ({ ...payload, azp: 'tool-8' }), /azp/],
    ['past its time', (payload) => ({ ...payload, iat: seconds() - 700, exp: seconds() - 400 }), /exp/],
    ['without an end', ({ exp: _, ...payload }) => payload, /exp/],
    ['from long ago', (payload) => ({ ...payload, iat: seconds() - 86_400 }), /iat/],
    ['from the future', (payload) => ({ ...payload, iat: seconds() + 600 }), /iat/],
    ['another nonce', (payload) => ({ ...payload, nonce: 'guessed' }), /nonce/],
    ['no nonce', ({ nonce: _, ...payload }) => payload, /nonce/],
    ['nobody', ({ sub: _, ...payload }) => payload, /sub/],
    ['another deployment', (payload) => ({ ...payload, [CLAIM.deployment]: 'summer' }), /deployment/],
    ['another version', (payload) => ({ ...payload, [CLAIM.version]: '1.1' }), /version/],
    ['another message', (payload) => ({ ...payload, [CLAIM.messageType]: 'LtiSubmissionReview' }), /not understood/],
    ['no course', ({ [CLAIM.context]: _, ...payload }) => payload, /context/],
    ['no link', ({ [CLAIM.link]: _, ...payload }) => payload, /which link/],
  ])('a token with %s', async (_, change, why) => {
    expect(await attempt(change)).toMatch(why);
  });

  it('a token that its platform has not signed', async () => {
    const { privateKey, publicKey } = await generateKeyPair('RS256');
    expect(await attempt((payload) => payload, { key: privateKey })).toMatch(/not signed by its platform/);
    const jwk = await exportJWK(publicKey);
    const header = { kid: 'mine', jwk, jku: `${at.address}/mine`, x5u: `${at.address}/mine` };
    expect(await attempt((payload) => payload, { key: privateKey, header })).toMatch(
      /key that its platform does not have/,
    );
    expect(await attempt((payload) => payload, { header: { kid: '' } })).toMatch(/kid/);
  });

  it('a token signed in another way, or not at all', async () => {
    const secret = new TextEncoder().encode(JSON.stringify(await publicKeys(app.config, new Date())));
    expect(await attempt((payload) => payload, { key: secret, header: { alg: 'HS256' } })).toMatch(/RS256/);
    const browser = new Browser(app);
    const { state, nonce } = await browser.begin();
    const part = (value: unknown) => Buffer.from(JSON.stringify(value)).toString('base64url');
    const bare = `${part({ alg: 'none', kid: at.kid })}.${part(claims(nonce))}.`;
    expect((await browser.launch({ state, id_token: bare })).status).toBe(400);
    const { state: next } = await browser.begin();
    expect((await browser.launch({ state: next, id_token: 'no token' })).status).toBe(400);
  });

  it('a launch that comes again, that nobody began, or that another login began', async () => {
    const browser = new Browser(app);
    const { state, nonce } = await browser.begin();
    const id_token = await at.sign(claims(nonce));
    expect((await browser.launch({ state, id_token })).status).toBe(303);
    expect((await browser.launch({ state, id_token })).status).toBe(400);
    expect(browser.said?.refusal?.why).toBe('It was used before.');
    expect((await browser.launch({ state: 'guessed', id_token })).status).toBe(400);
    const { state: later } = await browser.begin();
    expect((await browser.launch({ state: later, id_token })).status).toBe(400);
    expect(browser.said?.refusal?.why).toMatch(/nonce/);
  });

  it('two launches with one login at the same time: one is taken', async () => {
    const browser = new Browser(app);
    const { state, nonce } = await browser.begin();
    const id_token = await at.sign(claims(nonce));
    const answers = await Promise.all(Array.from({ length: 6 }, () => browser.launch({ state, id_token })));
    expect(answers.map(({ status }) => status).toSorted()).toEqual([303, 400, 400, 400, 400, 400]);
  });

  it('a login that took too long, of a platform that is not known, or without what it needs', async () => {
    const slow = { ...app, now: () => new Date(Date.now() - 11 * 60_000) };
    const begun = new Browser(slow);
    const { state, nonce } = await begun.begin();
    expect((await new Browser(app).launch({ state, id_token: await at.sign(claims(nonce)) })).status).toBe(400);
    const wrong: Record<string, string>[] = [
      { iss: 'https://else.example' },
      { login_hint: '' },
      { target_link_uri: '' },
      { client_id: 'x' },
    ];
    for (const given of wrong) expect((await new Browser(app).login(given)).status).toBe(400);
  });

  it('and stands among the security events', async () => {
    const rows = await app.db.select().from(securityEvent).where(eq(securityEvent.what, 'launchRefused'));
    expect(rows.map(({ detail }) => detail)).toContain('It was used before.');
  });

  it('a key that is not known is asked for once in half a minute', async () => {
    let asked = 0;
    const jwks = at.services['/jwks'];
    at.services['/jwks'] = (request) => {
      asked++;
      return (jwks as NonNullable<typeof jwks>)(request);
    };
    for (let i = 0; i < 5; i++) await attempt((payload) => payload, { header: { kid: `forged ${i}` } });
    expect(asked).toBeLessThanOrEqual(1);
  });
});

describe('a login', () => {
  it('goes on to the platform’s address with what that has, and binds itself to the browser', async () => {
    const answer = await new Browser(app).login({ lti_message_hint: 'a hint', lti_deployment_id: DEPLOYMENT });
    const location = new URL(answer.headers.get('location') ?? '');
    expect([answer.status, location.pathname, Object.fromEntries(location.searchParams)]).toMatchObject([
      ...[302, '/authorize'],
      {
        ...{ realm: 'tarn', scope: 'openid', response_type: 'id_token', response_mode: 'form_post', prompt: 'none' },
        ...{ client_id: CLIENT, redirect_uri: 'http://127.0.0.1:4321/lti/launch', login_hint: 'x' },
        lti_message_hint: 'a hint',
      },
    ]);
    const [crossSite] = answer.headers.getSetCookie();
    expect(crossSite).toMatch(/Path=\/lti; HttpOnly; Max-Age=600; SameSite=None; Secure; Partitioned/);
  });

  it('of an issuer with two registrations is known by its deployment, else refused', async () => {
    const addresses = { authUrl: `${at.address}/a`, tokenUrl: `${at.address}/t`, jwksUrl: `${at.address}/j` };
    const issuer = 'https://two.tarnhollow.example';
    for (const [clientId, deployment] of [
      ['one', '1'],
      ['two', '2'],
    ] as const)
      must(await addPlatform(app, { name: 'Two', issuer, clientId, deployments: [deployment], ...addresses }));
    expect((await platformFor(app, issuer, 'two', null))?.clientId).toBe('two');
    expect((await platformFor(app, issuer, null, '1'))?.clientId).toBe('one');
    expect(await platformFor(app, issuer, null, null)).toBeNull();
    expect(await platformFor(app, issuer, null, '3')).toBeNull();
  });
});

describe('our own keys', () => {
  it('lie in a file for its owner alone, and are offered for two days after they were turned over', async () => {
    const before = await publicKeys(app.config, new Date());
    expect(statSync(join(app.config.data, 'lti-keys.json')).mode & 0o777).toBe(0o600);
    const kid = await turnKey(app.config, new Date());
    const after = await publicKeys(app.config, new Date());
    expect(after.keys.map((key) => key.kid)).toEqual([kid, before.keys[0]?.kid]);
    expect(JSON.stringify(after)).not.toContain('"d"');
    const token = await signed(app.config, new Date(), { aud: 'x' });
    expect(JSON.parse(Buffer.from(token.split('.')[0] ?? '', 'base64url').toString())).toMatchObject({
      alg: 'RS256',
      kid,
    });
    const later = await publicKeys(app.config, new Date(Date.now() + 49 * 3600 * 1000));
    expect(later.keys.map((key) => key.kid)).toEqual([kid]);
  });
});

const asksForLink = (settings: Record<string, unknown> = {}): Claimed['more'] => ({
  [CLAIM.messageType]: 'LtiDeepLinkingRequest',
  [CLAIM.link]: undefined,
  [CLAIM.deepLinking]: {
    ...{
      deep_link_return_url: `${at.address}/back?course=7`,
      accept_types: ['link', 'ltiResourceLink'],
      data: 'theirs',
    },
    accept_presentation_document_targets: ['window'],
    ...settings,
  },
});
const bodyOf = (jwt: string) => JSON.parse(Buffer.from(jwt.split('.')[1] ?? '', 'base64url').toString()) as JWTPayload;

describe('choosing what is linked', () => {
  const asked = async (settings: Record<string, unknown> = {}) => {
    const claimed = { sub: 'teacher-1', name: 'Maren Holt', roles: [TEACHES], more: asksForLink(settings) };
    const { answer } = await launched(app, at, claimed as Claimed);
    const location = answer.headers.get('location') ?? '';
    expect(location).toMatch(/^\/lti\/deep-link\?launch=[0-9a-f-]{36}$/);
    return location.split('=')[1] ?? '';
  };
  const base = 'http://127.0.0.1:4321';

  it('sends a release of the course back, signed, with the line of its marks', async () => {
    const as = await asPerson('teacher-1');
    const launch = await asked();
    expect(must(await openDeepLink(as, launch)).releases).toMatchObject([{ id: releaseId }]);
    const { action, jwt } = must(await answerDeepLink(as, launch, { releaseId }, base));
    expect(action).toBe(`${at.address}/back?course=7`);
    expect(bodyOf(jwt)).toMatchObject({
      ...{ iss: CLIENT, aud: ISSUER, nonce: expect.any(String) as string, [CLAIM.data]: 'theirs' },
      [CLAIM.messageType]: 'LtiDeepLinkingResponse',
      [CLAIM.deployment]: DEPLOYMENT,
      [CLAIM.contentItems]: [
        {
          ...{ type: 'ltiResourceLink', url: `${base}/lti/launch`, custom: { release: releaseId } },
          lineItem: { scoreMaximum: expect.any(Number) as number, resourceId: releaseId },
        },
      ],
    });
    const { exp = 0, iat = 0 } = bodyOf(jwt);
    expect(exp - iat).toBeLessThanOrEqual(300);
  });

  it('publishes a question once however often it is chosen, and another as another', async () => {
    const as = await asPerson('teacher-1');
    const launch = await asked({ accept_lineitem: false, data: undefined });
    const [one, two] = [seeds(), seeds()];
    for (const question of [one, two]) must(await saveNew(as, question));
    const chosen = async (questionId: string) => {
      const body = bodyOf(must(await answerDeepLink(as, launch, { questionId }, base)).jwt);
      expect(body[CLAIM.data]).toBeUndefined();
      const [item] = body[CLAIM.contentItems] as { custom: { release: string }; lineItem?: unknown }[];
      expect(item?.lineItem).toBeUndefined();
      return item?.custom.release;
    };
    const first = await chosen(one.id);
    expect(await chosen(one.id)).toBe(first);
    expect(await chosen(two.id)).not.toBe(first);
    expect(bodyOf(must(await answerDeepLink(as, launch, {}, base)).jwt)[CLAIM.contentItems]).toEqual([]);
  });

  it('is for the teacher who was launched, for what is theirs', async () => {
    const as = await asPerson('teacher-1');
    const launch = await asked();
    expect(await answerDeepLink(as, launch, { releaseId: other }, base)).toMatchObject({ ok: false, code: 'notFound' });
    expect(await answerDeepLink(as, launch, { questionId: randomUUID() }, base)).toMatchObject({ code: 'notFound' });
    const stranger = await teacher(app, 'stranger');
    expect(await openDeepLink(stranger, launch)).toMatchObject({ ok: false, code: 'notFound' });
    expect(await answerDeepLink(stranger, launch, { releaseId }, base)).toMatchObject({ ok: false, code: 'notFound' });
    const late = { ...as, now: () => new Date(Date.now() + 61 * 60_000) };
    expect(await openDeepLink(late, launch)).toMatchObject({ ok: false, code: 'notFound' });
    const learner = await launched(app, at, { more: asksForLink() ?? {} });
    expect(learner.answer.status).toBe(403);
    const markup = await asked({ accept_types: ['html'] });
    expect(await answerDeepLink(as, markup, { releaseId }, base)).toMatchObject({ ok: false, code: 'invalid' });
  });
});

describe('a teacher who has an account here', () => {
  it('says so once with its password, and then is that account', async () => {
    const tamsin = await teacher(app, 'tamsin');
    const browser = new Browser(app, tamsin.person);
    const context = { id: 'course-9', title: 'Cold store' };
    const first = async () => {
      const { state, nonce } = await browser.begin();
      return browser.launch({
        state,
        id_token: await at.sign(claims(nonce, { sub: 'teacher-9', roles: [TEACHES], context })),
      });
    };
    const path = (await first()).headers.get('location') ?? '';
    expect(path).toMatch(/^\/lti\/same-person\?launch=/);
    const launch = path.split('=')[1] ?? '';
    const as = await asPerson('teacher-9');
    expect(await maybeSame(as, launch)).toEqual({ name: 'tamsin', username: 'tamsin' });
    expect(await answerSamePerson(as, launch, 'wrong')).toMatchObject({ ok: false, code: 'wrongPassword' });
    const answered = must(await answerSamePerson(as, launch, 'seedlings-26'));
    const made = await app.db.query.course.findFirst({ where: eq(course.title, 'Cold store') });
    expect([answered, made?.ownerId]).toEqual([
      { personId: tamsin.person.id, path: `/courses/${made?.id}` },
      tamsin.person.id,
    ]);
    expect(await app.db.query.user.findFirst({ where: eq(user.id, as.person.id) })).toBeUndefined();
    // From then on she is not asked, and keeps her name.
    expect((await first()).headers.get('location')).toBe(`/courses/${made?.id}`);
    expect((await whoIs(browser))?.name).toBe('tamsin');
  });
});
