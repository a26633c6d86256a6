import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { OPERATIONS, type OperationName, operationAt, scopeOf, type TokenScope } from '../src/contract';
import { bearerOf, listTokens, makeToken, personOfToken, takeTokenBack } from '../src/server/accounts/tokens';
import type { App } from '../src/server/app';
import type { As, Teacher } from '../src/server/context';
import { accessToken } from '../src/server/database/accountTables';
import { must, teacher, testApp } from './support/app';

let app: App;
let done: () => void;
let odile: As<Teacher>;
beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
});
afterAll(() => done());

const made = async (scopes: TokenScope[], days = 1) =>
  must(await makeToken(odile, { id: randomUUID(), name: 'A script', scopes, days }));
const VAULT = { method: 'GET', pathname: '/api/questions' };

describe('an access token', () => {
  it('is the teacher’s who made it, within its scopes', async () => {
    const { token } = await made(['read']);
    expect(await personOfToken(app, token, VAULT)).toMatchObject({ id: odile.person.id, role: 'teacher' });
    for (const [method, pathname] of [
      ['POST', '/api/questions'],
      ['POST', '/api/releases'],
      ['GET', `/api/courses/${randomUUID()}/gradebook`],
      ['GET', `/courses/${randomUUID()}/gradebook.csv`],
      ['GET', `/api/courses/${randomUUID()}/learners`],
    ] as const)
      expect(await personOfToken(app, token, { method, pathname })).toMatchObject({ ok: false, code: 'notAllowed' });
    const all = await made(['author', 'publish', 'results']);
    expect(await personOfToken(app, all.token, VAULT)).toMatchObject({ code: 'notAllowed' });
    expect(await personOfToken(app, all.token, { method: 'POST', pathname: '/api/questions' })).not.toHaveProperty(
      'ok',
    );
  });

  it('opens no page, makes no token, ends no session and administers nothing', async () => {
    const { token } = await made(['read', 'author', 'publish', 'results']);
    for (const pathname of ['/', '/vault', '/api/nothing', `/courses/${randomUUID()}`])
      expect(await personOfToken(app, token, { method: 'GET', pathname })).toMatchObject({ code: 'notFound' });
    for (const [method, pathname] of [
      ['POST', '/api/account/tokens'],
      ['DELETE', '/api/account/sessions'],
      ['POST', '/api/platforms'],
      ['PUT', '/api/installation'],
      ['GET', '/api/me'],
    ] as const)
      expect(await personOfToken(app, token, { method, pathname })).toMatchObject({ code: 'notAllowed' });
  });

  it('is kept as a hash, told once, and made anew until it is used', async () => {
    const how = { id: randomUUID(), name: 'Twice', scopes: ['read'] as TokenScope[], days: 7 };
    const first = must(await makeToken(odile, how));
    const second = must(await makeToken(odile, how));
    expect(await personOfToken(app, first.token, VAULT)).toMatchObject({ code: 'notSignedIn' });
    expect(await personOfToken(app, second.token, VAULT)).toMatchObject({ id: odile.person.id });
    expect(await makeToken(odile, how)).toMatchObject({ ok: false, code: 'nameTaken' });
    const other = await teacher(app, 'tamsin');
    expect(await makeToken(other, how)).toMatchObject({ ok: false, code: 'nameTaken' });
    expect(JSON.stringify(await app.db.select().from(accessToken))).not.toContain(second.token);
    const [row] = (await listTokens(odile)).filter(({ name }) => name === 'Twice');
    expect(row?.usedAt).toBeInstanceOf(Date);
    expect(row).not.toHaveProperty('token');
    expect(await listTokens(other)).toEqual([]);
  });

  it('holds to its end, and until it is taken back by whose it is', async () => {
    const { id, token } = await made(['read'], 2);
    const in_ = (days: number) => ({ ...app, now: () => new Date(Date.now() + days * 86_400_000) });
    expect(await personOfToken(in_(1.9), token, VAULT)).toMatchObject({ id: odile.person.id });
    expect(await personOfToken(in_(2.1), token, VAULT)).toMatchObject({ code: 'notSignedIn' });
    expect(await takeTokenBack(await teacher(app, 'stranger'), id)).toMatchObject({ code: 'notFound' });
    must(await takeTokenBack(odile, id));
    expect(await personOfToken(app, token, VAULT)).toMatchObject({ code: 'notSignedIn' });
    expect(await personOfToken(app, '', VAULT)).toMatchObject({ code: 'notSignedIn' });
  });

  it('asks six hundred times a minute at most', async () => {
    const { token } = await made(['read']);
    const answers = [];
    for (let i = 0; i < 602; i++) answers.push(await personOfToken(app, token, VAULT));
    expect(answers.slice(0, 600).every((answer) => !('ok' in answer))).toBe(true);
    expect(answers.slice(600)).toMatchObject([{ code: 'tooMany' }, { code: 'tooMany' }]);
  });

  it('is read from the header, and from nothing like it', () => {
    const of = (authorization: string) => bearerOf(new Headers({ authorization }));
    expect([of('Bearer abc'), of('bearer abc'), of('Basic abc'), of('Bearer a b'), of('Bearer')]).toEqual([
      ...['abc', 'abc', null, null, ''],
    ]);
  });
});

describe('scopes', () => {
  it('are laid down for every endpoint, and a request is known by its path', () => {
    for (const name of Object.keys(OPERATIONS) as OperationName[]) {
      const [method = '', template = ''] = name.split(' ');
      const pathname = template.replace(/\{\w+\}/g, 'x1');
      expect(operationAt(method, pathname)).toBe(name);
      const scope = scopeOf(name);
      if (OPERATIONS[name].who === 'learner') expect(scope).toBe('byHand');
      if (scope === 'read') expect(method).toBe('GET');
    }
    expect(scopeOf('POST /api/questions')).toBe('author');
    expect(scopeOf('POST /api/releases')).toBe('publish');
    expect(scopeOf('GET /api/courses/{id}')).toBe('read');
    expect(scopeOf('GET /api/releases/{id}/results')).toBe('results');
    expect(scopeOf('GET /api/ping')).toBeNull();
  });
});
