import type { BetterAuthPlugin } from 'better-auth';
import { createAuthEndpoint } from 'better-auth/api';
import { setSessionCookie } from 'better-auth/cookies';
import { object, string } from 'yup';
import type { Context } from '../context';
import type { Auth } from './auth';
import { noteSecurity } from './securityLog';

/** It is in no list of open paths: only the server itself signs in so. */
const LAUNCH_SIGN_IN = '/sign-in/launch';

const LAUNCHED = object({ personId: string().required() });

/** Signing in somebody whom a platform has launched, as a part of the sign-in library. */
export const launchSignIn = () =>
  ({
    id: 'launch',
    endpoints: {
      signInLaunched: createAuthEndpoint(
        LAUNCH_SIGN_IN,
        { method: 'POST', requireHeaders: true, body: LAUNCHED },
        async (ctx) => {
          const { personId } = ctx.body;
          const session = await ctx.context.internalAdapter.createSession(personId);
          const user = await ctx.context.internalAdapter.findUserById(personId);
          if (!session || !user) throw new Error('No session could be made for a launch');
          await setSessionCookie(ctx, { session, user });
          return ctx.json({ ok: true });
        },
      ),
    },
  }) satisfies BetterAuthPlugin;

/** Signs a person in, and returns the cookies of their session. */
export async function signInLaunched(
  context: Context & { readonly auth: Auth },
  personId: string,
  request: Request,
): Promise<string[]> {
  const headers = new Headers(request.headers);
  headers.set('x-client-ip', context.address ?? '');
  const { headers: answered } = await context.auth.api.signInLaunched({
    body: { personId },
    headers,
    returnHeaders: true,
  });
  await noteSecurity(context, {
    ...{ what: 'signedIn' as const, userId: personId, by: personId, address: context.address },
    detail: 'launched by a platform',
  });
  return answered.getSetCookie();
}
