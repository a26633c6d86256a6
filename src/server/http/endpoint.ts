import type { APIContext, APIRoute } from 'astro';
import type { AnyObject, InferType, ObjectSchema, Schema } from 'yup';
import {
  type AnswerFor,
  type Asker,
  type BodyFor,
  type FileAnswer,
  MAX_BODY_BYTES,
  type NamesFor,
  OPERATIONS,
  type Operation,
  type OperationName,
  type Operations,
  type ParametersFor,
  problemsOf,
  type QueryFor,
} from '../../contract';
import { sessionCookie } from '../accounts/auth';
import { noteSecurity } from '../accounts/securityLog';
import { type App, theApp } from '../app';
import type { As, Learner, Person, Teacher } from '../context';
import { type Failure, fail, ok, type Result } from '../errors';
import { log } from '../log';
import { isOfStorage } from '../storage';
import { checkAnswer } from './answers';
import { readJson, readQuery, tooLong } from './gate';
import { failed, failedAs, json } from './respond';

type PersonOf<Who extends Asker> = Who extends 'teacher' ? Teacher : Who extends 'learner' ? Learner : Person;

/** A route with the operation of the contract that it answers. */
export type Endpoint<Name extends string = string> = APIRoute & { readonly operation: Name };

/** The route of an operation that reads its request itself. */
export const endpointOf = <Name extends OperationName>(operation: Name, route: APIRoute): Endpoint<Name> =>
  Object.assign(route, { operation });

/** Reads a JSON body and validates it, without converting types. */
export async function bodyOf<S extends Schema>(
  request: Request,
  schema: S,
  maxBytes = MAX_BODY_BYTES,
): Promise<Result<InferType<S>>> {
  const read = await readJson(request, maxBytes);
  if (!read.ok) return read;
  const long = tooLong(schema, read.value);
  if (long) return fail('invalid', { problems: [long] });
  try {
    schema.validateSync(read.value, { strict: true, abortEarly: false, disableStackTrace: true });
    return { ok: true, value: schema.cast(read.value, { stripUnknown: true }) as InferType<S> };
  } catch (error) {
    return fail('invalid', { problems: problemsOf(error) });
  }
}

/**
 * Reads the query string parameters as texts, or as numbers and flags if the schema wants those. An empty one counts as
 * left out, unless it is a flag: then it is set.
 */
export function queryOf<Q extends ObjectSchema<AnyObject>>(search: URLSearchParams, schema: Q): Result<InferType<Q>> {
  const read = readQuery(search);
  if (!read.ok) return read;
  const isFlag = (name: string) => (schema.fields[name] as Schema | undefined)?.type === 'boolean';
  const given = Object.fromEntries(
    read.value.flatMap(([name, value]): [string, string | true][] => {
      if (!Object.hasOwn(schema.fields, name)) return [];
      if (value === '') return isFlag(name) ? [[name, true]] : [];
      return [[name, value]];
    }),
  );
  try {
    return {
      ok: true,
      value: schema.validateSync(given, {
        abortEarly: false,
        stripUnknown: true,
        disableStackTrace: true,
      }) as InferType<Q>,
    };
  } catch (error) {
    return fail('invalid', { problems: problemsOf(error) });
  }
}

/** Unexpected errors are converted here, once: logged with the stack, answered without it. */
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

/** The person who asks, if they have the role; else the error. */
export function allowed<Who extends Asker>(person: Person | null, who: Who): Result<PersonOf<Who>> {
  if (!person) return fail('notSignedIn');
  return who === 'signedIn' || person.role === who ? { ok: true, value: person as PersonOf<Who> } : fail('notAllowed');
}

/** A session cookie is a token and its signature, with a dot between. */
export const tokenIn = (cookie: string | undefined): string => cookie?.split('.')[0] ?? '';

interface Asked<Name extends OperationName> {
  readonly as: As<PersonOf<Operations[Name]['who']>> & Pick<App, 'jobs'>;
  readonly body: BodyFor<Name>;
  readonly query: QueryFor<Name>;
  /** The path parameters; `id` also by itself, because most paths have one. */
  readonly params: ParametersFor<Name>;
  readonly id: string;
  /** The session token of the request. */
  readonly session: string;
  readonly request: Request;
}

/** Answers a file as it is, anything else in the JSON envelope. */
type Given<Name extends OperationName> = Operations[Name]['answer'] extends FileAnswer
  ? Response | Failure
  : Result<AnswerFor<Name>>;

async function answered(app: App, name: OperationName, result: Result<unknown> | Response): Promise<Response> {
  if (result instanceof Response) return result;
  if (!result.ok) return failed(result);
  const answer = json({ ok: true, value: result.value });
  await checkAnswer(app.config.root, name, answer);
  return answer;
}

/** An endpoint for anyone, signed in or not. */
export function openEndpoint<Name extends NamesFor<'anyone'>>(
  name: Name,
  answer: (asked: {
    readonly app: App;
    readonly body: BodyFor<Name>;
    readonly address: string;
  }) => Promise<Given<Name>>,
): Endpoint<Name> {
  const { body: schema, maxBytes }: Operation = OPERATIONS[name];
  const route = guarded(async (app, { clientAddress, request }) => {
    const body = schema ? await bodyOf(request, schema, maxBytes) : ok(null);
    return body.ok
      ? answered(app, name, await answer({ app, body: body.value as BodyFor<Name>, address: clientAddress }))
      : failed(body);
  });
  return endpointOf(name, route);
}

/** An endpoint for one role: the person and the request are checked before `answer` is called with them. */
export function endpoint<Name extends NamesFor<'teacher' | 'learner' | 'signedIn'>>(
  name: Name,
  answer: (asked: Asked<Name>) => Promise<Given<Name>>,
): Endpoint<Name> {
  const { who, body: bodySchema, query: querySchema, maxBytes }: Operation = OPERATIONS[name];
  const route = guarded(async (app, { clientAddress, cookies, locals, params, request, url }) => {
    const person = allowed(await locals.person(), who);
    if (!person.ok) {
      if (person.code === 'notAllowed')
        await noteSecurity(app, {
          what: 'rightRefused',
          by: (await locals.person())?.id,
          address: clientAddress,
          detail: `${request.method} ${url.pathname}`,
        });
      return failed(person);
    }
    const query = querySchema ? queryOf(url.searchParams, querySchema) : readQuery(url.searchParams);
    if (!query.ok) return failed(query);
    const body = bodySchema ? await bodyOf(request, bodySchema, maxBytes) : ok(null);
    if (!body.ok) return failed(body);
    const asked = {
      as: { ...app, person: person.value, address: clientAddress },
      session: tokenIn(cookies.get(sessionCookie(app.config))?.value),
      body: body.value,
      query: querySchema ? query.value : null,
      id: params.id ?? '',
      params,
      request,
    };
    // The request was read by the operation's own schemas, which TypeScript cannot follow through the operation's name.
    return answered(app, name, await answer(asked as unknown as Asked<Name>));
  });
  return endpointOf(name, route);
}
