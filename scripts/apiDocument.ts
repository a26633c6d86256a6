import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { pathToFileURL } from 'node:url';
import openapiTS, { astToString } from 'openapi-typescript';
import ts from 'typescript';
import TJS from 'typescript-json-schema';
import { object, string } from 'yup';
import { OPERATIONS, type Operation, pictureSignIn } from '../src/contract';
import { EDIT, type JsonSchema, QUESTION } from '../src/contract/shapes';
import { MAX_AUTH_BYTES, OPEN_AUTH_PATHS } from '../src/server/accounts/auth';
import { type DocumentedOperation, openApiOf } from '../src/server/http/openapi';

const root = join(import.meta.dirname, '..');
export const API_DOCUMENT = join(root, 'docs/api/openapi.json');

export const API_TYPES = join(root, 'docs/api/client/schema.d.ts');

/** The document as it is written, as types for TypeScript: for programs that ask the endpoints. */
export async function apiTypes(): Promise<string> {
  const head = '// Made from ../openapi.json by `npm run api`: do not change it by hand.\n\n';
  return `${head}${astToString(await openapiTS(pathToFileURL(API_DOCUMENT)))}`;
}

/** The address of a route's file, with its parameters in braces. */
export const pathOf = (file: string): string =>
  file
    .replace(/^.*src\/pages/, '')
    .replace(/(\/index)?\.ts$/, '')
    .replace(/\[(?:\.\.\.)?(\w+)\]/g, '{$1}');

/** The API document of the contract: requests from its Yup schemas, answers from its types. */
export function apiDocument(): string {
  const { values, schemas } = answerSchemas();
  const byPath = ([a]: readonly [string, unknown], [b]: readonly [string, unknown]) =>
    inOrder(a) < inOrder(b) ? -1 : 1;
  const operations = (Object.entries(OPERATIONS) as [string, Operation][])
    .sort(byPath)
    .map(([name, operation]): DocumentedOperation => {
      const [method = '', path = ''] = name.split(' ');
      return { method, path, operation, value: values.get(name) ?? null };
    });
  const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string };
  return `${JSON.stringify(openApiOf([...operations, ...signIn()], schemas, version), null, 2)}\n`;
}

/** By path, then by method. */
const inOrder = (name: string): string => name.split(' ').reverse().join('');

/** What the sign-in library answers to, of which only some paths are open. */
function signIn(): DocumentedOperation[] {
  const paths: Readonly<Record<string, readonly [method: string, does: string, body: Parameters<typeof object>[0]]>> = {
    '/sign-in/username': [
      'POST',
      'Signs in by user name.',
      { username: string().required(), password: string().required() },
    ],
    '/sign-in/pictures': [
      'POST',
      'A small child signs in, where a course allows it: its code, their name, and their pictures in order.',
      pictureSignIn.fields as Parameters<typeof object>[0],
    ],
    '/sign-out': ['POST', 'Signs out.', undefined],
    '/get-session': ['GET', 'Who is signed in.', undefined],
    '/change-password': [
      'POST',
      'Changes one’s own password.',
      { currentPassword: string().required(), newPassword: string().required() },
    ],
    '/two-factor/enable': [
      'POST',
      'Begins a second factor for a teacher: what an authenticator needs, and recovery codes.',
      { password: string().required() },
    ],
    '/two-factor/disable': ['POST', 'Takes a teacher’s second factor away.', { password: string().required() }],
    '/two-factor/verify-totp': [
      'POST',
      'The code of an authenticator: ends a sign-in that asks for one, or confirms a second factor.',
      { code: string().required() },
    ],
    '/two-factor/verify-backup-code': [
      'POST',
      'A recovery code in place of an authenticator’s; it holds once.',
      { code: string().required() },
    ],
    '/two-factor/generate-backup-codes': [
      'POST',
      'New recovery codes in place of the old.',
      { password: string().required() },
    ],
  };
  return [...OPEN_AUTH_PATHS].map((path) => {
    const entry = paths[path];
    if (!entry) throw new Error(`${path} is open and not described`);
    const [method, does, body] = entry;
    return {
      method,
      path: `/api/auth${path}`,
      value: null,
      operation: {
        does: `${does} The answer is the sign-in library’s own.`,
        who: 'anyone',
        ...(body ? { body: object(body) } : {}),
        maxBytes: MAX_AUTH_BYTES,
        answer: { in: 'json' },
      },
    };
  });
}

