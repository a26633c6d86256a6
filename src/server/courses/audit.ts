import { desc, eq } from 'drizzle-orm';
import type { AuditRow, AuditWhat } from '../../contract';
import { namesOf } from '../accounts/people';
import type { As, Teacher } from '../context';
import type { Database } from '../database/open';
import { audit, release } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { courseOf } from './access';

export interface AuditEntry {
  readonly courseId: string;
  readonly releaseId?: string | null;
  readonly learnerId?: string | null;
  readonly what: AuditWhat;
  readonly detail: Record<string, unknown>;
}

/** Records who changed marks, or what marks depend on. */
export async function record(
  { db, person, now }: Pick<As, 'person' | 'now'> & { db: Pick<Database, 'insert'> },
  entry: AuditEntry,
): Promise<void> {
  await db.insert(audit).values({ ...entry, by: person.id, at: now() });
}

const MOST = 500;

/** Who changed marks in a course, newest first. */
export async function listAudit(as: As<Teacher>, courseId: string): Promise<Result<AuditRow[]>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const rows = await as.db
    .select({
      n: audit.n,
      at: audit.at,
      byId: audit.by,
      what: audit.what,
      learnerId: audit.learnerId,
      release: release.title,
      detail: audit.detail,
    })
    .from(audit)
    .leftJoin(release, eq(release.id, audit.releaseId))
    .where(eq(audit.courseId, courseId))
    .orderBy(desc(audit.n))
    .limit(MOST);
  const names = await namesOf(
    as,
    rows.flatMap(({ byId, learnerId }) => (learnerId ? [byId, learnerId] : [byId])),
  );
  return ok(
    rows.map(({ byId, learnerId, ...row }) => ({
      ...row,
      by: names.get(byId) ?? 'somebody who is not here any more',
      learner: learnerId && (names.get(learnerId) ?? null),
    })),
  );
}
