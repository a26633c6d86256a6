import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv2020 from 'ajv/dist/2020.js';
import { API_DOCUMENT } from '../../scripts/apiDocument';

const BASE = 'https://vault-drop.example/docs/api/openapi.json';
const document = JSON.parse(readFileSync(API_DOCUMENT, 'utf8')) as { paths: Record<string, Record<string, Operation>> };
const question = JSON.parse(readFileSync(join(API_DOCUMENT, '../../format/question.schema.json'), 'utf8')) as { $id: string };
const ajv = new Ajv2020({ strict: false, allErrors: true, validateFormats: false });
ajv.addSchema(question);
ajv.addSchema({ ...question, $id: new URL('../format/question.schema.json', BASE).href });
ajv.addSchema({ ...document, $id: BASE });

interface Operation {
  readonly operationId: string;
  readonly summary: string;
  readonly requestBody?: { readonly content: Record<string, { readonly schema?: unknown }> };
  readonly responses: Record<string, { readonly content?: Record<string, { readonly schema?: unknown }> }>;
}

const pointer = (...parts: string[]) => `${BASE}#/${parts.map((part) => encodeURIComponent(part.replaceAll('~', '~0').replaceAll('/', '~1'))).join('/')}`;

function problems(at: string, value: unknown): string[] {
  const validate = ajv.getSchema(at);
  if (!validate) throw new Error(`There is no schema at ${at}`);
  return validate(value) ? [] : (validate.errors ?? []).map(({ instancePath, message }) => `${instancePath} ${message}`);
}

/** What the API document says of an endpoint (`PUT /api/sets/{id}`), and what is against it in what is sent and answered. */
export function operation(name: string) {
  const [method = '', path = ''] = name.split(' ');
  const found = document.paths[path]?.[method.toLowerCase()];
  if (!found) throw new Error(`The API document has no ${name}`);
  const at = ['paths', path, method.toLowerCase()];
  return {
    ...found,
    takes: (body: unknown): string[] =>
      found.requestBody ? problems(pointer(...at, 'requestBody', 'content', 'application/json', 'schema'), body) : body === undefined ? [] : ['takes no body'],
    answers: (body: unknown): string[] =>
      found.responses['200']?.content?.['application/json']?.schema ? problems(pointer(...at, 'responses', '200', 'content', 'application/json', 'schema'), body) : [],
    fails: (body: unknown): string[] => problems(pointer('components', 'schemas', 'Failed'), body),
  };
}
