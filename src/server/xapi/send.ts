import { eq } from 'drizzle-orm';
import type { Statement } from '../../formats/xapi';
import type { Context } from '../context';
import { recordStore } from '../database/tables';
import type { OutboxRow, Outcome } from '../outbox/outbox';
import { ask, NotReached, type Reply } from '../outside/ask';
import { under, waitOf } from '../outside/replies';
import { identityOf } from './identity';
import { type Store, storeOf } from './recordStore';
import { statementsOf, toldOf } from './statements';

/** So many statements are sent at once. */
const MAX_AT_ONCE = 100;
/** A batch that is refused so often for a reason of ours is given up. */
const MAX_REFUSED = 8;

/** The statements of a row that need not be sent any more. */
interface Sent {
  readonly arrived: readonly string[];
  /** The store has another statement under their ids. */
  readonly refused: readonly string[];
}

const sentOf = ({ body }: OutboxRow): Sent => (body as Sent | null) ?? { arrived: [], refused: [] };

/** Sends what a learner did at a release to the record store, as far as it has not arrived there. */
export async function sendStatements(context: Context, row: OutboxRow): Promise<Outcome> {
  const store = await storeOf(context);
  const [learnerId = '', releaseId = ''] = row.subject.split('/');
  if (store?.id !== row.place) return { arrived: true };
  const told = await toldOf(context, await identityOf(context), releaseId, store.names);
  if (!told) return { arrived: true };
  const sent = sentOf(row);
  const done = new Set([...sent.arrived, ...sent.refused]);
  const due = (await statementsOf(context, told, learnerId)).filter(
    ({ id, timestamp }) => !done.has(id) && Date.parse(timestamp) >= store.since.getTime(),
  );
  const trip: Trip = { context, store, arrived: [...sent.arrived], refused: [...sent.refused] };
  let stopped: Reply | NotReached | null = null;
  for (let from = 0; from < due.length && stopped === null; from += MAX_AT_ONCE)
    stopped = await deliver(trip, due.slice(from, from + MAX_AT_ONCE));
  const body: Sent = { arrived: trip.arrived, refused: trip.refused };
  if (stopped) return { ...failureOf(stopped, row.tries, context.now()), body };
  if (trip.refused.length > 0)
    return {
      ...{ arrived: false, again: false, body },
      reason: `The record store has ${trip.refused.length === 1 ? 'a statement' : `${trip.refused.length} statements`} of ours in another form.`,
    };
  return { arrived: true, body };
}

interface Trip {
  readonly context: Context;
  readonly store: Store;
  readonly arrived: string[];
  readonly refused: string[];
}

/**
 * Sends some statements, in parts where they are too much at once or where one of them is refused. Null: all of them
 * have arrived, or never will; else why no more are sent for now.
 */
async function deliver(trip: Trip, statements: readonly Statement[]): Promise<Reply | NotReached | null> {
  const { context, store, arrived, refused } = trip;
  let reply: Reply;
  try {
    reply = await post(context, store, statements);
  } catch (error) {
    if (error instanceof NotReached) return error;
    throw error;
  }
  const ids = statements.map(({ id }) => id);
  if (reply.status >= 200 && reply.status < 300) {
    arrived.push(...ids);
    return null;
  }
  const isConflict = reply.status === 409;
  if (statements.length === 1 && isConflict) {
    refused.push(...ids);
    return null;
  }
  if (statements.length === 1 || !(isConflict || reply.status === 413)) return reply;
  const half = Math.ceil(statements.length / 2);
  return (await deliver(trip, statements.slice(0, half))) ?? deliver(trip, statements.slice(half));
}

const NEWER = '2.0.0';

/** Posts statements (xAPI 1.0.3, part 3, 2.1.2); to a store that says it takes version 2.0 alone, again as that. */
async function post(context: Context, store: Store, statements: readonly Statement[]): Promise<Reply> {
  const send = (version: string) =>
    ask(context.config.outside, under(store.address, 'statements'), {
      method: 'POST',
      headers: {
        'content-type': 'application/json',
        authorization: `Basic ${Buffer.from(`${store.key}:${store.secret}`).toString('base64')}`,
        'x-experience-api-version': version,
      },
      body: JSON.stringify(statements),
    });
  const reply = await send(store.version);
  const takes = reply.headers.get('x-experience-api-version') ?? '';
  if (reply.status !== 400 || store.version === NEWER || !takes.startsWith('2.')) return reply;
  const again = await send(NEWER);
  if (again.status !== 400)
    await context.db.update(recordStore).set({ version: NEWER }).where(eq(recordStore.id, store.id));
  return again;
}

function failureOf(stopped: Reply | NotReached, tries: number, now: Date): Extract<Outcome, { arrived: false }> {
  if (stopped instanceof NotReached) return { arrived: false, reason: stopped.message, again: true };
  const { status, headers } = stopped;
  const isOurs = status >= 400 && status < 500 && status !== 401 && status !== 403 && status !== 429;
  const after = waitOf(headers.get('retry-after'), now);
  const reason =
    status === 401 || status === 403
      ? `The record store does not take our key and secret (status ${status}).`
      : `The record store answers with status ${status}.`;
  return { arrived: false, reason, again: !isOurs || tries < MAX_REFUSED, ...(after === null ? {} : { after }) };
}
