import { type Schema, ValidationError } from 'yup';

export interface FieldProblem {
  readonly path: string;
  readonly message: string;
}

/** What a schema found wrong, each with its place; any other error is thrown on. */
export function problemsOf(error: unknown): FieldProblem[] {
  if (!(error instanceof ValidationError)) throw error;
  const each = error.inner.length > 0 ? error.inner : [error];
  return each.map(({ path, message }) => ({ path: path ?? '', message }));
}

/** What a schema finds wrong in a value, which is turned into no other type. */
export function problemsIn(schema: Schema, value: unknown): FieldProblem[] {
  try {
    schema.validateSync(value, { strict: true, abortEarly: false, disableStackTrace: true });
    return [];
  } catch (error) {
    return problemsOf(error);
  }
}
