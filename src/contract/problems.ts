import { type Schema, ValidationError } from 'yup';

export interface FieldProblem {
  readonly path: string;
  readonly message: string;
}

/** The problems of a validation error, each with its place; any other error is thrown again. */
export function problemsOf(error: unknown): FieldProblem[] {
  if (!(error instanceof ValidationError)) throw error;
  const each = error.inner.length > 0 ? error.inner : [error];
  return each.map(({ path, message }) => ({ path: path ?? '', message }));
}

/** The problems of a value under a schema, without converting it. */
export function problemsIn(schema: Schema, value: unknown): FieldProblem[] {
  try {
    schema.validateSync(value, { strict: true, abortEarly: false, disableStackTrace: true });
    return [];
  } catch (error) {
    return problemsOf(error);
  }
}
