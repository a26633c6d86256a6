// The fast lane: learners' moves, checks and steps to another question are answered before the page pipeline, which
// costs more than storing them. The endpoints are the same ones; this only hands them what they read of a request.
import type { IncomingMessage, ServerResponse } from 'node:http';
import type { APIContext, APIRoute } from 'astro';
import { parseCookie, stringifySetCookie } from 'cookie';
import { MAX_BODY_BYTES, OPERATIONS, type Operation } from './contract';
import { POST as goTo } from './pages/api/sittings/[id]/at';
import { POST as makeMoves } from './pages/api/sittings/[id]/moves';
import { askedOnce, comesFromUs, failedAs, log, SAFETY_HEADERS, theApp } from './server';

const ROUTES = { moves: makeMoves, at: goTo } as const satisfies Record<string, APIRoute & { operation: string }>;
const PATH = /^\/api\/sittings\/([0-9a-f-]{36})\/(moves|at)$/;
/** More than any of the endpoints takes; each has its own limit. */
const MAX_BYTES = Math.max(
  ...Object.values(ROUTES).map(({ operation }) => {
    const { maxBytes }: Operation = OPERATIONS[operation];
    return maxBytes ?? MAX_BODY_BYTES;
  }),
);

/** True if the request is answered here: a move of somebody who is signed in. Tokens of programs are not read here. */
export const isFast = ({ method, url = '', headers }: IncomingMessage): boolean =>
  method === 'POST' && url.startsWith('/api/sittings/') && headers.authorization === undefined && PATH.test(url);

/** The bytes of a body; null: there are more than any endpoint takes, or its sender has gone. */
function bytesOf(incoming: IncomingMessage): Promise<Buffer | null> {
  return new Promise((resolve) => {
    const parts: Buffer[] = [];
    let size = 0;
    incoming.on('data', (part: Buffer) => {
      size += part.length;
      if (size <= MAX_BYTES) parts.push(part);
    });
    incoming.once('end', () => resolve(size > MAX_BYTES ? null : Buffer.concat(parts)));
    incoming.once('error', () => resolve(null));
  });
}

/** What the endpoints read of a request: `Request` itself takes longer to make than the rest of the lane. */
function requestOf({ method, headers }: IncomingMessage, url: URL, body: Buffer): Request {
  const get = (name: string): string | null => {
    const value = headers[name.toLowerCase()];
    return value === undefined ? null : String(value);
  };
  let isRead = false;
  const read = async () => {
    const part = isRead ? { done: true, value: undefined } : { done: false, value: body };
    isRead = true;
    return part;
  };
  return { method, url: url.href, headers: { get }, body: { getReader: () => ({ read }) } } as unknown as Request;
}

/** Cookies as endpoints read and set them. */
function cookiesOf(header: string | undefined) {
  const sent = parseCookie(header ?? '');
  const set: string[] = [];
  return {
    set,
    cookies: {
      get: (name: string) => (sent[name] === undefined ? undefined : { value: sent[name] }),
      set: (name: string, value: string, options: object) => {
        set.push(stringifySetCookie({ name, value, ...options }));
      },
    },
  };
}

/** Answers a request that `isFast`. */
export async function answerFast(incoming: IncomingMessage, outgoing: ServerResponse): Promise<void> {
  const began = performance.now();
  const path = incoming.url ?? '';
  const { answer, cookies } = await answerTo(incoming, path).catch((error: unknown) => {
    log.error({ err: error, path }, 'unexpected');
    return { answer: failedAs('unexpected'), cookies: [] };
  });
  log.debug({ method: 'POST', path, status: answer.status, ms: Math.round(performance.now() - began) }, 'answered');
  const headers: Record<string, string | string[]> = { ...SAFETY_HEADERS };
  answer.headers.forEach((value, name) => {
    headers[name] = value;
  });
  if (cookies.length > 0) headers['set-cookie'] = cookies;
  outgoing.writeHead(answer.status, headers).end(await answer.text());
}

async function answerTo(incoming: IncomingMessage, path: string): Promise<{ answer: Response; cookies: string[] }> {
  const alone = (answer: Response) => ({ answer, cookies: [] });
  const [, id = '', name = ''] = PATH.exec(path) ?? [];
  const route = ROUTES[name as keyof typeof ROUTES];
  // It is read even of a request that is refused, so that its sender hears why.
  const body = await bytesOf(incoming);
  if (body === null) return alone(failedAs('tooLarge'));
  const app = await theApp().catch((error: unknown) => log.error({ err: error }, 'cannot start'));
  if (!app) return alone(failedAs('unavailable'));
  const url = new URL(path, 'http://localhost');
  const request = requestOf(incoming, url, body);
  if (!comesFromUs(app.config, request)) return alone(failedAs('crossSite'));
  const asker = askedOnce(app.auth, () => new Headers(incoming.headers as Record<string, string>));
  const { cookies, set } = cookiesOf(incoming.headers.cookie);
  const forwarded = incoming.headers['x-forwarded-for'];
  const context = {
    ...{ request, url, cookies, params: { id } },
    locals: { person: asker.person, language: 'en' },
    clientAddress: forwarded === undefined ? (incoming.socket.remoteAddress ?? '') : String(forwarded),
  };
  const answer = await route(context as unknown as APIContext);
  return { answer, cookies: [...asker.cookies, ...set] };
}
