import type {
  AnswerFor,
  ErrorCode,
  OperationName,
  ParametersFor,
  QueryFor,
  Revised,
  SentBodyFor,
  TakesFile,
  Wire,
} from '../contract';

/** An endpoint's error; `code` is "offline" if there was no answer. */
export interface ApiError {
  readonly code: ErrorCode | 'offline';
  readonly message: string;
  readonly nextStep: string;
  readonly problems?: readonly { path: string; message: string }[];
  readonly detail?: unknown;
}
export type ApiResult<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: ApiError };

const OFFLINE: ApiError = {
  code: 'offline',
  message: 'You are offline',
  nextStep: 'What you did is saved here and sent when you are back.',
};
const UNREADABLE: ApiError = {
  code: 'unexpected',
  message: 'Something went wrong here',
  nextStep: 'Try again in a moment.',
};

/** The path parameters by name, and the body (or file) and query if the operation has them. */
export type Asking<Name extends OperationName> = ParametersFor<Name> &
  (SentBodyFor<Name> extends null ? unknown : { readonly body: SentBodyFor<Name> }) &
  (TakesFile<Name> extends true ? { readonly file: Blob } : unknown) &
  (QueryFor<Name> extends null ? unknown : { readonly query?: Partial<QueryFor<Name>> }) & {
    /** It is sent on after its page was left. */
    readonly keepalive?: boolean;
  };

/** Optional if the operation takes nothing. */
type Rest<Name extends OperationName> =
  Record<never, never> extends Asking<Name> ? [asking?: Asking<Name>] : [asking: Asking<Name>];

/** The answer of an operation, as it arrives over the network. */
export type Answer<Name extends OperationName> = Wire<AnswerFor<Name>>;

/** The address of an operation, its parameters put in; empty query parameters are left out. */
export function addressOf<Name extends OperationName>(name: Name, ...[asking]: Rest<Name>): string {
  const given: Readonly<Record<string, unknown>> = { ...asking };
  const path = name
    .slice(name.indexOf(' ') + 1)
    .replace(/\{(\w+)\}/g, (_, parameter: string) => encodeURIComponent(String(given[parameter])));
  const named = Object.entries({ ...(given.query ?? {}) }).filter(
    ([, value]) => value !== undefined && value !== null && value !== '',
  );
  const query = new URLSearchParams(named.map(([key, value]) => [key, String(value)])).toString();
  return query === '' ? path : `${path}?${query}`;
}

/** Calls an endpoint. Never throws: being offline is an answer too. */
export async function api<Name extends OperationName>(
  name: Name,
  ...rest: Rest<Name>
): Promise<ApiResult<Answer<Name>>> {
  let response: Response;
  try {
    response = await fetch(addressOf(name, ...rest), {
      method: name.slice(0, name.indexOf(' ')),
      keepalive: rest[0]?.keepalive === true,
      ...contentOf(rest[0]),
    });
  } catch {
    return { ok: false, error: OFFLINE };
  }
  try {
    // The contract gives the type, and the server is checked against the contract.
    return (await response.json()) as ApiResult<Answer<Name>>;
  } catch {
    return { ok: false, error: response.status >= 502 ? OFFLINE : UNREADABLE };
  }
}

/**
 * The other person's version, if a write was refused because of it (`changedMeanwhile`); else null. It has the type of
 * what was to be written.
 */
export const conflictIn = <Content>({ code, detail }: ApiError): Revised<Content> | null =>
  code === 'changedMeanwhile' ? (detail as Revised<Content>) : null;

/** What a request sends: a file as it is, anything else as JSON. */
function contentOf(
  asking: { readonly body?: unknown; readonly file?: Blob; readonly keepalive?: boolean } = {},
): Pick<RequestInit, 'body' | 'headers'> {
  const { body, file } = asking;
  if (file) return { body: file, headers: { 'content-type': file.type || 'application/octet-stream' } };
  return body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } };
}

/** Maps the value of an answer; errors stay as they are. */
export const mapped = <From, To>(answer: ApiResult<From>, to: (value: From) => To): ApiResult<To> =>
  answer.ok ? { ok: true, value: to(answer.value) } : answer;

/** Like {@link api}, throwing an {@link ApiFailure}: for code that waits for a promise to fail. */
export async function ask<Name extends OperationName>(name: Name, ...rest: Rest<Name>): Promise<Answer<Name>> {
  const result = await api(name, ...rest);
  if (result.ok) return result.value;
  throw new ApiFailure(result.error);
}

export class ApiFailure extends Error {
  constructor(readonly error: ApiError) {
    super(`${error.message}. ${error.nextStep}`);
  }
}
