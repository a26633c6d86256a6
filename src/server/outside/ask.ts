import { lookup as resolve } from 'node:dns';
import http from 'node:http';
import https from 'node:https';
import { isIP, type LookupFunction } from 'node:net';
import { type Allowed, isLoopbackName, isOutsideAddress, mayConnect } from './addresses';

/** Why another system could not be asked, as a sentence for people. */
export class NotReached extends Error {}

export interface Question {
  readonly method?: 'GET' | 'POST' | 'PUT';
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: string;
}

export interface Reply {
  readonly status: number;
  readonly headers: Headers;
  readonly text: string;
}

const TIME_MS = 10_000;
const MAX_BYTES = 1024 * 1024;

/**
 * Asks an address that somebody gave us. It is https, or http to the loopback; the address that is connected to is the
 * one that was judged; no redirect is followed, and time and bytes have a limit. Throws {@link NotReached}.
 */
export function ask(
  allowed: Allowed,
  address: string,
  { method = 'GET', headers = {}, body }: Question = {},
): Promise<Reply> {
  if (!isOutsideAddress(address)) throw new NotReached('Its address is neither https nor http to this machine.');
  const url = new URL(address);
  const bare = url.hostname.replace(/^\[|\]$/g, '');
  // A bare IP address is connected to without being looked up.
  if (isIP(bare) !== 0 && !mayConnect(bare, allowed)) throw new NotReached(NOT_PUBLIC);
  return new Promise((answer, refuse) => {
    const request = (url.protocol === 'https:' ? https : http).request(url, {
      method,
      agent: false,
      headers: {
        ...headers,
        ...(body === undefined ? {} : { 'content-length': String(Buffer.byteLength(body)) }),
      },
      lookup: lookupOf(allowed, url),
      signal: AbortSignal.timeout(TIME_MS),
    });
    request.once('error', (error) => refuse(notReached(error)));
    request.once('response', (response) => {
      const parts: Buffer[] = [];
      let bytes = 0;
      response.on('data', (part: Buffer) => {
        bytes += part.length;
        if (bytes > MAX_BYTES) request.destroy(new NotReached('Its answer is longer than 1 MB.'));
        else parts.push(part);
      });
      response.once('error', (error) => refuse(notReached(error)));
      response.once('end', () => {
        const status = response.statusCode ?? 0;
        if (status >= 300 && status < 400)
          refuse(new NotReached('It answers by pointing to another address, which is not followed.'));
        else answer({ status, headers: headersOf(response), text: Buffer.concat(parts).toString('utf8') });
      });
    });
    request.end(body);
  });
}

const NOT_PUBLIC = 'Its address is not on the public Internet.';

/** Looks a name up and hands on only what may be connected to. */
const lookupOf =
  (allowed: Allowed, url: URL): LookupFunction =>
  (hostname, options, done) => {
    resolve(hostname, { ...options, all: true }, (error, found) => {
      if (error) return done(error, '', 0);
      const may = found.filter(
        ({ address }) => mayConnect(address, allowed) && (url.protocol === 'https:' || isLoopbackName(address)),
      );
      const [first] = may;
      if (!first) return done(new NotReached(NOT_PUBLIC), '', 0);
      if (options.all) return done(null, may);
      return done(null, first.address, first.family);
    });
  };

function headersOf(response: http.IncomingMessage): Headers {
  const headers = new Headers();
  for (const [name, value] of Object.entries(response.headers))
    if (value !== undefined) headers.set(name, Array.isArray(value) ? value.join(', ') : value);
  return headers;
}

const WORDS: Readonly<Record<string, string>> = {
  ENOTFOUND: 'Its name is not known.',
  EAI_AGAIN: 'Its name could not be looked up.',
  ECONNREFUSED: 'Nobody answers at its address.',
  ECONNRESET: 'The connection broke off.',
  EPIPE: 'The connection broke off.',
  ABORT_ERR: 'It did not answer within ten seconds.',
};

function notReached(error: Error & { code?: string; cause?: unknown; errors?: readonly Error[] }): NotReached {
  if (error instanceof NotReached) return error;
  const within = error.errors?.find((each) => each instanceof NotReached);
  if (within instanceof NotReached) return within;
  const code = error.name === 'TimeoutError' || error.name === 'AbortError' ? 'ABORT_ERR' : (error.code ?? '');
  return new NotReached(WORDS[code] ?? `It could not be reached (${code || error.message}).`, { cause: error });
}
