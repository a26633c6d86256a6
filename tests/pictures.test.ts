import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PICTURES, PICTURES_CHOSEN, type PictureName } from '../src/contract';
import { drawPictures } from '../src/server/accounts/pictures';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { changeCourse } from '../src/server/courses/courses';
import { setPictureCode } from '../src/server/courses/join';
import { listRoster } from '../src/server/courses/roster';
import { picturePassword } from '../src/server/database/tables';
import { course, learner, must, teacher, testApp } from './support/app';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let courseId = '';
let code = '';
let n = 0;

beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
  courseId = await course(odile);
  code = must(await setPictureCode(odile, courseId, true)).code ?? '';
});
afterAll(() => done());

/** A child with pictures, by their user name. */
async function child(): Promise<{ as: As<Learner>; username: string; pictures: PictureName[] }> {
  const username = `child.${++n}`;
  const as = await learner(odile, courseId, username);
  return { as, username, pictures: must(await drawPictures(odile, as.person.id)).pictures };
}

async function signIn(body: unknown): Promise<Response> {
  const headers = {
    'content-type': 'application/json',
    origin: 'http://127.0.0.1:4321',
    host: '127.0.0.1:4321',
    'x-client-ip': '203.0.113.9',
  };
  return app.auth.handler(
    new Request('http://127.0.0.1:4321/api/auth/sign-in/pictures', {
      method: 'POST',
      headers,
      body: JSON.stringify(body),
    }),
  );
}
/** Others than these. */
const wrong = (pictures: readonly PictureName[]): PictureName[] =>
  pictures.map((picture) => PICTURES[(PICTURES.indexOf(picture) + 1) % PICTURES.length] as PictureName);

describe('a small child', () => {
  it('signs in with the code, their name in any case, and their pictures in order', async () => {
    const { as, username, pictures } = await child();
    expect(pictures).toHaveLength(PICTURES_CHOSEN);
    const spaced = `${code.slice(0, 4)} ${code.slice(4)}`.toLowerCase();
    const answer = await signIn({ code: spaced, name: ` ${username.toUpperCase()} `, pictures });
    expect(answer.status).toBe(200);
    const cookie = answer.headers
      .getSetCookie()
      .map((line) => line.split(';')[0])
      .join('; ');
    const session = await app.auth.api.getSession({ headers: new Headers({ cookie }) });
    expect(session?.user.id).toBe(as.person.id);
    const [stored] = await app.db.query.picturePassword.findMany();
    expect(stored?.hash).toMatch(/^\$argon2id\$/);
  });

  it('is told one thing, whatever does not fit', async () => {
    const { username, pictures } = await child();
    const without = await learner(odile, courseId, 'without.pictures');
    const answers = [
      await signIn({ code, name: username, pictures: wrong(pictures) }),
      await signIn({ code, name: 'Nobody', pictures }),
      await signIn({ code: 'ABCD2345', name: username, pictures }),
      await signIn({ code, name: without.person.username, pictures }),
      // A teacher has no pictures, and is on no roster.
      await signIn({ code, name: 'odile', pictures }),
    ];
    const said = await Promise.all(answers.map(async (answer) => [answer.status, await answer.text()]));
    for (const one of said) expect(one).toEqual(said[0]);
    expect(said[0]?.[0]).toBe(401);
  });

  it.each([
    ['no body', undefined],
    ['too few pictures', { code: 'ABCD2345', name: 'x', pictures: ['leaf'] }],
    ['another word', { code: 'ABCD2345', name: 'x', pictures: ['leaf', 'leaf', 'password'] }],
    ['numbers', { code: 1, name: 2, pictures: [3, 4, 5] }],
  ])('is refused with %s', async (_, body) => {
    expect((await signIn(body)).status).toBe(400);
  });

  it('waits after five wrong tries, however many come at once, until the teacher draws new pictures', async () => {
    const { as, username, pictures } = await child();
    const tries = await Promise.all(
      Array.from({ length: 12 }, () => signIn({ code, name: username, pictures: wrong(pictures) })),
    );
    expect(tries.filter(({ status }) => status === 401)).toHaveLength(5);
    expect((await signIn({ code, name: username, pictures })).status).toBe(429);
    const other = await child();
    expect((await signIn({ code, name: other.username, pictures: other.pictures })).status).toBe(200);
    const anew = must(await drawPictures(odile, as.person.id)).pictures;
    expect((await signIn({ code, name: username, pictures: anew })).status).toBe(200);
  });

  it('does not sign in once the course allows it no more, or is archived; another code comes back', async () => {
    const { username, pictures } = await child();
    must(await setPictureCode(odile, courseId, false));
    expect((await signIn({ code, name: username, pictures })).status).toBe(401);
    const before = code;
    code = must(await setPictureCode(odile, courseId, true)).code ?? '';
    expect(code).not.toBe(before);
    expect((await signIn({ code, name: username, pictures })).status).toBe(200);
    must(await changeCourse(odile, courseId, { archived: true }));
    expect((await signIn({ code, name: username, pictures })).status).toBe(401);
    must(await changeCourse(odile, courseId, { archived: false }));
  });
});

describe('pictures', () => {
  it('are drawn by whoever made the account alone, and the roster says who has some', async () => {
    const { as, username } = await child();
    const tamsin = await teacher(app, 'tamsin');
    expect(await drawPictures(tamsin, as.person.id)).toMatchObject({ ok: false, code: 'notFound' });
    expect(await drawPictures(odile, odile.person.id)).toMatchObject({ ok: false, code: 'notFound' });
    const { rows } = must(await listRoster(odile, courseId, { words: username }));
    expect(rows).toMatchObject([{ username, pictures: true, mine: true }]);
    await app.db.delete(picturePassword);
  });
});
