import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { kindQuestions } from '../../demo/kinds';
import { demoQuestions, type Kept } from '../../demo/made';
import type { Question } from '../../src/core';
import { parseQuestionText } from '../../src/core/document';

/** The demo's media as if they were stored. */
export const demoMedia = (): Kept =>
  Object.fromEntries(
    readdirSync(join(import.meta.dirname, '../../demo/media'))
      .filter((file) => !file.endsWith('.vtt'))
      .map((file) => [
        file.replace(/\..*$/, ''),
        {
          hash: 'a'.repeat(64),
          kind: file.endsWith('.wav') ? 'sound' : file.endsWith('.webm') ? 'film' : 'picture',
          weight: 1000,
        },
      ]),
  );

/** The demo's questions that are made by code, with the pieces of the rack as if they were cut. */
export function madeQuestions(): Question[] {
  const kept = demoMedia();
  const pieced: Kept = {
    ...kept,
    ...Object.fromEntries(
      [1, 2, 3, 4, 5, 6].map((n) => [`rack-${n}`, { hash: String(n).repeat(64), kind: 'picture', weight: 1000 }]),
    ),
  };
  return [...demoQuestions(kept), ...kindQuestions(pieced)];
}

/** The same, with those that are files. */
export function everyDemoQuestion(): Question[] {
  const folder = join(import.meta.dirname, '../../demo/questions');
  const files = readdirSync(folder).map((file) => {
    const parsed = parseQuestionText(readFileSync(join(folder, file), 'utf8'));
    if (!parsed.ok) throw new Error(`${file}: ${JSON.stringify(parsed.problems)}`);
    return parsed.question;
  });
  return [...files, ...madeQuestions()];
}
