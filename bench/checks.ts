import { randomUUID } from 'node:crypto';
import autocannon from 'autocannon';
import { type Measured, median } from './measure';

export const CONNECTIONS = 32;
const SECONDS = 5;
export const ROUNDS = 3;

export interface Sitter {
  /** The cookies of a signed-in learner with a ticket for the sitting. */
  readonly cookie: string;
  readonly sittingId: string;
  last: number;
}

async function pings(origin: string): Promise<number> {
  const { requests, non2xx, errors } = await autocannon({ url: `${origin}/api/ping`, connections: CONNECTIONS, duration: SECONDS });
  if (non2xx + errors > 0) throw new Error(`${non2xx + errors} pings failed`);
  return requests.average;
}

/** Each connection is a learner of its own, who sends one check after another and takes each answer before the next. */
async function checks(origin: string, sitters: readonly Sitter[]): Promise<number> {
  const free = [...sitters];
  const wrong: string[] = [];
  const { requests, non2xx, errors } = await autocannon({
    url: origin,
    connections: CONNECTIONS,
    duration: SECONDS,
    setupClient: (client) => {
      const sitter = free.pop();
      if (!sitter) throw new Error('There are fewer learners than connections');
      const { sittingId, cookie } = sitter;
      client.setRequests([
        {
          method: 'POST',
          setupRequest: (request) => {
            const body = JSON.stringify({ question: 0, after: sitter.last, moves: [{ id: randomUUID(), kind: 'check' }] });
            return { ...request, path: `/api/sittings/${sittingId}/moves`, headers: { 'content-type': 'application/json', origin, cookie }, body };
          },
          onResponse: (status, body) => {
            const answer = JSON.parse(body) as { ok: boolean; value?: { last: number; told: { try: unknown } | null } };
            if (status !== 200 || answer.value?.last !== sitter.last + 1 || !answer.value.told?.try) wrong.push(body);
            else sitter.last = answer.value.last;
          },
        },
      ]);
    },
  });
  if (wrong.length + non2xx + errors > 0) throw new Error(`${wrong.length + non2xx + errors} checks were not judged: ${wrong[0]}`);
  return requests.average;
}

/** Checks judged and stored a second over HTTP at 32 connections, against requests for /api/ping of the same server in the same run. A round has learners of its own: the last answers of one are not waited for. */
export async function checkRate(origin: string, sitters: readonly Sitter[]): Promise<Measured> {
  const rates: { ping: number; check: number }[] = [];
  for (let round = 0; round < ROUNDS; round++)
    rates.push({ ping: await pings(origin), check: await checks(origin, sitters.slice(round * CONNECTIONS, (round + 1) * CONNECTIONS)) });
  const ping = median(rates.map((r) => r.ping));
  const check = median(rates.map((r) => r.check));
  const ratio = check / ping;
  return { name: 'checks judged and stored a second / pings', value: ratio.toFixed(3), connections: CONNECTIONS, ping, check, goal: '≥ 0.25', met: ratio >= 0.25 };
}
