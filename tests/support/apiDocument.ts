import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { API_DOCUMENT } from '../../scripts/apiDocument';
import { apiSchemas, placeOfAnswer, problemsAgainst } from '../../src/server/http/answers';

const document = JSON.parse(readFileSync(API_DOCUMENT, 'utf8')) as { paths: Record<string, Record<string, Operation>> };
const schemaAt = await apiSchemas(join(API_DOCUMENT, '../../..'));

interface Operation {
  readonly operationId: string;
  readonly summary: string;
  readonly requestBody?: { readonly content: Record<string, { readonly schema?: unknown }> };
  readonly responses: Record<string, { readonly content?: Record<string, { readonly schema?: unknown }> }>;
}

function problems(place: readonly string[], value: unknown): string[] {
  const validate = schemaAt(place);
  if (!validate) throw new Error(`There is no schema at ${place.join(' / ')}`);
  return problemsAgainst(validate, value);
}

/**
 * What the API document says of an endpoint (`PUT /api/sets/{id}`), and what is against it in what is sent and
 * answered.
 */
export function operation(name: string) {
  const [method = '', path = ''] = name.split(' ');
  const found = document.paths[path]?.[method.toLowerCase()];
  if (!found) throw new Error(`The API document has no ${name}`);
  const at = ['paths', path, method.toLowerCase()];
  return {
    ...found,
    takes: (body: unknown): string[] =>
      found.requestBody
        ? problems([...at, 'requestBody', 'content', 'application/json', 'schema'], body)
        : body === undefined
          ? []
          : ['takes no body'],
    answers: (body: unknown): string[] =>
      found.responses['200']?.content?.['application/json']?.schema ? problems(placeOfAnswer(name), body) : [],
    fails: (body: unknown): string[] => problems(['components', 'schemas', 'Failed'], body),
  };
}
