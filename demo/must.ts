import type { Result } from '../src/server/errors';

/** What has to go well here: its value, or an error that says why not. */
export function must<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(`${result.code} ${JSON.stringify(result.problems ?? '')}`);
  return result.value;
}
