import type { WordsReplaced, WordsToReplace } from '../../contract';
import { replaceWords } from '../../core';
import type { As, Teacher } from '../context';
import { ok, type Result } from '../errors';
import { changeEach } from './changeEach';

/** As many places of a question are shown before anything is done. */
const SHOWN = 5;

/** Replaces words in questions, or (without `apply`) says what would be done. */
export async function replaceInQuestions(
  as: As<Teacher>,
  { ids, apply, ...replacing }: WordsToReplace,
): Promise<Result<WordsReplaced>> {
  const questions = await changeEach(as, ids, apply, (question) => {
    const { step, places } = replaceWords(question, replacing);
    return { step, told: { count: places.length, places: places.slice(0, SHOWN) } };
  });
  return ok({ questions });
}
