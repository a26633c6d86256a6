import type { APIContext } from 'astro';
import { samePerson } from '../../contract';
import { signInLaunched } from '../accounts/launched';
import type { App } from '../app';
import { platform } from '../database/tables';
import { allowed, bodyOf } from '../http/endpoint';
import { readBytes } from '../http/gate';
import { ownAddress } from '../http/ownAddress';
import { failed, json } from '../http/respond';
import { failedLaunch, isRefusal, land, noteRefused, type Refusal } from './launch';
import { beginLogin, loginCookie } from './login';
import { answerSamePerson } from './samePerson';
import { verifyLaunch } from './verify';
import { continueLaunch } from './waitingLaunch';

/** The largest form of a platform, in bytes. */
const MAX_FORM_BYTES = 256 * 1024;

/** The sites that may show a page of a launch in a frame: those of the platforms that are registered. */
export async function frameAncestors({ db }: Pick<App, 'db'>): Promise<string[]> {
  const rows = await db.selectDistinct({ authUrl: platform.authUrl }).from(platform);
  return [...new Set(rows.map(({ authUrl }) => new URL(authUrl).origin))];
}

async function formOf(request: Request): Promise<URLSearchParams | null> {
  const read = await readBytes(request, MAX_FORM_BYTES);
  return read.ok ? new URLSearchParams(Buffer.from(read.value).toString('utf8')) : null;
}

/** A request that is shown in a frame: browsers say so (Fetch Metadata); who says nothing is at top level. */
const isFramed = (request: Request): boolean =>
  /^(?:i?frame|embed|object)$/.test(request.headers.get('sec-fetch-dest') ?? '');

type Asked = Pick<APIContext, 'request' | 'clientAddress' | 'cookies' | 'locals' | 'rewrite' | 'url'>;

/** The page that says what a launch came to. */
function told(context: Asked, launch: NonNullable<Asked['locals']['launch']>): Promise<Response> {
  context.locals.launch = launch;
  return context.rewrite(new Request(new URL('/lti/page', context.url), { headers: context.request.headers }));
}

/** Says why a launch opens nothing, and notes it. */
async function refused(app: App, context: Asked, refusal: Refusal, issuer: string | null): Promise<Response> {
  await noteRefused({ ...app, address: context.clientAddress }, refusal.why, issuer);
  return told(context, { refusal });
}

function cookie(name: string, value: string, seconds: number, more: string): string {
  return `${name}=${value}; Path=/lti; HttpOnly; Max-Age=${seconds}; ${more}`;
}

/** A platform begins a launch. */
export async function loginRoute(app: App, context: Asked): Promise<Response> {
  const { request, url, locals } = context;
  const given = request.method === 'POST' ? await formOf(request) : url.searchParams;
  if (!given) return refused(app, context, failedLaunch('Its form is too large.'), null);
  const base = ownAddress(app.config, request);
  const begun = await beginLogin(app, given, { person: await locals.person(), base });
  if (typeof begun === 'string') return refused(app, context, failedLaunch(begun), given.get('iss'));
  const headers = new Headers({ location: begun.location, 'cache-control': 'no-store' });
  const name = loginCookie(begun.state);
  // The launch is posted by another site: only a cookie that says None comes with it, which browsers take with Secure
  // alone. Without https they take it on this machine only; a platform on the same site needs no None.
  headers.append('set-cookie', cookie(name, begun.browser, begun.seconds, 'SameSite=None; Secure; Partitioned'));
  if (!base.startsWith('https:'))
    headers.append('set-cookie', cookie(`${name}.here`, begun.browser, begun.seconds, 'SameSite=Lax'));
  return new Response(null, { status: 302, headers });
}

/** A launch: signs the person in and goes on to the page, or says why not. */
export async function launchRoute(app: App, context: Asked): Promise<Response> {
  const { request, cookies, clientAddress } = context;
  const form = await formOf(request);
  const [idToken, state] = [form?.get('id_token') ?? '', form?.get('state') ?? ''];
  if (form?.has('error')) {
    const why = `The platform says: ${(form.get('error_description') ?? form.get('error') ?? '').slice(0, 200)}.`;
    return refused(app, context, failedLaunch(why), null);
  }
  if (idToken === '' || state === '') return refused(app, context, failedLaunch('It lacks a token or a state.'), null);
  const within = { ...app, address: clientAddress };
  const name = loginCookie(state);
  const browser = cookies.get(name)?.value ?? cookies.get(`${name}.here`)?.value ?? null;
  const verified = await verifyLaunch(within, { idToken, state }, browser);
  if (typeof verified === 'string') return refused(app, context, failedLaunch(verified), null);
  const landed = await land(within, verified, { framed: isFramed(request) });
  if (isRefusal(landed)) return refused(app, context, landed, verified.platform.issuer);
  if (landed.press) return told(context, { press: { ...landed.press, platform: verified.platform.name } });
  return opened(app, context, landed);
}

/** Goes on with a launch after a press. */
export async function continueRoute(app: App, context: Asked): Promise<Response> {
  const form = await formOf(context.request);
  const on = await continueLaunch(app, form?.get('launch') ?? '', form?.get('ticket') ?? '');
  if (on) return opened(app, context, on);
  const why = 'It was opened before, or too much time has passed. Open it again from your course.';
  return refused(app, context, failedLaunch(why), null);
}

async function opened(
  app: App,
  { request, clientAddress }: Asked,
  { personId, path }: { readonly personId: string; readonly path: string },
): Promise<Response> {
  const headers = new Headers({ location: path, 'cache-control': 'no-store' });
  for (const set of await signInLaunched({ ...app, address: clientAddress }, personId, request))
    headers.append('set-cookie', set);
  return new Response(null, { status: 303, headers });
}

/** A teacher answers whether they have an account here already. Whoever they are then is signed in. */
export async function samePersonRoute(app: App, { request, locals, clientAddress }: APIContext): Promise<Response> {
  const person = allowed(await locals.person(), 'signedIn');
  if (!person.ok) return failed(person);
  const body = await bodyOf(request, samePerson);
  if (!body.ok) return failed(body);
  const as = { ...app, person: person.value, address: clientAddress };
  const answered = await answerSamePerson(as, body.value.launch, body.value.password);
  if (!answered.ok) return failed(answered);
  const { personId, path } = answered.value;
  const answer = json({ ok: true, value: { path } });
  if (personId !== person.value.id)
    for (const set of await signInLaunched(as, personId, request)) answer.headers.append('set-cookie', set);
  return answer;
}
