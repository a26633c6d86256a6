import { type ErrorCode, errors } from '../contract/errors';
import type { Problem } from '../core';

export { type ErrorCode, errors };

export const statusOf = (code: ErrorCode) => errors[code][0];

/** Expected errors are values. `detail` is sent to the client: it holds only what the person who asks may see. */
export interface Failure {
  readonly ok: false;
  readonly code: ErrorCode;
  readonly problems?: readonly Problem[] | undefined;
  readonly detail?: unknown;
}
export type Result<T> = { readonly ok: true; readonly value: T } | Failure;

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });
export const fail = (code: ErrorCode, more: { problems?: readonly Problem[]; detail?: unknown } = {}): Failure => ({
  ok: false,
  code,
  ...more,
});
