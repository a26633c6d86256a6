import { subDays } from 'date-fns';
import { eq } from 'drizzle-orm';
import { sweep } from './accounts/sweep';
import type { Context } from './context';
import { user } from './database/accountTables';
import { fail, ok, type Result } from './errors';
import { endJob, failLost, type JobRow, LEASE_MS, renew, takeJob } from './jobs/jobs';
import { log } from './log';
import { clearLetters } from './mail/mail';
import { publishPrepared } from './releases/publish';
import { workOutResults } from './results/analysis';
import { DIGESTS } from './sittings/digests';
import { addMorningMail, MORNING_MAIL, sendMorningMail } from './today/mail';

/** The work of a kind of job. `progress` reports how many parts are done. */
type Work = (
  context: Context,
  ownerId: string,
  input: never,
  job: { readonly id: string; readonly progress: (done: number) => Promise<void> },
) => Promise<Result<unknown>>;
const WORKS: Readonly<Record<string, Work>> = {
  publish: (context, ownerId, input, { progress }) => publishPrepared(context, ownerId, input, progress),
  [DIGESTS]: async (context, _, { releaseId }: { releaseId: string }) => {
    await workOutResults(context, releaseId);
    return ok(null);
  },
  [MORNING_MAIL]: (context, ownerId, input, { id }) => sendMorningMail(context, ownerId, input, id),
};

const POLL_MS = 2000;
const SWEEP_MS = 3600 * 1000;

async function run(context: Context, taken: JobRow): Promise<void> {
  const keepAlive = setInterval(() => void renew(context, taken.id).catch(() => undefined), LEASE_MS / 3);
  try {
    const owner = await context.db.query.user.findFirst({ columns: { id: true }, where: eq(user.id, taken.ownerId) });
    const work = WORKS[taken.kind];
    const result =
      owner && work
        ? await work(context, owner.id, taken.input as never, {
            id: taken.id,
            progress: (done) => renew(context, taken.id, done),
          })
        : fail('notFound');
    await endJob(context, taken.id, result);
  } catch (error) {
    log.error({ err: error, job: taken.id }, 'a job failed');
    // The lease runs out, and the job is tried again.
  } finally {
    clearInterval(keepAlive);
  }
}

async function clear(context: Context): Promise<void> {
  await sweep(context);
  const { logDays } = context.config.keep;
  if (logDays !== null) await clearLetters(context.config, subDays(context.now(), logDays));
}

export interface JobRunner {
  /** A job was added: look at once. */
  wake(): void;
  /** Stops taking jobs; resolves once the present one is done. */
  stop(): Promise<void>;
}

/** Works on jobs one after another, and looks for new ones at intervals, because other processes add jobs too. */
export function startJobs(context: Context): JobRunner {
  let working: Promise<void> | null = null;
  let stopped = false;
  const work = async () => {
    try {
      await failLost(context);
      await addMorningMail(context);
      for (let taken = await takeJob(context); taken; taken = stopped ? null : await takeJob(context))
        await run(context, taken);
    } catch (error) {
      log.error({ err: error }, 'jobs could not be looked for');
    }
  };
  const wake = () => {
    if (stopped) return;
    working ??= work().finally(() => {
      working = null;
    });
  };
  const timer = setInterval(wake, POLL_MS);
  timer.unref();
  const sweeping = setInterval(
    () => void clear(context).catch((error: unknown) => log.error({ err: error }, 'could not be cleared')),
    SWEEP_MS,
  );
  sweeping.unref();
  return {
    wake,
    stop: async () => {
      stopped = true;
      clearInterval(timer);
      clearInterval(sweeping);
      await working;
    },
  };
}
