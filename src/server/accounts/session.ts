import type { Person } from '../context';
import type { Auth } from './auth';

/** The person whose session these headers carry; null: none. `setCookies` renew the session's cookies. */
export async function personOf(auth: Auth, headers: Headers): Promise<{ person: Person | null; setCookies: string[] }> {
  if (!headers.has('cookie')) return { person: null, setCookies: [] };
  const found = await auth.api.getSession({ headers, returnHeaders: true });
  const user = found.response?.user as
    | { id: string; name: string; username?: string | null; role: string; twoFactorEnabled?: boolean | null }
    | undefined;
  const role = user?.role === 'teacher' ? 'teacher' : 'learner';
  return {
    person: user
      ? {
          id: user.id,
          name: user.name,
          username: user.username ?? null,
          role,
          twoFactor: user.twoFactorEnabled === true,
        }
      : null,
    setCookies: found.headers.getSetCookie(),
  };
}
