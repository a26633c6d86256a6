import { eq } from 'drizzle-orm';
import type { Question } from '../../core';
import type { Database } from '../database/open';
import { questionTag, questionWords } from '../database/tables';

type Writes = Pick<Database, 'insert' | 'select'>;

/**
 * The searchable words of a question: every label and every run of text in it. Names of colours and the like do not
 * belong to them.
 */
export function wordsOf(document: Question): string {
  const found: string[] = [];
  JSON.stringify({ ...document, looks: null, bench: null }, (field, value) => {
    if ((field === 'label' || field === 'text') && typeof value === 'string' && value.trim() !== '') found.push(value);
    return value;
  });
  return found.join(' ');
}

/** Updates the searchable words of a question. */
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

/** Updates the searchable tags of a question. */
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

/** A search as an FTS5 query: every word is required, the last one may be a prefix. Null: no words. */
export function asMatch(typed: string): string | null {
  const words = typed.match(/[\p{L}\p{N}\p{M}]+/gu);
  return words ? words.map((word, i) => `"${word}"${i === words.length - 1 ? '*' : ''}`).join(' ') : null;
}
