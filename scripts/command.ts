import { type App, makeApp } from '../src/server/app';
import { readConfig, StartProblem } from '../src/server/config';

/** Ends a command with a sentence. */
export function stop(words: string, code: number): never {
  console.error(words);
  process.exit(code);
}

/** The application, for a command; a configuration that makes no sense ends the command with a sentence. */
export async function opened(): Promise<App> {
  try {
    return await makeApp(readConfig(process.env));
  } catch (error) {
    if (error instanceof StartProblem) return stop(error.message, 1);
    throw error;
  }
}
