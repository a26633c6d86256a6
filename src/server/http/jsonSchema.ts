import type { Schema, SchemaDescription, SchemaFieldDescription } from 'yup';
import type { JsonSchema } from '../../contract/shapes';

export type { JsonSchema };

/**
 * A Yup schema as JSON Schema. Rules that only a function can test (for example, that one of two fields is given) are
 * looser here.
 */
export const jsonSchemaOf = (schema: Schema): JsonSchema => of(schema.describe());

type Params = Readonly<Record<string, unknown>>;
/** The JSON Schema keywords of a Yup test, by its name. */
const OF_STRING: Readonly<Record<string, (params: Params) => JsonSchema>> = {
  min: ({ min }) => ({ minLength: min }),
  max: ({ max }) => ({ maxLength: max }),
  matches: ({ regex }) => ({ pattern: (regex as RegExp).source }),
  uuid: () => ({ format: 'uuid' }),
};
const OF_NUMBER: typeof OF_STRING = {
  min: ({ min }) => ({ minimum: min }),
  max: ({ max }) => ({ maximum: max }),
  integer: () => ({ type: 'integer' }),
};
const OF_ARRAY: typeof OF_STRING = {
  min: ({ min }) => ({ minItems: min }),
  max: ({ max }) => ({ maxItems: max }),
};
const KEYWORDS: Readonly<Record<string, typeof OF_STRING>> = { string: OF_STRING, number: OF_NUMBER, array: OF_ARRAY };

function of(field: SchemaFieldDescription): JsonSchema {
  const {
    type,
    nullable,
    oneOf,
    tests,
    meta,
    default: byDefault,
  } = field as SchemaDescription & { meta?: { json?: JsonSchema } };
  const base: JsonSchema = meta?.json ?? {
    ...(type === 'mixed' ? {} : { type }),
    ...(oneOf.length > 0 ? { enum: oneOf.filter((candidate) => candidate !== null) } : {}),
    ...Object.assign({}, ...tests.map(({ name, params }) => KEYWORDS[type]?.[name ?? '']?.(params ?? {}) ?? {})),
    ...(type === 'array' && 'innerType' in field && field.innerType
      ? { items: of(field.innerType as SchemaFieldDescription) }
      : {}),
    ...(type === 'object' && 'fields' in field ? ofObject(field.fields) : {}),
  };
  const whole = byDefault !== undefined && type !== 'object' ? { ...base, default: byDefault } : base;
  return nullable ? orNull(whole) : whole;
}

function ofObject(fields: Readonly<Record<string, SchemaFieldDescription>>): JsonSchema {
  const needed = Object.entries(fields).flatMap(([name, field]) =>
    (field as SchemaDescription).optional ? [] : [name],
  );
  return {
    properties: Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, of(field)])),
    ...(needed.length > 0 ? { required: needed } : {}),
  };
}

const orNull = (schema: JsonSchema): JsonSchema =>
  typeof schema.type === 'string' && !schema.enum
    ? { ...schema, type: [schema.type, 'null'] }
    : Object.keys(schema).length === 0
      ? schema
      : { anyOf: [schema, { type: 'null' }] };
