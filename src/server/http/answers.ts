import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { AnySchema, ValidateFunction } from 'ajv';

const BASE = 'https://vault-drop.example/docs/api/openapi.json';

/** A schema of the API document by its path, such as `['paths', '/api/tags', 'get', …]`; null if there is none. */
export type ApiSchemas = (place: readonly string[]) => ValidateFunction | null;

/**
 * The schemas of `docs/api/openapi.json`, compiled for validation. For development and tests only: `ajv` is not
 * installed in production.
 */
export async function apiSchemas(root: string): Promise<ApiSchemas> {
  const { default: Ajv } = await import('ajv/dist/2020.js');
  const ajv = new Ajv({ strict: false, allErrors: true, validateFormats: false });
  const read = (file: string): { $id?: string } => JSON.parse(readFileSync(join(root, 'docs', file), 'utf8'));
  const question = read('format/question.schema.json');
  ajv.addSchema(question);
  ajv.addSchema({ ...question, $id: new URL('../format/question.schema.json', BASE).href });
  const document = read('api/openapi.json');
  ajv.addSchema({ ...document, $id: BASE });
  return (place) => {
    const there = place.reduce<unknown>(
      (part, name) => (part as Record<string, unknown> | undefined)?.[name],
      document,
    ) as AnySchema | undefined;
    if (there === undefined) return null;
    const pointer = place.map((part) => encodeURIComponent(part.replaceAll('~', '~0').replaceAll('/', '~1'))).join('/');
    return ajv.getSchema(`${BASE}#/${pointer}`) ?? null;
  };
}

/** The problems of a value under a schema, each with its path. */
export const problemsAgainst = (validate: ValidateFunction, value: unknown): string[] =>
  validate(value) ? [] : (validate.errors ?? []).map(({ instancePath, message }) => `${instancePath} ${message}`);

/** The path of an answer's schema in the API document. */
export const placeOfAnswer = (name: string): string[] => {
  const [method = '', path = ''] = name.split(' ');
  return ['paths', path, method.toLowerCase(), 'responses', '200', 'content', 'application/json', 'schema'];
};

let schemas: Promise<ApiSchemas> | null = null;

/**
 * In development and in tests: throws, with the path, if an answer does not fit the contract. The compiler checks most
 * of that already, but not what a database or a cast brings in.
 */
export async function checkAnswer(root: string, name: string, answer: Response): Promise<void> {
  if (process.env.NODE_ENV === 'production') return;
  schemas ??= apiSchemas(root);
  const validate = (await schemas)(placeOfAnswer(name));
  const [problem] = validate ? problemsAgainst(validate, await answer.clone().json()) : [];
  if (problem) throw new Error(`${name} answers what the contract does not say: ${problem}`);
}
