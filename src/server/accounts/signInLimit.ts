import { createHmac, timingSafeEqual } from 'node:crypto';
import { APIError, createAuthMiddleware, getSessionFromCtx } from 'better-auth/api';
import { eq } from 'drizzle-orm';
import { normalUsername } from '../../core';
import type { Config } from '../config';
import { user } from '../database/accountTables';
import type { Database } from '../database/open';
import { countOne, forgive, LIMITS } from './limit';
import { passwordProblem } from './password';
import { noteSecurity } from './securityLog';

const SIGN_IN = '/sign-in/username';
const CHANGE_PASSWORD = '/change-password';
const accountOf = (body: unknown) =>
  normalUsername(String((body as { username?: unknown } | null)?.username ?? '').slice(0, 200)).slice(0, 100);

/**
 * A browser that has signed in to an account before has its own counter, so that nobody else can lock the owner out.
 */
const KNOWN = 'vault-drop.known';
const KNOWN_SECONDS = 365 * 24 * 3600;

/**
 * Five wrong passwords for one account within ten minutes lock it for the rest of them. Tries are counted before the
 * password is checked, so that parallel tries are all counted. The limit is by account, not by address: a class shares
 * one address and signs in within the same minute. Password checks per address and minute are limited as well.
 */
export function signInLimit(db: Database, config: Pick<Config, 'secret'>) {
  const context = { db, now: () => new Date() };
  const markOf = (account: string) =>
    createHmac('sha256', `known:${config.secret}`).update(account).digest('base64url');
  const isKnown = (account: string, mark: string | null | undefined) => {
    const [given, right] = [Buffer.from(mark ?? ''), Buffer.from(markOf(account))];
    return given.length === right.length && timingSafeEqual(given, right);
  };
  const counter = (account: string, mark: string | null | undefined) =>
    isKnown(account, mark) ? `${account} known` : account;

  const before = createAuthMiddleware(async (ctx) => {
    const address = ctx.headers?.get('x-client-ip') ?? null;
    if (ctx.path === SIGN_IN) {
      if ((await countOne(db, 'sign-in-address', address ?? '', Date.now())) > LIMITS['sign-in-address'].max)
        throw new APIError('TOO_MANY_REQUESTS', {
          code: 'ADDRESS_SHUT',
          message: 'Too many sign-ins from this address',
        });
      const account = accountOf(ctx.body);
      const count = await countOne(db, 'sign-in', counter(account, ctx.getCookie(KNOWN)), Date.now());
      if (count <= LIMITS['sign-in'].max) return;
      if (count === LIMITS['sign-in'].max + 1)
        await noteSecurity(context, {
          what: 'accountLocked',
          userId: await idOf(db, account),
          address,
          detail: account,
        });
      throw new APIError('TOO_MANY_REQUESTS', {
        code: 'ACCOUNT_SHUT',
        message: 'Too many wrong passwords for this account',
      });
    }
    if (ctx.path === CHANGE_PASSWORD) {
      const found = await getSessionFromCtx(ctx);
      if (!found) return;
      if ((await countOne(db, 'change-password', found.user.id, Date.now())) > LIMITS['change-password'].max)
        throw new APIError('TOO_MANY_REQUESTS', {
          code: 'ACCOUNT_SHUT',
          message: 'Too many wrong passwords for this account',
        });
      const { username } = found.user as { username?: string | null };
      const problem = passwordProblem(
        String((ctx.body as { newPassword?: unknown } | null)?.newPassword ?? ''),
        username ?? '',
      );
      if (problem) throw new APIError('UNPROCESSABLE_ENTITY', { code: 'PASSWORD_TOO_COMMON', message: problem });
    }
  });

  const after = createAuthMiddleware(async (ctx) => {
    const address = ctx.headers?.get('x-client-ip') ?? null;
    const { newSession, returned } = ctx.context as {
      newSession?: { user: { id: string } } | null;
      returned?: unknown;
    };
    const refused = returned instanceof APIError || returned instanceof Error;
    if (ctx.path === SIGN_IN) {
      const account = accountOf(ctx.body);
      const wantsCode = (returned as { twoFactorRedirect?: boolean } | undefined)?.twoFactorRedirect === true;
      if (!newSession && !wantsCode) {
        await noteSecurity(context, {
          what: 'signInRefused',
          userId: await idOf(db, account),
          address,
          detail: account,
        });
        return;
      }
      await forgive(db, 'sign-in', account);
      ctx.setCookie(KNOWN, markOf(account), {
        httpOnly: true,
        sameSite: 'lax',
        path: '/',
        maxAge: KNOWN_SECONDS,
        secure: ctx.context.options.advanced?.defaultCookieAttributes?.secure === true,
      });
      if (newSession)
        await noteSecurity(context, { what: 'signedIn', userId: newSession.user.id, by: newSession.user.id, address });
      return;
    }
    if (refused) return;
    const id = newSession?.user.id ?? (await getSessionFromCtx(ctx))?.user.id ?? null;
    if (ctx.path === CHANGE_PASSWORD && id) {
      await forgive(db, 'change-password', id);
      await noteSecurity(context, { what: 'passwordChanged', userId: id, by: id, address });
    }
    if (ctx.path === '/two-factor/verify-totp' || ctx.path === '/two-factor/verify-backup-code')
      await noteSecurity(context, { what: 'signedIn', userId: id, by: id, address, detail: 'with a second factor' });
    if (ctx.path === '/two-factor/enable')
      await noteSecurity(context, { what: 'secondFactorOn', userId: id, by: id, address });
    if (ctx.path === '/two-factor/disable')
      await noteSecurity(context, { what: 'secondFactorOff', userId: id, by: id, address });
  });
  return { before, after };
}

const idOf = async (db: Database, username: string): Promise<string | null> =>
  (await db.query.user.findFirst({ columns: { id: true }, where: eq(user.username, username) }))?.id ?? null;
