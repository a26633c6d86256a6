// Learners at a server, each signed in with a ticket for a sitting of their own.
import autocannon from 'autocannon';

export const CONNECTIONS = 32;
const SECONDS = 5;
export const ROUNDS = 3;

export interface Sitter {
  /** The cookies of a signed-in learner with a ticket for the sitting. */
  cookie: string;
  readonly sittingId: string;
  last: number;
}
export interface Sending {
  readonly question: number;
  readonly after: number;
  readonly moves: readonly { readonly id: string; readonly kind: string }[];
}
export interface Answered {
  readonly last: number;
  readonly told: { readonly try: unknown } | null;
}

const headersOf = (origin: string, cookie: string) => ({ 'content-type': 'application/json', origin, cookie });
const movesOf = ({ sittingId }: Sitter) => `/api/sittings/${sittingId}/moves`;

export async function post(origin: string, path: string, body: unknown, cookie = ''): Promise<Response> {
  const response = await fetch(`${origin}${path}`, {
    method: 'POST',
    headers: headersOf(origin, cookie),
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
  return response;
}

export async function send(origin: string, sitter: Sitter, sending: Sending): Promise<Answered> {
  return ((await (await post(origin, movesOf(sitter), sending, sitter.cookie)).json()) as { value: Answered }).value;
}

/** Signs in as people do, and gets the sitting's ticket with the first moves. */
export async function signIn(origin: string, sitter: Sitter, username: string, first: Sending['moves']): Promise<void> {
  const cookies = (response: Response) => response.headers.getSetCookie().map((line) => line.split(';')[0] ?? '');
  const session = cookies(await post(origin, '/api/auth/sign-in/username', { username, password: 'seedlings-26' }));
  const answer = await post(origin, movesOf(sitter), { question: 0, after: 0, moves: first }, session.join('; '));
  sitter.cookie = [...session, ...cookies(answer)].join('; ');
  sitter.last = first.length;
}

/** Answers of /api/ping a second. */
export async function pings(origin: string): Promise<number> {
  const { requests, non2xx, errors } = await autocannon({
    url: `${origin}/api/ping`,
    connections: CONNECTIONS,
    duration: SECONDS,
  });
  if (non2xx + errors > 0) throw new Error(`${non2xx + errors} pings failed`);
  return requests.average;
}

/**
 * Requests with moves a second. Each connection is a learner of its own, who takes each answer before the next; `took`
 * says whether it is the one there has to be.
 */
export async function sendings<S extends Sitter>(
  origin: string,
  sitters: readonly S[],
  next: (one: S) => Sending,
  took: (one: S, answer: Answered) => boolean,
  seconds = SECONDS,
): Promise<{ readonly rate: number; readonly count: number }> {
  const free = [...sitters];
  const wrong: string[] = [];
  const { requests, non2xx, errors } = await autocannon({
    url: origin,
    connections: CONNECTIONS,
    duration: seconds,
    setupClient: (client) => {
      const one = free.pop();
      if (!one) throw new Error('There are fewer learners than connections');
      client.setRequests([
        {
          method: 'POST',
          setupRequest: (request) => ({
            ...request,
            path: movesOf(one),
            headers: headersOf(origin, one.cookie),
            body: JSON.stringify(next(one)),
          }),
          onResponse: (status, body) => {
            const { value } = JSON.parse(body) as { value?: Answered };
            if (status !== 200 || !value || !took(one, value)) wrong.push(body);
          },
        },
      ]);
    },
  });
  if (wrong.length + non2xx + errors > 0)
    throw new Error(`${wrong.length + non2xx + errors} requests went wrong: ${wrong[0]}`);
  return { rate: requests.average, count: requests.total };
}
