import type { AstroGlobal } from 'astro';
import { type App, theApp } from '../app';
import type { As, Learner, Role, Teacher } from '../context';
import type { ErrorCode } from '../errors';

/** A page for one role: who asks, or the answer to give instead (sign-in, or the page that says why not). */
export async function enter<R extends Role>(
  page: Pick<AstroGlobal, 'locals' | 'redirect' | 'rewrite' | 'url'>,
  role: R,
): Promise<As<R extends 'teacher' ? Teacher : Learner> | Response> {
  const person = await page.locals.person();
  if (!person) return page.redirect(`/sign-in?to=${encodeURIComponent(page.url.pathname)}`);
  if (person.role !== role) return problem(page, 'notAllowed');
  const app: App = await theApp();
  return { ...app, person: person as R extends 'teacher' ? Teacher : Learner };
}

export const problem = (page: Pick<AstroGlobal, 'rewrite'>, code: ErrorCode): Promise<Response> =>
  page.rewrite(`/problem/${code}`);

/** Where a page may send people on to after sign-in: a path of our own, never another host. */
export function ownPath(to: string | null): string {
  return to && /^\/(?![/\\])[\w\-./~%?=&]*$/.test(to) ? to : '/';
}
