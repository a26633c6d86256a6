import { type Parsed, parseQuestionText } from '../core/document';
import { MAX_BYTES, readAll } from './input';

/** Reads a question document from a file or from standard input (`-`). */
export async function readQuestion(path: string): Promise<Parsed> {
  const text = await readAll(path);
  if (text === null)
    return {
      ok: false,
      problems: [{ path: '', message: `The document is longer than ${MAX_BYTES / 1024 / 1024} MiB.` }],
    };
  return parseQuestionText(text);
}
