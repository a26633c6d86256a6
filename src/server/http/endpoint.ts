import type { APIContext, APIRoute } from 'astro';
import { type AnyObject, type InferType, type ObjectSchema, type Schema, ValidationError } from 'yup';
import { sessionCookie } from '../accounts/auth';
import { noteSecurity } from '../accounts/securityLog';
import { type App, theApp } from '../app';
import type { As, Learner, Person, Role, Teacher } from '../context';
import { type Failure, fail, type Result } from '../errors';
import { log } from '../log';
import { isOfStorage } from '../storage';
import { MAX_BYTES, readJson, readQuery, tooLong } from './gate';
import { failed, failedAs, json } from './respond';

/** For one role, or for whoever is signed in. */
type For = Role | 'signedIn';
type PersonOf<R extends For> = R extends 'teacher' ? Teacher : R extends 'learner' ? Learner : Person;
type Query = ObjectSchema<AnyObject>;

/** What an endpoint is: the API document (`docs/api/openapi.json`) is made of this. */
export interface Described {
  /** A sentence. */
  readonly does: string;
  readonly who: For | 'anyone';
  /** What it takes as JSON; null: nothing. */
  readonly body: Schema | null;
  /** What stands behind the question mark of the address; null: nothing that it reads. */
  readonly query: Query | null;
  /** The media type of a body that is a file; null: it takes none. */
  readonly sends: string | null;
  /** The most bytes its body may have. */
  readonly maxBytes: number;
  /** The media types of its answers; JSON in our envelope unless others are named. */
  readonly gives: readonly string[];
}
/** `answers` is a type alone: what is sent as the value of an answer in JSON. */
export type DescribedRoute<Value = unknown> = APIRoute & { readonly described: Described; readonly answers?: Value };

interface About<S extends Schema | null, Q extends Query | null> {
  readonly does: string;
  readonly body?: S;
  readonly query?: Q;
  readonly sends?: string;
  readonly maxBytes?: number;
  readonly gives?: readonly string[];
}

const JSON_ALONE = ['application/json'];

/** A route that says what it is. */
export function described<Value = never>(route: APIRoute, who: Described['who'], about: About<Schema | null, Query | null>): DescribedRoute<Value> {
  const { does, body = null, query = null, sends = null, maxBytes = MAX_BYTES, gives = JSON_ALONE } = about;
  return Object.assign(route, { described: { does, who, body, query, sends, maxBytes, gives } });
}

const problemsOf = (error: unknown): Failure => {
  if (!(error instanceof ValidationError)) throw error;
  const each = error.inner.length > 0 ? error.inner : [error];
  return fail('invalid', { problems: each.map(({ path, message }) => ({ path: path ?? '', message })) });
};

/** Reads a body as JSON and holds it against a schema, without turning one type into another. */
export async function bodyOf<S extends Schema>(request: Request, schema: S, maxBytes = MAX_BYTES): Promise<Result<InferType<S>>> {
  const read = await readJson(request, maxBytes);
  if (!read.ok) return read;
  const long = tooLong(schema, read.value);
  if (long) return fail('invalid', { problems: [long] });
  try {
    schema.validateSync(read.value, { strict: true, abortEarly: false, disableStackTrace: true });
    return { ok: true, value: schema.cast(read.value, { stripUnknown: true }) as InferType<S> };
  } catch (error) {
    return problemsOf(error);
  }
}

/** Reads the query parameters: words, made into numbers where the schema wants them. An empty one is left out, unless it only has to be named. */
export function queryOf<Q extends Query>(search: URLSearchParams, schema: Q): Result<InferType<Q>> {
  const read = readQuery(search);
  if (!read.ok) return read;
  const isFlag = (name: string) => (schema.fields[name] as Schema | undefined)?.type === 'boolean';
  const given = Object.fromEntries(
    read.value.flatMap(([name, value]): [string, string | true][] => {
      if (!Object.hasOwn(schema.fields, name)) return [];
      return isFlag(name) ? [[name, true]] : value === '' ? [] : [[name, value]];
    }),
  );
  try {
    return { ok: true, value: schema.validateSync(given, { abortEarly: false, stripUnknown: true, disableStackTrace: true }) as InferType<Q> };
  } catch (error) {
    return problemsOf(error);
  }
}

