/** What an endpoint answered when it could not do what was asked; `code` "offline" when nothing answered at all. */
export interface ApiError {
  readonly code: string;
  readonly message: string;
  readonly wayOn: string;
  readonly problems?: readonly { path: string; message: string }[];
  readonly detail?: unknown;
}
export type ApiResult<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: ApiError };

const OFFLINE: ApiError = { code: 'offline', message: 'The line is down', wayOn: 'What you did is kept here and goes out when the line is back.' };
const UNREADABLE: ApiError = { code: 'unexpected', message: 'Something went wrong here', wayOn: 'Try again in a moment.' };

/** Asks an endpoint. Never throws: a line that is down is an answer too. */
export async function api<T>(method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE', path: string, body?: unknown): Promise<ApiResult<T>> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    });
  } catch {
    return { ok: false, error: OFFLINE };
  }
  try {
    return (await response.json()) as ApiResult<T>;
  } catch {
    return { ok: false, error: response.status >= 502 ? OFFLINE : UNREADABLE };
  }
}

/** What was answered, made into something else; what went wrong stays. */
export const mapped = <From, To>(answer: ApiResult<From>, to: (value: From) => To): ApiResult<To> => (answer.ok ? { ok: true, value: to(answer.value) } : answer);

/** Like {@link api}, throwing an {@link ApiFailure}: for code that waits for a promise to fail. */
export async function ask<T>(...request: Parameters<typeof api>): Promise<T> {
  const result = await api<T>(...request);
  if (result.ok) return result.value;
  throw new ApiFailure(result.error);
}

export class ApiFailure extends Error {
  constructor(readonly error: ApiError) {
    super(`${error.message}. ${error.wayOn}`);
  }
}
