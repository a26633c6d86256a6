import { and, eq, gt, isNull } from 'drizzle-orm';
import type { As, Context } from '../context';
import { ltiLaunch } from '../database/tables';
import { digestOf } from './login';

type Launch = typeof ltiLaunch.$inferSelect;

/** The page that a launch opens. */
const pathOf = ({ id, maybe, path }: Launch): string => (maybe ? `/lti/same-person?launch=${id}` : path);

/** Goes on with a launch after a press: whom to sign in, and the page to open. A ticket is good once. */
export async function continueLaunch(
  { db, now }: Context,
  launchId: string,
  ticket: string,
): Promise<{ personId: string; path: string } | null> {
  const [launch] = await db
    .update(ltiLaunch)
    .set({ ticket: null })
    .where(and(eq(ltiLaunch.id, launchId), eq(ltiLaunch.ticket, digestOf(ticket)), gt(ltiLaunch.expiresAt, now())))
    .returning();
  return launch ? { personId: launch.personId, path: pathOf(launch) } : null;
}

/** A launch of the person's that waits for something of them. */
export const launchOf = ({ db, now, person }: As, id: string): Promise<Launch | undefined> =>
  db.query.ltiLaunch.findFirst({
    where: and(
      ...[eq(ltiLaunch.id, id), eq(ltiLaunch.personId, person.id), gt(ltiLaunch.expiresAt, now())],
      isNull(ltiLaunch.ticket),
    ),
  });
