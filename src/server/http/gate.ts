import type { Schema } from 'yup';
import { guardText } from '../../core/document';
import { fail, type Result } from '../errors';

/** Limits of a JSON body: its nesting, and the number of its values. */
const MAX_DEPTH = 64;
const MAX_VALUES = 200_000;
/** Query parameters of one address. */
const MAX_PARAMETERS = 40;
const MAX_QUERY = 24_000;
/** Names that reach an object's prototype. */
const UNSAFE_NAMES: ReadonlySet<string> = new Set(['__proto__', 'constructor', 'prototype']);

/** The bytes of a request's body, counted as they arrive; `tooLarge` as soon as the limit is passed. */
export async function readBytes(request: Request, maxBytes: number): Promise<Result<Buffer>> {
  if (Number(request.headers.get('content-length') ?? 0) > maxBytes) return fail('tooLarge');
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of chunksOf(request)) {
    size += chunk.length;
    if (size > maxBytes) return fail('tooLarge');
    chunks.push(chunk);
  }
  return { ok: true, value: Buffer.concat(chunks) };
}

/** The chunks of a request's body. */
export async function* chunksOf(request: Request): AsyncGenerator<Uint8Array> {
  const reader = request.body?.getReader();
  if (!reader) return;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    yield value;
  }
}

/** A JSON body as a value. It is refused by its size, depth and number of values before anything is built from it. */
export async function readJson(request: Request, maxBytes: number): Promise<Result<unknown>> {
  const bytes = await readBytes(request, maxBytes);
  if (!bytes.ok) return bytes;
  const guarded = guardText(bytes.value.toString('utf8'), {
    characters: maxBytes,
    depth: MAX_DEPTH,
    values: MAX_VALUES,
  });
  if (!guarded.ok) return fail('badRequest', { problems: guarded.problems });
  return guarded;
}

/** Query string parameters by name: refused if there are too many, or if a name is unsafe. */
export function readQuery(search: URLSearchParams): Result<readonly (readonly [string, string])[]> {
  const all = [...search];
  const size = all.reduce((sum, [name, value]) => sum + name.length + value.length, 0);
  if (all.length > MAX_PARAMETERS || size > MAX_QUERY || all.some(([name]) => UNSAFE_NAMES.has(name)))
    return fail('badRequest');
  return { ok: true, value: all };
}

/** The part of a schema that limits lists: the longest length and the entries of a list, or the fields of an object. */
type Lengths =
  | { readonly type: 'list'; readonly max: number; readonly inner: Lengths | null }
  | { readonly type: 'object'; readonly fields: readonly (readonly [string, Lengths])[] };
const known = new WeakMap<Schema, { readonly lengths: Lengths | null }>();

function lengthsOf(schema: Schema): Lengths | null {
  const cached = known.get(schema);
  if (cached) return cached.lengths;
  const lengths = lengthsIn(schema);
  known.set(schema, { lengths });
  return lengths;
}

function lengthsIn(schema: Schema): Lengths | null {
  const { fields, innerType } = schema as Schema & { fields?: Record<string, Schema>; innerType?: Schema };
  if (schema.type === 'array') {
    const max = schema.describe().tests.find(({ name }) => name === 'max')?.params?.max;
    return {
      type: 'list',
      max: typeof max === 'number' ? max : Number.POSITIVE_INFINITY,
      inner: innerType ? lengthsOf(innerType) : null,
    };
  }
  if (schema.type !== 'object' || !fields) return null;
  const inside = Object.entries(fields).flatMap(([name, field]) => {
    const lengths = lengthsOf(field);
    return lengths ? [[name, lengths] as const] : [];
  });
  return inside.length > 0 ? { type: 'object', fields: inside } : null;
}

/** The paths of lists without a limit in a schema. A test asserts that there are none. */
export function unlimitedLists(schema: Schema): string[] {
  const found: string[] = [];
  const look = (lengths: Lengths | null, path: string) => {
    if (lengths?.type === 'list') {
      if (!Number.isFinite(lengths.max)) found.push(path);
      look(lengths.inner, `${path}[]`);
    } else for (const [name, inner] of lengths?.fields ?? []) look(inner, path === '' ? name : `${path}.${name}`);
  };
  look(lengthsOf(schema), '');
  return found;
}

/** Entries in all lists of a body together: nested lists would multiply their own limits. */
const MAX_ENTRIES = 2000;
const longest = (lengths: Lengths | null): number =>
  !lengths
    ? 0
    : lengths.type === 'list'
      ? Math.max(lengths.max, longest(lengths.inner))
      : Math.max(...lengths.fields.map(([, inner]) => longest(inner)));

/**
 * The first list that is longer than its schema allows, or that makes too many entries in all; null if there is none.
 * It runs before any entry is validated.
 */
export function tooLong(schema: Schema, value: unknown): { path: string; message: string } | null {
  const lengths = lengthsOf(schema);
  return findTooLong(lengths, value, '', { entries: Math.max(MAX_ENTRIES, longest(lengths)) });
}

function findTooLong(
  lengths: Lengths | null,
  value: unknown,
  path: string,
  left: { entries: number },
): { path: string; message: string } | null {
  if (!lengths || value === null || typeof value !== 'object') return null;
  if (lengths.type === 'list') {
    if (!Array.isArray(value)) return null;
    if (value.length > lengths.max) return { path, message: `At most ${lengths.max} entries` };
    left.entries -= value.length;
    if (left.entries < 0) return { path, message: 'There are too many entries in all' };
    for (let i = 0; lengths.inner && i < value.length; i++) {
      const found = findTooLong(lengths.inner, value[i], `${path}[${i}]`, left);
      if (found) return found;
    }
    return null;
  }
  for (const [name, inner] of lengths.fields) {
    const found = Object.hasOwn(value, name)
      ? findTooLong(inner, (value as Record<string, unknown>)[name], path === '' ? name : `${path}.${name}`, left)
      : null;
    if (found) return found;
  }
  return null;
}
