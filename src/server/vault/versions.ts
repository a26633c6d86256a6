import { and, asc, eq, gt } from 'drizzle-orm';
import type { VersionRow } from '../../contract';
import { applyAll, editsUpToDate, invertAll, type Question } from '../../core';
import type { As, Teacher } from '../context';
import { user } from '../database/accountTables';
import { questionRevision } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { accessTo } from './access';
import { completed } from './examine';

/** The pause after which further edits make a new version. */
const PAUSE_MS = 3 * 60 * 1000;
/** The longest that one version goes on being changed. */
const LONGEST_MS = 15 * 60 * 1000;

/** The versions of a teacher's question, newest first; the oldest is the question as it was made. */
export async function listVersions(as: As<Teacher>, id: string): Promise<Result<VersionRow[]>> {
  const { db } = as;
  const row = (await accessTo(as, id, 'see'))?.row;
  if (!row || row.deletedAt) return fail('notFound');
  const maker = await db.query.user.findFirst({ where: eq(user.id, row.ownerId) });
  const revisions = await db
    .select({
      revision: questionRevision.revision,
      at: questionRevision.at,
      by: user.name,
      name: questionRevision.name,
    })
    .from(questionRevision)
    .innerJoin(user, eq(user.id, questionRevision.authorId))
    .where(eq(questionRevision.questionId, id))
    .orderBy(asc(questionRevision.revision));
  const versions: VersionRow[] = [{ revision: 1, at: row.createdAt, by: maker?.name ?? '', changes: 0, name: null }];
  let begun = row.createdAt;
  for (const [i, one] of revisions.entries()) {
    const before = revisions[i - 1];
    const last = versions.at(-1) as VersionRow;
    // What has a name ends its version.
    const goesOn =
      before !== undefined &&
      before.name === null &&
      one.by === before.by &&
      one.at.getTime() - before.at.getTime() < PAUSE_MS &&
      one.at.getTime() - begun.getTime() < LONGEST_MS;
    if (goesOn) {
      const { revision, at, name } = one;
      versions[versions.length - 1] = { ...last, revision, at, name, changes: last.changes + 1 };
    } else {
      begun = one.at;
      versions.push({ ...one, changes: 1 });
    }
  }
  return ok(versions.reverse());
}

/** The question at a revision: later edits are undone, newest first. */
export async function versionAt(
  as: As<Teacher>,
  id: string,
  revision: number,
): Promise<Result<{ question: Question }>> {
  const { db } = as;
  const row = (await accessTo(as, id, 'see'))?.row;
  if (!row || row.deletedAt || !Number.isInteger(revision) || revision < 1 || revision > row.revision)
    return fail('notFound');
  const later = await db
    .select({ edits: questionRevision.edits })
    .from(questionRevision)
    .where(and(eq(questionRevision.questionId, id), gt(questionRevision.revision, revision)))
    .orderBy(asc(questionRevision.revision));
  const document = later.reduceRight((now, { edits }) => applyAll(now, invertAll(editsUpToDate(edits))), row.document);
  return ok({ question: await completed(as, document) });
}

/** Names the question as it stood at a revision; the first one is as it was made, and has no other name. */
export async function nameVersion(
  as: As<Teacher>,
  id: string,
  revision: number,
  name: string | null,
): Promise<Result<null>> {
  const found = await accessTo(as, id, 'edit');
  if (!found) return fail((await accessTo(as, id, 'see')) ? 'notAllowed' : 'notFound');
  const named = await as.db
    .update(questionRevision)
    .set({ name })
    .where(and(eq(questionRevision.questionId, id), eq(questionRevision.revision, revision)))
    .returning({ revision: questionRevision.revision });
  return named.length > 0 ? ok(null) : fail('notFound');
}