/** What is unexpected is converted here, once: logged with its stack, answered without it. */
export function guarded(handler: (app: App, context: APIContext) => Promise<Response>): APIRoute {
  return async (context) => {
    try {
      return await handler(await theApp(), context);
    } catch (error) {
      const storage = isOfStorage(error);
      log.error({ err: error, path: context.url.pathname }, storage ? 'cannot be stored' : 'unexpected');
      return failedAs(storage ? 'unavailable' : 'unexpected');
    }
  };
}

/** The person who asks, if they are of the role; else why not. */
export function allowed<R extends For>(person: Person | null, role: R): Result<PersonOf<R>> {
  if (!person) return fail('notSignedIn');
  return role === 'signedIn' || person.role === role ? { ok: true, value: person as PersonOf<R> } : fail('notAllowed');
}

/** A session cookie is a token and its signature, with a dot between. */
export const tokenIn = (cookie: string | undefined): string => cookie?.split('.')[0] ?? '';

interface Asked<R extends For, S extends Schema | null, Q extends Query | null> {
  readonly as: As<PersonOf<R>> & Pick<App, 'jobs'>;
  readonly body: S extends Schema ? InferType<S> : null;
  readonly query: Q extends Query ? InferType<Q> : null;
  readonly id: string;
  /** The token of the sign-in it is asked under. */
  readonly session: string;
  readonly params: Readonly<Record<string, string | undefined>>;
  readonly request: Request;
}

/** What an answer has as its value; never: it is a file. */
type ValueOf<Given> = Given extends { readonly ok: true; readonly value: infer Value } ? Value : never;

/** What goes out: a file as it is, anything else in our envelope. */
const answered = (result: Result<unknown> | Response): Response => (result instanceof Response ? result : result.ok ? json({ ok: true, value: result.value }) : failed(result));

/** An endpoint for anyone, signed in or not. */
export function openEndpoint<Value, S extends Schema>(
  about: About<S, null> & { readonly body: S },
  answer: (asked: { readonly app: App; readonly body: InferType<S>; readonly address: string }) => Promise<Result<Value>>,
): DescribedRoute<Value> {
  const route = guarded(async (app, { clientAddress, request }) => {
    const body = await bodyOf(request, about.body, about.maxBytes);
    return body.ok ? answered(await answer({ app, body: body.value, address: clientAddress })) : failed(body);
  });
  return described(route, 'anyone', about);
}

/** An endpoint for one role: who asks and what they send are checked before `answer` is called with them. */
export function endpoint<R extends For, Given extends Result<unknown> | Response, S extends Schema | null = null, Q extends Query | null = null>(
  role: R,
  about: About<S, Q>,
  answer: (asked: Asked<R, S, Q>) => Promise<Given>,
): DescribedRoute<ValueOf<Given>> {
  const route = guarded(async (app, { clientAddress, cookies, locals, params, request, url }) => {
    const person = allowed(await locals.person(), role);
    if (!person.ok) {
      if (person.code === 'notAllowed')
        await noteSecurity(app, { what: 'rightRefused', by: (await locals.person())?.id, address: clientAddress, detail: `${request.method} ${url.pathname}` });
      return failed(person);
    }
    const query = about.query ? queryOf(url.searchParams, about.query) : readQuery(url.searchParams);
    if (!query.ok) return failed(query);
    const body = about.body ? await bodyOf(request, about.body, about.maxBytes) : null;
    if (body && !body.ok) return failed(body);
    const session = tokenIn(cookies.get(sessionCookie(app.config))?.value);
    const asked = {
      as: { ...app, person: person.value, address: clientAddress },
      session,
      body: body?.value ?? null,
      query: about.query ? query.value : null,
      id: params.id ?? '',
      params,
      request,
    };
    // TypeScript does not follow that there is a body exactly where there is a schema for one.
    return answered(await answer(asked as unknown as Asked<R, S, Q>));
  });
  return described(route, role, about);
}
