import { randomInt } from 'node:crypto';
import type { BetterAuthPlugin } from 'better-auth';
import { APIError, createAuthEndpoint } from 'better-auth/api';
import { setSessionCookie } from 'better-auth/cookies';
import { and, eq, isNull } from 'drizzle-orm';
import { PICTURES, PICTURES_CHOSEN, type PictureName, pictureSignIn } from '../../contract';
import type { As, Teacher } from '../context';
import { session, user } from '../database/accountTables';
import type { Database } from '../database/open';
import { course, courseLearner, picturePassword } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { countOne, forgive, LIMITS } from './limit';
import { hash, verify } from './password';
import { noteSecurity } from './securityLog';

export const PICTURE_SIGN_IN = '/sign-in/pictures';

/** As they are hashed. */
const asPassword = (pictures: readonly PictureName[]): string => pictures.join(' ');

/** A name as a child types it: without regard to case, accents composed in another way, and spaces. */
const spoken = (name: string): string => name.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim();

/** Draws new pictures for a learner whose account the teacher made. They are signed out, and unlocked. */
export async function drawPictures(as: As<Teacher>, learnerId: string): Promise<Result<{ pictures: PictureName[] }>> {
  const learner = await as.db.query.user.findFirst({
    where: and(eq(user.id, learnerId), eq(user.role, 'learner'), eq(user.madeBy, as.person.id)),
  });
  if (!learner) return fail('notFound');
  const pictures = Array.from({ length: PICTURES_CHOSEN }, () => PICTURES[randomInt(PICTURES.length)] as PictureName);
  const set = { hash: await hash(asPassword(pictures)), setAt: as.now() };
  await as.db.transaction(async (tx) => {
    await tx
      .insert(picturePassword)
      .values({ learnerId, ...set })
      .onConflictDoUpdate({ target: picturePassword.learnerId, set });
    await tx.delete(session).where(eq(session.userId, learnerId));
    await forgive(tx, 'pictures', learnerId);
    await forgive(tx, 'pictures-day', learnerId);
    await noteSecurity(
      { db: tx, now: as.now },
      { what: 'passwordReset', userId: learnerId, by: as.person.id, address: as.address, detail: 'pictures' },
    );
  });
  return ok({ pictures });
}

/** Learners of the course with this code who are called so, and have pictures. */
async function calledSo(db: Database, code: string, name: string) {
  const rows = await db
    .select({ id: user.id, name: user.name, username: user.username, hash: picturePassword.hash })
    .from(picturePassword)
    .innerJoin(user, eq(user.id, picturePassword.learnerId))
    .innerJoin(courseLearner, eq(courseLearner.learnerId, user.id))
    .innerJoin(course, eq(course.id, courseLearner.courseId))
    .where(and(eq(course.pictureCode, code), isNull(course.archivedAt), eq(user.role, 'learner')));
  const sought = spoken(name);
  return rows.filter((row) => spoken(row.name) === sought || row.username === sought);
}

/** Verified where nobody is called so, so that an answer takes as long. */
let nobodys: Promise<string> | null = null;

/**
 * Signing in with pictures, as a part of the sign-in library. Whatever does not fit gets one answer: whether there is
 * somebody of this name is not told.
 */
export const pictureSignInFor = (db: Database) =>
  ({
    id: 'pictures',
    endpoints: {
      signInWithPictures: createAuthEndpoint(PICTURE_SIGN_IN, { method: 'POST' }, async (ctx) => {
        const address = ctx.headers?.get('x-client-ip') ?? null;
        const now = () => new Date();
        const tooMany = (code: string) => new APIError('TOO_MANY_REQUESTS', { code, message: 'Too many tries' });
        if ((await countOne(db, 'sign-in-address', address ?? '', Date.now())) > LIMITS['sign-in-address'].max)
          throw tooMany('ADDRESS_SHUT');
        if (!pictureSignIn.isValidSync(ctx.body ?? null, { strict: true }))
          throw new APIError('BAD_REQUEST', { code: 'INVALID', message: 'This is not a sign-in with pictures' });
        const { name, pictures } = ctx.body as { code: string; name: string; pictures: PictureName[] };
        const code = (ctx.body as { code: string }).code.toUpperCase().replace(/[\s-]/g, '');
        const found = await calledSo(db, code, name);
        const whose = found.length === 1 ? (found[0]?.id as string) : `${code} ${spoken(name)}`;
        // Counted before they are looked at, so that tries at the same time are all counted.
        const counts = [
          await countOne(db, 'pictures', whose, Date.now()),
          await countOne(db, 'pictures-day', whose, Date.now()),
        ];
        if ((counts[0] ?? 0) > LIMITS.pictures.max || (counts[1] ?? 0) > LIMITS['pictures-day'].max)
          throw tooMany('ACCOUNT_SHUT');
        const password = asPassword(pictures);
        let who: string | null = null;
        for (const { id, hash: stored } of found)
          if (who === null && (await verify({ hash: stored, password }))) who = id;
        if (found.length === 0) {
          nobodys ??= hash('nobody');
          await verify({ hash: await nobodys, password });
        }
        if (who === null) {
          await noteSecurity(
            { db, now },
            { what: 'signInRefused', userId: found[0]?.id ?? null, address, detail: 'pictures' },
          );
          throw new APIError('UNAUTHORIZED', { code: 'WRONG_PICTURES', message: 'That does not fit' });
        }
        await forgive(db, 'pictures', whose);
        await forgive(db, 'pictures-day', whose);
        const made = await ctx.context.internalAdapter.createSession(who);
        const account = await ctx.context.internalAdapter.findUserById(who);
        if (!made || !account)
          throw new APIError('INTERNAL_SERVER_ERROR', { code: 'NO_SESSION', message: 'No session' });
        await setSessionCookie(ctx, { session: made, user: account });
        await noteSecurity({ db, now }, { what: 'signedIn', userId: who, by: who, address, detail: 'with pictures' });
        return ctx.json({ ok: true });
      }),
    },
  }) satisfies BetterAuthPlugin;
