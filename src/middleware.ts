import { defineMiddleware } from 'astro:middleware';
import { AsyncLocalStorage } from 'node:async_hooks';
import { isZone } from './core';
import { allowsOrigin, failedAs, log, type Person, personOf, theApp } from './server';
import { NO_ZONE, ZONE_COOKIE, zoneOnServer } from './ui/zone';
import { speakOnServer } from './words';
import { speakerOf } from './words/catalogues';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Headers every answer carries. Pages get their content security policy from Astro, which knows the hashes of its own
 * scripts.
 */
const HEADERS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=(), payment=(), usb=()',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  ...(process.env.PUBLIC_URL?.startsWith('https:')
    ? { 'strict-transport-security': 'max-age=31536000; includeSubDomains' }
    : {}),
};

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

export const onRequest = defineMiddleware(async ({ request, locals, url, cookies: sent }, next) => {
  // These two need no application; one of them reports whether it works.
  if (url.pathname === '/api/health' || url.pathname === '/api/ping') return withHeaders(await next());
  locals.language = 'en';
  const app = await theApp().catch((error: unknown) => log.error({ err: error }, 'cannot start'));
  if (!app) return withHeaders(failedAs('unavailable'));
  const cookies: string[] = [];
  let asked: Promise<Person | null> | null = null;
  locals.person = () => {
    asked ??= personOf(app.auth, request.headers).then(({ person, setCookies }) => {
      cookies.push(...setCookies);
      return person;
    });
    return asked;
  };

  // Astro's own check looks at form-like bodies only; this one refuses every write that does not come from our own
  // pages.
  const origin = request.headers.get('origin');
  if (!SAFE.has(request.method) && !(origin && allowsOrigin(app.config, origin, request.headers.get('host'))))
    return withHeaders(failedAs('crossSite'));

  const began = performance.now();
  const response = await drawn(zoneOf(sent.get(ZONE_COOKIE)?.value), locals, next);
  for (const cookie of cookies) response.headers.append('set-cookie', cookie);
  log.debug(
    { method: request.method, path: url.pathname, status: response.status, ms: Math.round(performance.now() - began) },
    'answered',
  );
  return withHeaders(response);
});

function withHeaders(response: Response): Response {
  // A page that may stand in a frame of ours sets its own header.
  for (const [name, value] of Object.entries(HEADERS))
    if (!response.headers.has(name)) response.headers.set(name, value);
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
