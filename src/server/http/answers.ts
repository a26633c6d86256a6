import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ValidateFunction } from 'ajv';

const BASE = 'https://vault-drop.example/docs/api/openapi.json';

interface ApiDocument {
  readonly paths: Readonly<
    Record<string, Readonly<Record<string, { readonly responses: Record<string, { readonly content?: Readonly<Record<string, { readonly schema?: unknown }>> }> }>>>
  >;
}
type Schemas = (name: string) => ValidateFunction | null;

/** The schemas of answers in `docs/api/openapi.json`, which are made of the contract's types. */
async function schemasIn(root: string): Promise<Schemas> {
  const { default: Ajv } = await import('ajv/dist/2020.js');
  const ajv = new Ajv({ strict: false, validateFormats: false });
  const read = (file: string) => JSON.parse(readFileSync(join(root, 'docs', file), 'utf8'));
  const document: ApiDocument = read('api/openapi.json');
  ajv.addSchema({ ...read('format/question.schema.json'), $id: new URL('../format/question.schema.json', BASE).href });
  ajv.addSchema({ ...document, $id: BASE });
  return (name) => {
    const [method = '', path = ''] = name.split(' ');
    const schema = document.paths[path]?.[method.toLowerCase()]?.responses['200']?.content?.['application/json']?.schema;
    if (!schema) return null;
    const place = ['paths', path, method.toLowerCase(), 'responses', '200', 'content', 'application/json', 'schema'];
    const pointer = place.map((part) => encodeURIComponent(part.replaceAll('~', '~0').replaceAll('/', '~1'))).join('/');
    return ajv.getSchema(`${BASE}#/${pointer}`) ?? null;
  };
}

let schemas: Promise<Schemas> | null = null;

/**
 * In development and in tests: throws where an answer is not what the contract says it is, with the place. The types hold most of that already; they do not see what a
 * database or a cast brings in.
 */
export async function checkAnswer(root: string, name: string, answer: unknown): Promise<void> {
  if (process.env.NODE_ENV === 'production') return;
  schemas ??= schemasIn(root);
  const validate = (await schemas)(name);
  if (!validate || validate(JSON.parse(JSON.stringify(answer)))) return;
  const [problem] = validate.errors ?? [];
  throw new Error(`${name} answers what the contract does not say: ${problem?.instancePath} ${problem?.message}`);
}
