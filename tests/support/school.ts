import { createServer, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { APIContext } from 'astro';
import { exportJWK, generateKeyPair, type JWK, type JWTPayload, SignJWT } from 'jose';
import type { App } from '../../src/server/app';
import type { Person } from '../../src/server/context';
import { CLAIM, MESSAGE, SCOPE } from '../../src/server/lti/claims';
import { publicKeys } from '../../src/server/lti/keys';
import { addPlatform } from '../../src/server/lti/platforms';
import { continueRoute, launchRoute, loginRoute } from '../../src/server/lti/routes';
import { must } from './app';

const MEMBERSHIP = 'http://purl.imsglobal.org/vocab/lis/v2/membership';
export const TEACHES = `${MEMBERSHIP}#Instructor`;
export const LEARNS = `${MEMBERSHIP}#Learner`;
export const ISSUER = 'https://school.tarnhollow.example/';
export const CLIENT = 'tool-7';
export const DEPLOYMENT = 'autumn';

/** What the school's services answer: each path with a function, which a test may change. */
export type Services = Record<string, (request: Request) => Response | Promise<Response>>;

/** A school's platform in this process: it signs what a test wants it to sign, and has the services that a test gives. */
export interface School {
  readonly address: string;
  readonly services: Services;
  readonly kid: string;
  /** Signs with the school's key; `by`: with another, or another header. */
  sign(payload: JWTPayload, by?: { key?: CryptoKey | Uint8Array; header?: Record<string, unknown> }): Promise<string>;
  end(): Promise<void>;
}

export async function school(app: App): Promise<School> {
  const { privateKey, publicKey } = await generateKeyPair('RS256');
  const kid = crypto.randomUUID();
  const jwk: JWK = { ...(await exportJWK(publicKey)), kid, alg: 'RS256', use: 'sig' };
  const services: Services = {
    '/jwks': () => Response.json({ keys: [jwk] }),
    '/lti/jwks': async () => Response.json(await publicKeys(app.config, app.now())),
    '/token': () => Response.json({ access_token: 'a token', token_type: 'bearer', expires_in: 3600 }),
  };
  const server = await serving(services);
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  must(
    await addPlatform(app, {
      ...{ name: 'Tarn Hollow School', issuer: ISSUER, clientId: CLIENT, deployments: [DEPLOYMENT] },
      ...{ authUrl: `${address}/authorize?realm=tarn`, tokenUrl: `${address}/token`, jwksUrl: `${address}/jwks` },
    }),
  );
  return {
    ...{ address, services, kid },
    sign: (payload, { key = privateKey, header = {} } = {}) =>
      new SignJWT(payload).setProtectedHeader({ alg: 'RS256', kid, ...header }).sign(key),
    end: () => new Promise((done) => server.close(() => done())),
  };
}

async function serving(services: Services): Promise<Server> {
  const server = createServer((incoming, outgoing) => {
    void (async () => {
      const request = await requestOf(incoming);
      const service = services[new URL(request.url).pathname];
      const answer = service ? await service(request) : new Response('Not here', { status: 404 });
      outgoing
        .writeHead(answer.status, Object.fromEntries(answer.headers))
        .end(Buffer.from(await answer.arrayBuffer()));
    })();
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return server;
}

async function requestOf(incoming: IncomingMessage): Promise<Request> {
  const parts: Buffer[] = [];
  for await (const part of incoming) parts.push(part as Buffer);
  return new Request(`http://${incoming.headers.host}${incoming.url}`, {
    method: incoming.method ?? 'GET',
    headers: incoming.headers as Record<string, string>,
    ...(parts.length > 0 ? { body: Buffer.concat(parts) } : {}),
  });
}

/** A browser at the tool: it keeps cookies, and may have somebody signed in. */
export class Browser {
  readonly cookies = new Map<string, string>();
  /** What the page says that the last answer was. */
  said: Said | undefined;

  constructor(
    private readonly app: App,
    private readonly person: Person | null = null,
  ) {}

  async #ask(
    route: (app: App, context: never) => Promise<Response>,
    url: URL,
    form: Record<string, string> | null,
    headers: Record<string, string> = {},
  ): Promise<Response> {
    const locals: Partial<APIContext['locals']> = { person: async () => this.person };
    const request = new Request(url, {
      ...(form ? { method: 'POST', body: new URLSearchParams(form) } : {}),
      headers,
    });
    const answer = await route(this.app, {
      ...{ request, url, locals, clientAddress: '127.0.0.1' },
      cookies: { get: (name: string) => (this.cookies.has(name) ? { value: this.cookies.get(name) } : undefined) },
      rewrite: async () => new Response('', { status: locals.launch?.refusal?.status ?? 200 }),
    } as never);
    this.said = locals.launch;
    for (const set of answer.headers.getSetCookie()) {
      const [pair = ''] = set.split(';');
      this.cookies.set(pair.slice(0, pair.indexOf('=')), pair.slice(pair.indexOf('=') + 1));
    }
    return answer;
  }

  login(given: Record<string, string> = {}): Promise<Response> {
    const url = new URL('http://127.0.0.1:4321/lti/login');
    const asked = { iss: ISSUER, login_hint: 'x', target_link_uri: 'http://127.0.0.1:4321/lti/launch', ...given };
    for (const [name, value] of Object.entries(asked)) url.searchParams.set(name, value);
    return this.#ask(loginRoute, url, null);
  }

  /** Begins a login; its state and nonce. */
  async begin(given: Record<string, string> = {}): Promise<{ state: string; nonce: string }> {
    const location = new URL((await this.login(given)).headers.get('location') ?? '');
    return {
      state: location.searchParams.get('state') ?? '',
      nonce: location.searchParams.get('nonce') ?? '',
    };
  }

  launch(form: Record<string, string>, headers: Record<string, string> = {}): Promise<Response> {
    return this.#ask(launchRoute, new URL('http://127.0.0.1:4321/lti/launch'), form, headers);
  }

  goOn(form: Record<string, string>): Promise<Response> {
    return this.#ask(continueRoute, new URL('http://127.0.0.1:4321/lti/continue'), form);
  }
}

type Said = NonNullable<APIContext['locals']['launch']>;

export interface Claimed {
  readonly sub?: string;
  readonly name?: string | undefined;
  readonly roles?: readonly string[];
  readonly context?: { readonly id: string; readonly title?: string };
  readonly release?: string;
  readonly link?: string;
  readonly line?: string | null;
  readonly lines?: string | null;
  readonly scopes?: readonly string[];
  readonly more?: JWTPayload;
}

const seconds = () => Math.floor(Date.now() / 1000);

/** The claims of a launch as a platform makes them. */
export function claims(nonce: string, claimed: Claimed = {}): JWTPayload {
  const { sub = 'pupil-1', roles = [LEARNS], context = { id: 'course-1', title: 'Seed keepers' } } = claimed;
  const { line = null, lines = null, scopes = [SCOPE.score, SCOPE.lines] } = claimed;
  const name = 'name' in claimed ? claimed.name : 'Pippa Lorne';
  return {
    ...{ iss: ISSUER, aud: CLIENT, sub, nonce, iat: seconds(), exp: seconds() + 300 },
    ...(name === undefined ? {} : { name }),
    [CLAIM.version]: '1.3.0',
    [CLAIM.messageType]: MESSAGE.link,
    [CLAIM.deployment]: DEPLOYMENT,
    [CLAIM.context]: context,
    [CLAIM.link]: { id: claimed.link ?? 'link-1' },
    [CLAIM.roles]: roles,
    ...(claimed.release === undefined ? {} : { [CLAIM.custom]: { release: claimed.release } }),
    ...(line === null && lines === null
      ? {}
      : {
          [CLAIM.scores]: {
            scope: scopes,
            ...(line === null ? {} : { lineitem: line }),
            ...(lines === null ? {} : { lineitems: lines }),
          },
        }),
    ...claimed.more,
  };
}

/** A whole launch in a browser of its own. */
export async function launched(
  app: App,
  at: School,
  claimed: Claimed = {},
): Promise<{ answer: Response; browser: Browser }> {
  const browser = new Browser(app);
  const { state, nonce } = await browser.begin();
  const answer = await browser.launch({ state, id_token: await at.sign(claims(nonce, claimed)) });
  return { answer, browser };
}
