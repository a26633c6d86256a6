import { defineMiddleware } from 'astro:middleware';
import { AsyncLocalStorage } from 'node:async_hooks';
import { isZone } from './core';
import {
  askedOnce,
  bearerOf,
  comesFromUs,
  failed,
  failedAs,
  frameAncestors,
  log,
  personOfToken,
  SAFETY_HEADERS,
  theApp,
} from './server';
import { NO_ZONE, ZONE_COOKIE, zoneOnServer } from './ui/zone';
import { speakOnServer } from './words';
import { speakerOf } from './words/catalogues';

/** What platforms post to: a login is bound to its browser, and a launch is signed. */
const FROM_PLATFORMS = new Set(['/lti/login', '/lti/launch']);

/** Whom the page is drawn for: their time zone, and the language, which the page itself chooses. */
const readers = new AsyncLocalStorage<{ readonly zone: string; readonly locals: Pick<App.Locals, 'language'> }>();
zoneOnServer(() => readers.getStore()?.zone ?? NO_ZONE);
speakOnServer(() => speakerOf(readers.getStore()?.locals.language ?? 'en'));

function zoneOf(cookie: string | undefined): string {
  return cookie && isZone(cookie) ? cookie : NO_ZONE;
}

/** A page is drawn completely inside its reader's context: a streamed page would lose it. */
const drawn = (zone: string, locals: App.Locals, next: () => Promise<Response>): Promise<Response> =>
  readers.run({ zone, locals }, async () => {
    const response = await next();
    if (!response.headers.get('content-type')?.startsWith('text/html')) return response;
    return new Response(await response.text(), {
      status: response.status,
      statusText: response.statusText,
      headers: response.headers,
    });
  });

/** Stand-ins for other systems, which programs ask: in the demo alone. */
const STAND_INS = ['/stand-in/platform', '/stand-in/record-store'];

export const onRequest = defineMiddleware(async ({ request, locals, url, cookies: sent }, next) => {
  // These two need no application; one of them reports whether it works.
  if (url.pathname === '/api/health' || url.pathname === '/api/ping') return withHeaders(await next());
  locals.language = 'en';
  const app = await theApp().catch((error: unknown) => log.error({ err: error }, 'cannot start'));
  if (!app) return withHeaders(failedAs('unavailable'));
  const { person, cookies } = askedOnce(app.auth, () => request.headers);
  locals.person = person;

  const standsIn = app.config.demo && STAND_INS.some((path) => url.pathname.startsWith(path));
  // A program asks by a token: then no cookie counts, so that no other site can make a browser ask. The stand-ins are
  // other systems, with tokens of their own.
  const token = standsIn ? null : bearerOf(request.headers);
  if (token !== null) {
    const asks = await personOfToken(app, token, { method: request.method, pathname: url.pathname });
    if ('ok' in asks) return withHeaders(failed(asks));
    locals.person = async () => asks;
    return withHeaders(await drawn(NO_ZONE, locals, next));
  }

  // Astro's own check looks at form-like bodies only; this one refuses every write that does not come from our own
  // pages.
  if (!FROM_PLATFORMS.has(url.pathname) && !standsIn && !comesFromUs(app.config, request))
    return withHeaders(failedAs('crossSite'));

  const began = performance.now();
  const response = await drawn(zoneOf(sent.get(ZONE_COOKIE)?.value), locals, next);
  for (const cookie of cookies) response.headers.append('set-cookie', cookie);
  log.debug(
    { method: request.method, path: url.pathname, status: response.status, ms: Math.round(performance.now() - began) },
    'answered',
  );
  if (url.pathname.startsWith('/lti/'))
    forPlatforms(response, locals, FROM_PLATFORMS.has(url.pathname) ? await frameAncestors(app) : []);
  return withHeaders(response);
});

/** What answers a launch may stand in these sites' frames; what is chosen to be linked is posted back to the platform. */
function forPlatforms({ headers }: Response, { postsTo }: App.Locals, sites: readonly string[]): void {
  const policy =
    headers.get('content-security-policy') ?? "default-src 'none'; frame-ancestors 'none'; form-action 'self'";
  headers.set(
    'content-security-policy',
    policy
      .replace("frame-ancestors 'none'", `frame-ancestors ${sites.length > 0 ? sites.join(' ') : "'none'"}`)
      .replace("form-action 'self'", `form-action 'self'${postsTo ? ` ${postsTo}` : ''}`),
  );
  headers.set('x-frame-options', '');
}

/** Pages get their content security policy from Astro, which knows the hashes of its own scripts. */
function withHeaders(response: Response): Response {
  // A page that may stand in a frame of ours sets its own header.
  for (const [name, value] of Object.entries(SAFETY_HEADERS))
    if (!response.headers.has(name)) response.headers.set(name, value);
  // Where the content security policy says who may frame it, the older header does not.
  if (response.headers.get('x-frame-options') === '') response.headers.delete('x-frame-options');
  const policy = response.headers.get('content-security-policy');
  // A hash in style-src would switch 'unsafe-inline' off, which positions on the scene need; scripts stay with their
  // hashes.
  if (policy)
    response.headers.set(
      'content-security-policy',
      policy.replace(/style-src [^;]*;?/, "style-src 'self' 'unsafe-inline';"),
    );
  if (response.headers.get('content-type')?.startsWith('text/html')) response.headers.set('cache-control', 'no-store');
  return response;
}
