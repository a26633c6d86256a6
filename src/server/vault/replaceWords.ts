import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import type { Replacement, WordsReplaced, WordsToReplace } from '../../contract';
import { editsUpToDate, invertAll, replaceWords } from '../../core';
import type { As, Teacher } from '../context';
import { questionRevision } from '../database/tables';
import { ok, type Result } from '../errors';
import { accessTo } from './access';
import { editQuestion, openQuestion } from './questions';

/** As many places of a question are shown before anything is done. */
const SHOWN = 5;

/**
 * Replaces words in questions: what would be done, or (with `apply`) does it, each question by itself. One that the
 * teacher may not change, or that has changed meanwhile, says so and is left alone.
 */
export async function replaceInQuestions(
  as: As<Teacher>,
  { ids, apply, ...replacing }: WordsToReplace,
): Promise<Result<WordsReplaced>> {
  const questions: Replacement[] = [];
  for (const id of ids) {
    const found = await openQuestion(as, id);
    if (!found.ok) continue;
    const { question, revision } = found.value;
    const { step, places } = replaceWords(question, replacing);
    if (step.length === 0) continue;
    const row = { id, title: question.title, count: places.length, places: places.slice(0, SHOWN) };
    if (!apply || found.value.access === 'see' || found.value.access === 'use') {
      const mayNot = found.value.access === 'see' || found.value.access === 'use';
      questions.push({ ...row, revision: null, refused: mayNot ? 'You may not change it' : null });
      continue;
    }
    const edited = await editQuestion(as, id, { id: randomUUID(), from: revision, edits: step });
    questions.push({
      ...row,
      revision: edited.ok ? edited.value.revision : null,
      refused: edited.ok ? null : (edited.problems?.[0]?.message ?? 'It was changed meanwhile'),
    });
  }
  return ok({ questions });
}

/** Takes replacements back, of those questions that nobody has changed since. */
export async function undoReplacing(
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