/** The name of the type that all answers are fields of: types are told apart by their names, so no other has it. */
const EVERY_ANSWER = 'EveryAnswerOfTheApi';

/**
 * Schemas of answers, by the names of their operations, and what they refer to. A question is a document with a schema
 * of its own.
 */
function answerSchemas(): { values: ReadonlyMap<string, JsonSchema>; schemas: Record<string, JsonSchema> } {
  const folder = join(root, 'node_modules/.cache/vault-drop');
  const file = join(folder, 'answers.ts');
  const names = (Object.entries(OPERATIONS) as [string, Operation][]).flatMap(([name, { answer }]) =>
    answer.in === 'json' ? [name] : [],
  );
  const fields = names.map((name, i) => `  e${i}: AnswerFor<'${name}'>;`);
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(
    file,
    `import type { AnswerFor } from '${relative(folder, join(root, 'src/contract'))}';\nexport interface ${EVERY_ANSWER} {\n${fields.join('\n')}\n}\n`,
  );
  try {
    const { options } = ts.parseJsonConfigFileContent(
      ts.readConfigFile(join(root, 'tsconfig.json'), ts.sys.readFile).config,
      ts.sys,
      root,
    );
    const program = ts.createProgram([file], { ...options, noEmit: true });
    const made = TJS.generateSchema(program, EVERY_ANSWER, {
      required: true,
      ref: true,
      aliasRef: false,
      ignoreErrors: true,
      strictNullChecks: true,
    });
    if (!made) throw new Error('No schema could be made of the answers');
    const schemas: Record<string, JsonSchema> = {};
    const ours = inComponents(made.definitions ?? {}, schemas);
    const values = names.flatMap((name, i): [string, JsonSchema][] => {
      const value = made.properties?.[`e${i}`];
      return value ? [[name, ours(value) as JsonSchema]] : [];
    });
    const without = names.filter((_, i) => !made.properties?.[`e${i}`]);
    if (without.length > 0) throw new Error(`No schema could be made of the answers of ${without.join(', ')}`);
    return {
      values: new Map(values),
      schemas: Object.fromEntries(Object.entries(schemas).sort(([a], [b]) => (a < b ? -1 : 1))),
    };
  } finally {
    rmSync(file);
  }
}

/** A question document, which is known by its format: the name of its type is lost on the way. */
const isQuestion = (schema: object): boolean =>
  JSON.stringify((schema as { properties?: { format?: unknown } }).properties?.format ?? '').includes(
    'vault-drop/question"',
  );

/** An id of ours is a string with a brand, which only the types know. */
const brandedString = ({ allOf }: { allOf?: readonly { type?: string }[] }) =>
  allOf?.length === 2 ? allOf.find(({ type }) => type === 'string') : undefined;

/**
 * Makes a schema refer to the document's components, and puts those it comes to into `into`. What has no name of its
 * own (a type written out) is put in place.
 */
function inComponents(
  definitions: Readonly<Record<string, unknown>>,
  into: Record<string, JsonSchema>,
): (schema: unknown) => unknown {
  const ours = (schema: unknown): unknown => {
    if (Array.isArray(schema)) return schema.map(ours);
    if (schema === null || typeof schema !== 'object') return schema;
    if (isQuestion(schema)) return QUESTION;
    const branded = brandedString(schema);
    if (branded) return branded;
    const { $ref } = schema as { $ref?: string };
    if ($ref === undefined) {
      // Draft 7 writes a tuple as a list of items; 2020-12 does not.
      const { items, additionalItems, ...rest } = schema as { items?: unknown; additionalItems?: unknown };
      const now = {
        ...rest,
        ...(Array.isArray(items) ? { prefixItems: items, items: false } : items === undefined ? {} : { items }),
      };
      return Object.fromEntries(Object.entries(now).map(([key, value]) => [key, ours(value)]));
    }
    const name = decodeURIComponent($ref.replace('#/definitions/', ''));
    if (name === 'Date') return { type: 'string', format: 'date-time' };
    if (!/^[A-Z]\w*$/.test(name)) return ours(definitions[name]);
    if (!into[name]) {
      // Named before it is gone into: it may refer to itself.
      into[name] = {};
      into[name] = name === 'Edit' ? EDIT : (ours(definitions[name]) as JsonSchema);
    }
    return { $ref: `#/components/schemas/${name}` };
  };
  return ours;
}
