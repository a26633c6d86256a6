import type { ObjectSchema, Schema } from 'yup';
import { MAX_BODY_BYTES, OPERATIONS, type Operation, type OperationName, scopeOf, TOKEN_SCOPES } from '../../contract';
import { LIMITS } from '../accounts/limit';
import { errors, statusOf } from '../errors';
import { type JsonSchema, jsonSchemaOf } from './jsonSchema';

/**
 * An endpoint for the API document: its operation and the schema of its answer's value (null: the answer is a file, or
 * has no envelope).
 */
export interface DocumentedOperation {
  readonly method: string;
  /** The path, with its parameters in braces. */
  readonly path: string;
  readonly operation: Operation;
  readonly value: JsonSchema | null;
}

const ABOUT = `Everything Vault Drop's own pages do goes through these endpoints.

Whoever asks is known by the cookie that signing in sets, or a program by an access token (\`Authorization: Bearer …\`), within its scopes. Without a token a write is taken only with an \`Origin\` header that names the application itself. An answer in JSON is
\`{"ok": true, "value": …}\`, or \`{"ok": false, "error": …}\` with a code of the list below and a sentence for people. Ids of what is made are the client's (UUIDs), so that a
request may be sent again. What they have no permission to see answers 404, as if it did not exist.`;

const ref = (name: string) => ({ $ref: `#/components/schemas/${name}` });
const failure = (codes: readonly (keyof typeof errors)[]) => ({
  description: codes.map((code) => errors[code][1]).join('; '),
  content: { 'application/json': { schema: ref('Failed') } },
});
/** Responses with the same error codes are written once. */
type Failures = Record<string, ReturnType<typeof failure>>;

/** The whole API as an OpenAPI 3.1 document (https://spec.openapis.org/oas/v3.1.0). */
export function openApiOf(
  operations: readonly DocumentedOperation[],
  schemas: Readonly<Record<string, JsonSchema>>,
  version: string,
): JsonSchema {
  const paths: Record<string, Record<string, unknown>> = {};
  const responses: Failures = { anyOther: { ...failure([]), description: 'It could not be done' } };
  for (const operation of operations) {
    paths[operation.path] ??= {};
    Object.assign(paths[operation.path] as object, {
      [operation.method.toLowerCase()]: operationOf(operation, responses),
    });
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Vault Drop', version, description: ABOUT, license: { name: 'MIT', identifier: 'MIT' } },
    servers: [{ url: '/' }],
    paths,
    components: {
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: 'vault-drop.session_token', description: 'Set by signing in.' },
        token: {
          type: 'http',
          scheme: 'bearer',
          description: `An access token, which a teacher makes on the page of their account. Its scopes: ${TOKEN_SCOPES.join(', ')}. It needs no Origin, and asks ${LIMITS.token.max} times a minute at most.`,
        },
      },
      responses,
      schemas: { ...schemas, Failed: FAILED },
    },
  };
}

const FAILED: JsonSchema = {
  type: 'object',
  properties: {
    ok: { const: false },
    error: {
      type: 'object',
      properties: {
        code: {
          enum: Object.keys(errors),
          description: Object.entries(errors)
            .map(([code, [status, title]]) => `${code} (${status}): ${title}`)
            .join('. '),
        },
        message: { type: 'string' },
        nextStep: { type: 'string', description: 'What to do about it.' },
        problems: {
          type: 'array',
          description: 'Each with the place in what was sent.',
          items: {
            type: 'object',
            properties: { path: { type: 'string' }, message: { type: 'string' } },
            required: ['path', 'message'],
          },
        },
        detail: { description: 'What the client needs to continue, such as the other version.' },
      },
      required: ['code', 'message', 'nextStep'],
    },
  },
  required: ['ok', 'error'],
};

/** The scope by which a token may ask, if one may. */
function byToken(name: string): { token: string[] }[] {
  const scope = Object.hasOwn(OPERATIONS, name) ? scopeOf(name as OperationName) : 'byHand';
  return scope === null || scope === 'byHand' ? [] : [{ token: [scope] }];
}

function operationOf({ method, path, operation, value }: DocumentedOperation, failures: Failures): JsonSchema {
  const { does, who, body, query, sends, maxBytes = MAX_BODY_BYTES, answer } = operation;
  const gives = answer.in === 'file' ? answer.mediaTypes : ['application/json'];
  const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
  const parameters = [...inPath, ...(query ? queryOf(query) : [])];
  const writes = method !== 'GET';
  const refusals = new Map<number, (keyof typeof errors)[]>();
  const add = (...codes: (keyof typeof errors)[]) => {
    for (const code of codes) refusals.set(statusOf(code), [...(refusals.get(statusOf(code)) ?? []), code]);
  };
  if (body) add('badRequest', 'tooLarge');
  if (who !== 'anyone') add('notSignedIn', 'notAllowed');
  if (writes) add('crossSite');
  if (inPath.length > 0) add('notFound');
  if (body || query) add('invalid');
  if (!body && sends) add('tooLarge');
  if (sends) add('notTaken');
  return {
    operationId: idOf(method, path),
    tags: [path.split('/').find((part) => part !== '' && part !== 'api') ?? 'api'],
    summary: does,
    description:
      who === 'anyone'
        ? 'For anyone, signed in or not.'
        : who === 'signedIn'
          ? 'For whoever is signed in.'
          : `For a ${who}.`,
    security: who === 'anyone' ? [] : [{ session: [] }, ...byToken(`${method} ${path}`)],
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(body
      ? {
          requestBody: {
            required: true,
            description: atMost(maxBytes),
            content: { 'application/json': { schema: jsonSchemaOf(body) } },
          },
        }
      : {}),
    ...(sends ? { requestBody: { required: true, description: atMost(maxBytes), content: { [sends]: {} } } } : {}),
    responses: {
      200: {
        description: 'Done',
        content: Object.fromEntries(
          gives.map((type) => [type, value && type === 'application/json' ? { schema: enveloped(value) } : {}]),
        ),
      },
      ...Object.fromEntries(
        [...refusals].map(([status, codes]) => {
          const name = codes.join('-');
          failures[name] ??= failure(codes);
          return [status, { $ref: `#/components/responses/${name}` }];
        }),
      ),
      default: { $ref: '#/components/responses/anyOther' },
    },
  };
}

const atMost = (bytes: number): string =>
  `At most ${bytes % 1_048_576 === 0 ? `${bytes / 1_048_576} MiB` : `${bytes / 1024} KiB`}.`;

const enveloped = (value: JsonSchema): JsonSchema => ({
  type: 'object',
  properties: { ok: { const: true }, value },
  required: ['ok', 'value'],
});

const idOf = (method: string, path: string): string =>
  [
    method.toLowerCase(),
    ...path
      .split('/')
      .flatMap((part) => (part === '' || part === 'api' ? [] : [part.replace(/[{}]/g, '').replace(/\W/g, '-')])),
  ].join('-');

function queryOf(query: ObjectSchema<Record<string, unknown>>): object[] {
  return Object.entries(query.fields).map(([name, field]) => {
    const schema = field as Schema;
    // A flag: its name is enough.
    const named = schema.type === 'boolean' ? { allowEmptyValue: true } : {};
    return { name, in: 'query', required: !schema.describe().optional, ...named, schema: jsonSchemaOf(schema) };
  });
}
