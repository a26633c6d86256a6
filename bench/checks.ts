import { randomUUID } from 'node:crypto';
import { CONNECTIONS, pings, ROUNDS, type Sitter, sendings } from './load';
import { type Measured, median } from './measure';

/** One check after another. */
const checks = async (origin: string, sitters: readonly Sitter[]): Promise<number> => {
  const { rate } = await sendings(
    origin,
    sitters,
    (sitter) => ({ question: 0, after: sitter.last, moves: [{ id: randomUUID(), kind: 'check' }] }),
    (sitter, { last, told }) => {
      const judged = last === sitter.last + 1 && Boolean(told?.try);
      sitter.last = last;
      return judged;
    },
  );
  return rate;
};

/**
 * Checks judged and stored a second over HTTP at 32 connections, against requests for /api/ping of the same server in
 * the same run. A round has learners of its own: the last answers of one are not waited for.
 */
export async function checkRate(origin: string, sitters: readonly Sitter[]): Promise<Measured> {
  const rates: { ping: number; check: number }[] = [];
  for (let round = 0; round < ROUNDS; round++)
    rates.push({
      ping: await pings(origin),
      check: await checks(origin, sitters.slice(round * CONNECTIONS, (round + 1) * CONNECTIONS)),
    });
  const ping = median(rates.map((r) => r.ping));
  const check = median(rates.map((r) => r.check));
  const ratio = check / ping;
  return {
    name: 'checks judged and stored a second / pings',
    value: ratio.toFixed(3),
    connections: CONNECTIONS,
    ping,
    check,
    goal: '≥ 0.25',
    met: ratio >= 0.25,
  };
}
