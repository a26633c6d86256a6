import { type ErrorCode, errors, type Failure, statusOf } from '../errors';

export interface ErrorBody {
  ok: false;
  error: { code: ErrorCode; message: string; nextStep: string; problems?: Failure['problems']; detail?: unknown };
}

export const json = (value: unknown, status = 200, headers: Record<string, string> = {}): Response =>
  new Response(JSON.stringify(value), {
    status,
    headers: { 'content-type': 'application/json', 'cache-control': 'no-store', ...headers },
  });

/** Problems listed in one answer: more would not help. */
const MAX_PROBLEMS = 20;

export function failed({ code, problems, detail }: Failure): Response {
  const [status, message, nextStep] = errors[code];
  const body: ErrorBody = {
    ok: false,
    error: {
      code,
      message,
      nextStep,
      ...(problems ? { problems: problems.slice(0, MAX_PROBLEMS) } : {}),
      ...(detail === undefined ? {} : { detail }),
    },
  };
  return json(body, status);
}

export const failedAs = (code: ErrorCode): Response => failed({ ok: false, code });
export { statusOf };
