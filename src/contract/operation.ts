import type { AnyObject, InferType, ObjectSchema, Schema } from 'yup';

/** Who may ask: one role, whoever is signed in, or anyone at all. */
export type Asker = 'teacher' | 'learner' | 'signedIn' | 'anyone';

/** An answer in our JSON envelope. `value` is a type alone: what the answer has as its value. */
export interface JsonAnswer<Value = unknown> {
  readonly in: 'json';
  readonly value?: Value;
}
/** An answer that is a file, of one of these media types. */
export interface FileAnswer {
  readonly in: 'file';
  readonly mediaTypes: readonly string[];
}

/**
 * What an endpoint is: checked by the server, typed for the client, and said by the API document
 * (`docs/api/openapi.json`).
 */
export interface Operation {
  /** A sentence. */
  readonly does: string;
  readonly who: Asker;
  /** What it takes as JSON; left out: nothing. */
  readonly body?: Schema;
  /** The query parameters it reads; left out: none. */
  readonly query?: ObjectSchema<AnyObject>;
  /** The media type of a body that is a file; left out: it takes none. */
  readonly sends?: string;
  /** The most bytes its body may have; left out: {@link MAX_BODY_BYTES}. */
  readonly maxBytes?: number;
  readonly answer: JsonAnswer | FileAnswer;
}

export const json = <Value>(): JsonAnswer<Value> => ({ in: 'json' });
export const file = (...mediaTypes: readonly string[]): FileAnswer => ({ in: 'file', mediaTypes });

/** The names of the parameters in a path such as `/api/courses/{id}/groups/{group}`. */
type ParameterOf<Path extends string> = Path extends `${string}{${infer Name}}${infer Rest}`
  ? Name | ParameterOf<Rest>
  : never;

export type PathParameters<Name extends string> = { readonly [Key in ParameterOf<Name>]: string };
/** What may be sent where a schema reads this: lists that are not written to, and what may be left out left out. */
type Sendable<Value> = Value extends readonly (infer Entry)[]
  ? readonly Sendable<Entry>[]
  : Value extends object
    ? { readonly [Key in keyof Value as undefined extends Value[Key] ? never : Key]: Sendable<Value[Key]> } & {
        readonly [Key in keyof Value as undefined extends Value[Key] ? Key : never]?: Sendable<Value[Key]>;
      }
    : Value;

export type SentBodyOf<Op extends Operation> = Op extends { readonly body: infer S extends Schema }
  ? Sendable<InferType<S>>
  : null;
export type BodyOf<Op extends Operation> = Op extends { readonly body: infer S extends Schema } ? InferType<S> : null;
export type QueryOf<Op extends Operation> = Op extends { readonly query: infer S extends Schema } ? InferType<S> : null;
/** The value of an answer, with its dates as dates; never: the answer is a file. */
export type AnswerOf<Op extends Operation> = Op['answer'] extends JsonAnswer<infer Value> ? Value : never;
