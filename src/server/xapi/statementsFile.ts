import { eq } from 'drizzle-orm';
import type { Statement } from '../../formats/xapi';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { markOverride, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { identityOf } from './identity';
import { byTime, statementsOf, toldOf } from './statements';

const breathe = () => new Promise((resolve) => setImmediate(resolve));

/**
 * The statements of a release as JSON lines, ordered by time. Statements share the activities that they name, so that
 * they can be sorted in memory; each line is written as it is sent.
 */
export async function statementsFile(
  as: As<Teacher>,
  releaseId: string,
): Promise<Result<{ title: string; lines: AsyncGenerator<string> }>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const told = await toldOf(as, await identityOf(as), releaseId, false);
  if (!told) return fail('notFound');
  const { db } = as;
  const learners = await db
    .select({ learnerId: sitting.learnerId })
    .from(sitting)
    .where(eq(sitting.releaseId, releaseId))
    .union(
      db.select({ learnerId: markOverride.learnerId }).from(markOverride).where(eq(markOverride.releaseId, releaseId)),
    );
  const all: Statement[] = [];
  for (const { learnerId } of learners) {
    all.push(...(await statementsOf(as, told, learnerId)));
    await breathe();
  }
  all.sort(byTime);
  return ok({ title: found.row.title, lines: asLines(all) });
}

async function* asLines(statements: readonly Statement[]): AsyncGenerator<string> {
  for (const statement of statements) yield `${JSON.stringify(statement)}\n`;
}
