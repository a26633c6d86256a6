import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import type { ChangedQuestion } from '../../contract';
import { editsUpToDate, invertAll, type Question, type Step } from '../../core';
import type { As, Teacher } from '../context';
import { questionRevision } from '../database/tables';
import { ok, type Result } from '../errors';
import { accessTo } from './access';
import { editQuestion, openQuestion } from './questions';

/**
 * Changes questions, each by itself: what would be done, or (with `apply`) does it. One that the teacher may not
 * change, or that has changed meanwhile, says so and is left alone; one that `change` makes nothing of is passed over.
 */
export async function changeEach<Told extends object>(
  as: As<Teacher>,
  ids: readonly string[],
  apply: boolean,
  change: (question: Question) => { readonly step: Step; readonly told: Told },
): Promise<(ChangedQuestion & Told)[]> {
  const changed: (ChangedQuestion & Told)[] = [];
  for (const id of ids) {
    const found = await openQuestion(as, id);
    if (!found.ok) continue;
    const { question, revision, access } = found.value;
    const { step, told } = change(question);
    if (step.length === 0) continue;
    const row = { id, title: question.title, ...told };
    const mayNot = access === 'see' || access === 'use';
    if (!apply || mayNot) {
      changed.push({ ...row, revision: null, refused: mayNot ? 'You may not change it' : null });
      continue;
    }
    const edited = await editQuestion(as, id, { id: randomUUID(), from: revision, edits: step });
    changed.push({
      ...row,
      revision: edited.ok ? edited.value.revision : null,
      refused: edited.ok ? null : (edited.problems?.[0]?.message ?? 'It was changed meanwhile'),
    });
  }
  return changed;
}

/** Takes such changes back, of those questions that nobody has changed since. */
export async function takeBack(
  as: As<Teacher>,
  done: readonly { readonly id: string; readonly revision: number }[],
): Promise<Result<{ questions: number }>> {
  let questions = 0;
  for (const { id, revision } of done) {
    const found = await accessTo(as, id, 'edit');
    if (!found || found.row.revision !== revision) continue;
    const batch = await as.db.query.questionRevision.findFirst({
      where: and(eq(questionRevision.questionId, id), eq(questionRevision.revision, revision)),
    });
    if (!batch) continue;
    const edits = invertAll(editsUpToDate(batch.edits));
    const back = await editQuestion(as, id, { id: randomUUID(), from: revision, edits });
    if (back.ok) questions++;
  }
  return ok({ questions });
}
