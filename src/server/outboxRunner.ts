import PQueue from 'p-queue';
import type { Context } from './context';
import { log } from './log';
import { sendScore } from './lti/scores';
import { type OutboxRow, type Outcome, settle, takeDue } from './outbox/outbox';
import { sendStatements } from './xapi/send';

/** What is sent for each kind of row. */
const SENDERS: Record<OutboxRow['kind'], (context: Context, row: OutboxRow) => Promise<Outcome>> = {
  score: sendScore,
  statement: sendStatements,
};

const POLL_MS = 2000;
/** Rows that are taken at once, and sent at the same time. */
const AT_ONCE = 24;
const TOGETHER = 8;

/** Tries one row, and writes down how that ended. */
async function send(context: Context, row: OutboxRow): Promise<void> {
  try {
    await settle(context, row, await SENDERS[row.kind](context, row));
  } catch (error) {
    log.error({ err: error, outbox: row.id }, 'could not be sent');
    // The lease runs out, and the row is tried again.
  }
}

/** Sends all that is due now. */
export async function sendDue(context: Context): Promise<void> {
  const queue = new PQueue({ concurrency: TOGETHER });
  for (let rows = await takeDue(context, AT_ONCE); rows.length > 0; rows = await takeDue(context, AT_ONCE))
    await queue.addAll(rows.map((row) => () => send(context, row)));
}

/** Sends what waits, and looks for more at intervals, because other processes and triggers write rows too. */
export function startOutbox(context: Context): { wake(): void; stop(): Promise<void> } {
  let working: Promise<void> | null = null;
  let stopped = false;
  const wake = () => {
    if (stopped) return;
    working ??= sendDue(context)
      .catch((error: unknown) => log.error({ err: error }, 'the outbox could not be read'))
      .finally(() => {
        working = null;
      });
  };
  const timer = setInterval(wake, POLL_MS);
  timer.unref();
  return {
    wake,
    stop: async () => {
      stopped = true;
      clearInterval(timer);
      await working;
    },
  };
}
