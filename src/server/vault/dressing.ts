import type { Dressing, QuestionsDressed } from '../../contract';
import { dressLike } from '../../core';
import type { As, Teacher } from '../context';
import { ok, type Result } from '../errors';
import { changeEach } from './changeEach';
import { openQuestion } from './questions';

/** Dresses questions like one of them or another: its ground, letters and looks. */
export async function dressQuestions(as: As<Teacher>, { ids, like }: Dressing): Promise<Result<QuestionsDressed>> {
  const found = await openQuestion(as, like);
  if (!found.ok) return found;
  const others = ids.filter((id) => id !== like);
  const questions = await changeEach(as, others, true, (question) => ({
    step: dressLike(question, found.value.question),
    told: {},
  }));
  return ok({ questions });
}
