// Fields that several requests have. Yup is used strictly: it converts nothing.
import { array, boolean, mixed, number, string } from 'yup';
import { isZone } from '../core';
import type { JsonSchema } from './shapes';
import type { Moment } from './wire';

/** An id as ours are: a UUID in small letters. */
export const anyUuid = () => string().matches(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/, 'has to be a UUID');
export const uuid = () => anyUuid().required('is missing');

export const wholeNumber = () => number().integer().min(0).required();

/** The revision that something was changed on: a write of all of it names one. */
export const revision = () => number().integer().min(1).required('is missing: the revision it was changed on');

/** A list whose entries are tested by a function: fast at any length. The first wrong entry is named by its place. */
export const listOf = <T>(
  is: (value: unknown) => value is T,
  max: number,
  message: string,
  json: JsonSchema,
  min = 0,
) =>
  mixed<T[]>((value): value is T[] => Array.isArray(value))
    .typeError('has to be a list')
    .test('entries', message, (value, { path, createError }) => {
      if (value === undefined || value === null) return true;
      if (value.length < min) return createError({ message: min === 1 ? 'is empty' : `At least ${min} entries` });
      if (value.length > max) return createError({ message: `At most ${max} entries` });
      const wrong = value.findIndex((candidate) => !is(candidate));
      return wrong === -1 || createError({ path: `${path}[${wrong}]`, message });
    })
    .meta({ json: { type: 'array', items: json, maxItems: max, ...(min > 0 ? { minItems: min } : {}) } });

export const isOneOf = (values: readonly string[], value: unknown) =>
  typeof value === 'string' && values.includes(value);

export const moment = () =>
  mixed<Moment>((value): value is Moment => typeof value === 'string')
    .test(
      'moment',
      'has to be a time such as 2026-11-25T10:00:00Z',
      (value) => value == null || (/^\d{4}-\d\d-\d\dT[\d:.]+Z$/.test(value) && !Number.isNaN(Date.parse(value))),
    )
    .meta({ json: { type: 'string', format: 'date-time', description: 'In UTC, as 2026-11-25T10:00:00Z' } })
    .nullable()
    .default(null);

export const ids = (most: number) => array(uuid()).max(most).required();

export const aWord = <const T extends string>(words: readonly T[]) =>
  mixed<T>((value): value is T => isOneOf(words, value))
    .typeError(`has to be one of ${words.join(', ')}`)
    .meta({ json: { enum: words } })
    .required();

export const name = (most: number) =>
  string().trim().min(1, 'Give it a name').max(most, `At most ${most} characters`).required('Give it a name');

/** The user name of an existing account. */
export const username = () => string().trim().min(1, 'Type a user name').max(200).required('Type a user name');

export const zone = () =>
  string()
    .max(60)
    .test('zone', 'This is no time zone', (name) => name === undefined || name === null || isZone(name));

export const points = () => number().min(0, 'No less than 0 points').max(1000, 'At most 1000 points');

export const sha256 = () =>
  string()
    .matches(/^[0-9a-f]{64}$/, 'has to be a SHA-256')
    .required();

export const isIndex = (value: unknown) => Number.isInteger(value) && (value as number) >= 0;

// Query string parameters: long texts are cut, numbers are parsed.

const MAX_FROM = 1_000_000;

export const words = (most: number) => string().transform((value: string) => value.slice(0, most));

export const numberText = (most: number) =>
  number()
    .typeError('has to be a whole number')
    .integer('has to be a whole number')
    .min(0, 'has to be a whole number')
    .max(most);

/** In an address: `flag`, `flag=true` or `flag=1`; `flag=false` and `flag=0` are as if it were left out. */
export const flag = () => boolean().typeError('has to be true or false').default(false);

export const from = () => numberText(MAX_FROM).default(0);

export const one = <const T extends string>(of: readonly T[]) =>
  string().oneOf(of, `has to be one of ${of.join(', ')}`);
