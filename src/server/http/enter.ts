import type { AstroGlobal } from 'astro';
import { type App, theApp } from '../app';
import type { As, Learner, Role, Teacher } from '../context';
import type { ErrorCode } from '../errors';

/**
 * The person for a page of one role, or the response to send instead: the sign-in page, or the page that says why it
 * cannot be opened.
 */
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

/** The page to open after sign-in: a path of this application, never another host. */
export function ownPath(to: string | null): string {
  return to && /^\/(?![/\\])[\w\-./~%?=&]*$/.test(to) ? to : '/';
}
