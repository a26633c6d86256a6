import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { eq } from 'drizzle-orm';
import { v5 } from 'uuid';
import type { OutcomesPlan } from '../../contract';
import type { OutcomesIn } from '../../formats/case/read';
import type { As, Teacher } from '../context';
import type { Transaction } from '../database/open';
import { framework, outcome } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { type Outcome, removeOutcomes } from './outcomes';

const READ_MS = 20_000;

export interface Taking {
  readonly take: boolean;
  /** Of a list: the framework it is. */
  readonly id?: string | undefined;
  readonly title?: string | undefined;
}

/** Says what an uploaded file of outcomes would change, or takes it: all of it or nothing. */
export async function takeOutcomes(
  as: As<Teacher>,
  file: string,
  { take, id, title }: Taking,
): Promise<Result<OutcomesPlan>> {
  const worked = await as.work.run('readOutcomes', await readFile(file, 'utf8'), READ_MS);
  if (!worked.ok) return fail('invalid', { problems: [{ path: 'file', message: 'This takes too long to read.' }] });
  const read = worked.value;
  const known = await frameworkOf(as, read, id);
  if (known && known.ownerId !== as.person.id) return fail('notAllowed');
  const named = read.document?.title ?? title ?? known?.title ?? '';
  const problems = [...read.problems, ...(named === '' ? [{ where: 'title', message: 'A list needs a title.' }] : [])];
  const before = known ? await as.db.select().from(outcome).where(eq(outcome.frameworkId, known.id)) : [];
  const plan: OutcomesPlan = {
    ...{ frameworkId: known?.id ?? null, title: named, notes: [...read.notes], problems, taken: false },
    ...compared(before, read, known?.id ?? null),
    ...{ withdrawn: 0, removed: 0 },
  };
  const missing = before.filter(({ key, withdrawn }) => !withdrawn && !read.outcomes.some((next) => next.key === key));
  if (!take || problems.length > 0) return ok({ ...plan, withdrawn: missing.length });
  return as.db.transaction(async (tx): Promise<Result<OutcomesPlan>> => {
    const frameworkId = known?.id ?? id ?? randomUUID();
    await tx
      .insert(framework)
      .values({
        ...{ id: frameworkId, identifier: read.document?.identifier ?? null, title: named.slice(0, 200) },
        ...{ ownerId: as.person.id, at: as.now() },
      })
      .onConflictDoUpdate({ target: framework.id, set: { title: named.slice(0, 200), at: as.now() } });
    await keep(tx, frameworkId, read);
    const gone = await removeOutcomes(tx, missing);
    return ok({ ...plan, ...gone, frameworkId, taken: true });
  });
}

async function frameworkOf({ db }: As<Teacher>, read: OutcomesIn, id: string | undefined) {
  if (read.document) return db.query.framework.findFirst({ where: eq(framework.identifier, read.document.identifier) });
  return id === undefined ? undefined : db.query.framework.findFirst({ where: eq(framework.id, id) });
}

/** An outcome keeps its id as long as it keeps its key. */
const idOf = (frameworkId: string, key: string): string => v5(key, frameworkId);

function compared(before: readonly Outcome[], read: OutcomesIn, frameworkId: string | null) {
  const known = new Map(before.map((row) => [row.key, row]));
  const isChanged = ({ key, code, words, parents }: OutcomesIn['outcomes'][number]): boolean => {
    const was = known.get(key);
    if (!was) return false;
    const parent = parents[0] === undefined || frameworkId === null ? null : idOf(frameworkId, parents[0]);
    return was.code !== code || was.words !== words || was.parentId !== parent || was.withdrawn;
  };
  return {
    added: read.outcomes.filter(({ key }) => !known.has(key)).length,
    changed: read.outcomes.filter(isChanged).length,
  };
}

async function keep(tx: Transaction, frameworkId: string, { outcomes }: OutcomesIn): Promise<void> {
  for (const [position, { key, code, words, parents }] of outcomes.entries()) {
    const [parent] = parents;
    const row = {
      ...{ code, words, position, withdrawn: false },
      parentId: parent === undefined ? null : idOf(frameworkId, parent),
    };
    await tx
      .insert(outcome)
      .values({ ...row, id: idOf(frameworkId, key), frameworkId, key })
      .onConflictDoUpdate({ target: [outcome.frameworkId, outcome.key], set: row });
  }
}
