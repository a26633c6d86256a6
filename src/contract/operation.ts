import type { AnyObject, InferType, ObjectSchema, Schema } from 'yup';

/** Who may call it: one role, everybody signed in, or anyone. */
export type Asker = 'teacher' | 'learner' | 'signedIn' | 'anyone';

/** An answer in the JSON envelope. `value` exists only as a type. */
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
 * An endpoint: checked by the server, typed for the client, and described by the API document
 * (`docs/api/openapi.json`).
 */
export interface Operation {
  /** A sentence. */
  readonly does: string;
  readonly who: Asker;
  /** The schema of its JSON body; left out: none. */
  readonly body?: Schema;
  /** Its query string parameters; left out: none. */
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
/** What a client may send for this: read-only lists, and optional fields left out. */
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
