import { LIST_FIELDS, NAMED_FIELDS } from '../core';
import { MAX_TYPED } from './limits';

// What Yup tests by functions, as JSON Schema for the API document. `tests/api.test.ts` tries both with the same
// things.

/** A JSON Schema (2020-12), as it stands in an OpenAPI 3.1 document. */
export type JsonSchema = { readonly [keyword: string]: unknown };

declare module 'yup' {
  interface CustomSchemaMetadata {
    /** What Yup tests by a function, said as JSON Schema. */
    json?: JsonSchema;
  }
}

/** A question document has a schema of its own. */
export const QUESTION: JsonSchema = { $ref: '../format/question.schema.json' };

const one = (
  type: string,
  properties: Record<string, JsonSchema>,
  needed: readonly string[] = Object.keys(properties),
): JsonSchema => ({
  type: 'object',
  properties: { type: { const: type }, ...properties },
  required: ['type', ...needed],
});
const place = { type: 'integer', minimum: 0 };
const list = { enum: LIST_FIELDS };
const entry = { type: 'object', properties: { id: { type: 'string' } }, required: ['id'] };
export const EDIT: JsonSchema = {
  description: 'One change of a question; `to` and `from` are what stands there after and before.',
  oneOf: [
    one('setQuestion', { field: { type: 'string' }, to: {}, from: {} }, ['field']),
    one(
      'set',
      { in: list, id: { type: 'string' }, field: { type: 'string', not: { const: 'id' } }, to: {}, from: {} },
      ['in', 'id', 'field'],
    ),
    one('add', { in: list, index: place, entry }),
    one('remove', { in: list, index: place, entry }),
    one('move', { in: list, from: place, to: place }),
    one('name', { in: { enum: NAMED_FIELDS }, name: { type: 'string' }, to: { type: ['object', 'null'] }, from: {} }, [
      'in',
      'name',
      'to',
    ]),
  ],
};

const name = { type: 'string', maxLength: 64 };
const id = { type: 'string', pattern: '^[0-9a-f-]{36}$' };
const made = (
  kind: readonly string[],
  properties: Record<string, JsonSchema>,
  optional: Record<string, JsonSchema> = {},
): JsonSchema => ({
  type: 'object',
  properties: { id, kind: { enum: kind }, ...properties, ...optional },
  required: ['id', 'kind', ...Object.keys(properties)],
  additionalProperties: false,
});
const copy = { type: 'integer', minimum: 0 };
const coordinate = { type: 'number' };
export const MOVE: JsonSchema = {
  description:
    'What a learner does, by the names their sitting knows. A drop has the unrotated top left of the item and the pointer, in scene units.',
  oneOf: [
    made(['reset', 'check', 'hint'], {}),
    made(['put'], { zone: name, text: { type: 'string', maxLength: MAX_TYPED } }),
    made(['put'], { item: name, copy, zone: { anyOf: [name, { type: 'null' }] } }, { at: copy }),
    made(['drop'], { item: name, copy, x: coordinate, y: coordinate, px: coordinate, py: coordinate }, { at: copy }),
  ],
};
