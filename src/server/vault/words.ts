import { eq } from 'drizzle-orm';
import type { Question } from '../../core';
import type { Database } from '../database/open';
import { questionTag, questionWords } from '../database/tables';

type Writes = Pick<Database, 'insert' | 'select'>;

/**
 * Everything a question says to learners or is called by its author, for the search: every label and every run of text
 * in it. What things look like is no word of it.
 */
export function wordsOf(document: Question): string {
  const found: string[] = [];
  JSON.stringify({ ...document, looks: null, bench: null }, (field, value) => {
    if ((field === 'label' || field === 'text') && typeof value === 'string' && value.trim() !== '') found.push(value);
    return value;
  });
  return found.join(' ');
}

/** Brings what a question is found by up to the document as it is now. */
export async function noteWords(
  db: Writes,
  questionId: string,
  words: { readonly title: string; readonly words: string },
): Promise<void> {
  const { title, words: all } = words;
  await db
    .insert(questionWords)
    .values({ questionId, title, words: all, tags: '' })
    .onConflictDoUpdate({ target: questionWords.questionId, set: { title, words: all } });
}

/** Brings the tags a question is found by up to those it has. */
export async function noteTags(db: Writes & Pick<Database, 'update'>, questionId: string): Promise<void> {
  const rows = await db
    .select({ tag: questionTag.tag })
    .from(questionTag)
    .where(eq(questionTag.questionId, questionId));
  await db
    .update(questionWords)
    .set({ tags: rows.map(({ tag }) => tag).join(' ') })
    .where(eq(questionWords.questionId, questionId));
}

/**
 * What was typed, as a query of FTS5: every word has to be there, the last one perhaps only begun. Null: there is
 * nothing to look for.
 */
export function asMatch(typed: string): string | null {
  const words = typed.match(/[\p{L}\p{N}\p{M}]+/gu);
  return words ? words.map((word, i) => `"${word}"${i === words.length - 1 ? '*' : ''}`).join(' ') : null;
}
