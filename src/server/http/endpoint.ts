import type { APIContext, APIRoute } from 'astro';
import { type InferType, type Schema, ValidationError } from 'yup';
import { type App, theApp } from '../app';
import type { As, Learner, Person, Role, Teacher } from '../context';
import { type Failure, fail, type Result } from '../errors';
import { log } from '../log';
import { failed, failedAs, json } from './respond';

type PersonOf<R extends Role> = R extends 'teacher' ? Teacher : Learner;

/** Reads a body as JSON and holds it against a schema, without turning one type into another. */
export async function bodyOf<S extends Schema>(request: Request, schema: S): Promise<Result<InferType<S>>> {
  let value: unknown;
  try {
    value = JSON.parse(await request.text());
  } catch {
    return fail('badRequest');
  }
  try {
    schema.validateSync(value, { strict: true, abortEarly: false });
    return { ok: true, value: schema.cast(value, { stripUnknown: true }) as InferType<S> };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const each = error.inner.length > 0 ? error.inner : [error];
    return fail('invalid', { problems: each.map(({ path, message }) => ({ path: path ?? '', message })) });
  }
}

const isFailure = (value: unknown): value is Failure => typeof value === 'object' && value !== null && (value as { ok?: unknown }).ok === false;

/** What is unexpected is converted here, once: logged with its stack, answered without it. */
export function guarded(handler: (app: App, context: APIContext) => Promise<Response>): APIRoute {
  return async (context) => {
    try {
      return await handler(await theApp(), context);
    } catch (error) {
      log.error({ err: error, path: context.url.pathname }, 'unexpected');
      return failedAs('unexpected');
    }
  };
}

/** The person who asks, if they are of the role; else why not. */
export function allowed<R extends Role>(person: Person | null, role: R): Result<PersonOf<R>> {
  if (!person) return fail('notSignedIn');
  return person.role === role ? { ok: true, value: person as PersonOf<R> } : fail('notAllowed');
}

interface Asked<R extends Role, Body> {
  readonly as: As<PersonOf<R>>;
  readonly body: Body;
  readonly id: string;
  readonly params: Readonly<Record<string, string | undefined>>;
  /** What stands behind the question mark of the address. */
  readonly search: URLSearchParams;
}

/** An endpoint for anyone, signed in or not. */
export function openEndpoint<S extends Schema>(schema: S, answer: (asked: { readonly app: App; readonly body: InferType<S> }) => Promise<Result<unknown>>): APIRoute {
  return guarded(async (app, { request }) => {
    const body = await bodyOf(request, schema);
    if (!body.ok) return failed(body);
    const result = await answer({ app, body: body.value });
    return result.ok ? json({ ok: true, value: result.value }) : failed(result);
  });
}

/** An endpoint for one role: who asks and what they send are checked before `answer` is called with them. */
export function endpoint<R extends Role, S extends Schema>(role: R, schema: S | null, answer: (asked: Asked<R, InferType<S>>) => Promise<Result<unknown>>): APIRoute {
  return guarded(async (app, { locals, params, request, url }) => {
    const person = allowed(await locals.person(), role);
    if (!person.ok) return failed(person);
    const body = schema ? await bodyOf(request, schema) : { ok: true as const, value: undefined };
    if (isFailure(body)) return failed(body);
    const result = await answer({ as: { ...app, person: person.value }, body: body.value as InferType<S>, id: params.id ?? '', params, search: url.searchParams });
    return result.ok ? json({ ok: true, value: result.value }) : failed(result);
  });
}
