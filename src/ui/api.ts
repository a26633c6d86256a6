import type { AnswerFor, OperationName, ParametersFor, QueryFor, SentBodyFor, Wire } from '../contract';

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

/** The parameters of the path by their names, and the body and the query where the operation takes any. */
export type Asking<Name extends OperationName> = ParametersFor<Name> &
  (SentBodyFor<Name> extends null ? unknown : { readonly body: SentBodyFor<Name> }) &
  (QueryFor<Name> extends null ? unknown : { readonly query?: Partial<QueryFor<Name>> });

/** Left out where nothing has to be said. */
type Rest<Name extends OperationName> = Record<never, never> extends Asking<Name> ? [asking?: Asking<Name>] : [asking: Asking<Name>];

/** What an operation answers with, as it comes over the network. */
export type Answer<Name extends OperationName> = Wire<AnswerFor<Name>>;

/** The address of an operation, its parameters put in; empty query parameters are left out. */
export function addressOf<Name extends OperationName>(name: Name, ...[asking]: Rest<Name>): string {
  const given: Readonly<Record<string, unknown>> = { ...asking };
  const path = name.slice(name.indexOf(' ') + 1).replace(/\{(\w+)\}/g, (_, parameter: string) => encodeURIComponent(String(given[parameter])));
  const named = Object.entries({ ...(given.query ?? {}) }).filter(([, value]) => value !== undefined && value !== null && value !== '');
  const query = new URLSearchParams(named.map(([key, value]) => [key, String(value)])).toString();
  return query === '' ? path : `${path}?${query}`;
}

/** Asks an endpoint. Never throws: a line that is down is an answer too. */
export async function api<Name extends OperationName>(name: Name, ...rest: Rest<Name>): Promise<ApiResult<Answer<Name>>> {
  const body = rest[0] && 'body' in rest[0] ? rest[0].body : undefined;
  let response: Response;
  try {
    response = await fetch(addressOf(name, ...rest), {
      method: name.slice(0, name.indexOf(' ')),
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    });
  } catch {
    return { ok: false, error: OFFLINE };
  }
  return answerIn(response);
}

/** The answer in a response of ours. Its type is the operation's by contract, which the server is held to. */
export async function answerIn<Value>(response: Response): Promise<ApiResult<Value>> {
  try {
    return (await response.json()) as ApiResult<Value>;
  } catch {
    return { ok: false, error: response.status >= 502 ? OFFLINE : UNREADABLE };
  }
}

/** What was answered, made into something else; what went wrong stays. */
export const mapped = <From, To>(answer: ApiResult<From>, to: (value: From) => To): ApiResult<To> => (answer.ok ? { ok: true, value: to(answer.value) } : answer);

/** Like {@link api}, throwing an {@link ApiFailure}: for code that waits for a promise to fail. */
export async function ask<Name extends OperationName>(name: Name, ...rest: Rest<Name>): Promise<Answer<Name>> {
  const result = await api(name, ...rest);
  if (result.ok) return result.value;
  throw new ApiFailure(result.error);
}

export class ApiFailure extends Error {
  constructor(readonly error: ApiError) {
    super(`${error.message}. ${error.wayOn}`);
  }
}
