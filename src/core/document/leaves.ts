import { type AnyObject, array, type ISchema, lazy, type MixedSchema, mixed, type ObjectShape, object } from 'yup';
import { isLanguageTag } from './languageTag';

/**
 * The leaves of the document's schema. Yup's own `number()` and `string()` turn "5" into 5; a document that says "5" is
 * wrong, so every leaf here is a type guard without a transform. A message is the end of a sentence whose beginning is
 * the place.
 */
export const finite = () =>
  mixed<number>((v): v is number => typeof v === 'number' && Number.isFinite(v)).typeError('has to be a finite number');

export const positive = () => finite().test('positive', 'has to be more than 0', (v) => v == null || v > 0);

export const atLeastZero = () => finite().test('atLeastZero', 'has to be 0 or more', (v) => v == null || v >= 0);

export const whole = (from: number, to = Number.MAX_SAFE_INTEGER) =>
  finite().test(
    'whole',
    to === Number.MAX_SAFE_INTEGER
      ? `has to be a whole number from ${from}`
      : `has to be a whole number from ${from} to ${to}`,
    (v) => v == null || (Number.isInteger(v) && v >= from && v <= to),
  );

export const flag = () =>
  mixed<boolean>((v): v is boolean => typeof v === 'boolean').typeError('has to be true or false');

export const words = (most = 20_000) =>
  mixed<string>((v): v is string => typeof v === 'string')
    .typeError('has to be a text')
    .test(
      'length',
      `has to be at most ${most} characters long`,
      (v) => v == null || v.length <= most || [...v].length <= most,
    )
    .test('nul', 'has a NUL character in it', (v) => v == null || !v.includes('\0'));

// biome-ignore lint/suspicious/noControlCharactersInRegex: control characters are what is refused
const isIdentifier = (text: string) => /^[^\u0000-\u001f\u007f]{1,100}$/u.test(text);

export const identifier = <Id extends string>() =>
  mixed<Id>((v): v is Id => typeof v === 'string')
    .typeError('has to be a text')
    .test(
      'identifier',
      'has to be a name of 1 to 100 characters without control characters',
      (v) => v == null || isIdentifier(v),
    );

export const oneOf = <const Values extends readonly string[]>(...values: Values) =>
  mixed<Values[number]>((v): v is Values[number] => typeof v === 'string' && values.includes(v)).typeError(
    `has to be one of ${values.join(', ')}`,
  );

export const languageTag = () =>
  mixed<string>((v): v is string => typeof v === 'string')
    .typeError('has to be a text')
    .test('language', 'has to be a language tag, as en or pt-BR', (v) => v == null || isLanguageTag(v));

/** An object that refuses fields it does not know, each by its own name and place. */
export const record = <Shape extends ObjectShape>(shape: Shape) =>
  object(shape)
    .typeError('has to be an object')
    .default(undefined)
    .test('known', function known(value) {
      const unknown = value == null ? [] : Object.keys(value as object).filter((name) => !Object.hasOwn(shape, name));
      if (unknown.length === 0) return true;
      const at = this.path ? `${this.path}.` : '';
      // `value` holds every name that is not known; `problems.ts` makes one problem of each.
      return this.createError({
        path: `${at}${unknown[0]}`,
        message: 'is not a field that is known here',
        params: { unknown, at },
      });
    });

type Anything = ISchema<unknown, AnyObject>;
type Out<S extends Anything> = S['__outputType'];

const entries = (inner: Anything, most: number) =>
  array(inner as never)
    .typeError('has to be a list')
    .max(most, `has to have at most ${most} entries`);

/** A list; left out it is empty. (Yup's own array type loses the variants below, hence the typed view.) */
export const list = <Inner extends Anything>(inner: Inner, most: number) =>
  entries(inner, most).default(() => []) as unknown as MixedSchema<Out<Inner>[], AnyObject, Out<Inner>[]>;

/**
 * Entries under names of the author's (ids), each an entry of the same kind: empty where left out, or refused where
 * left out.
 */
export const dictionary = <Inner extends Anything>(inner: Inner, most: number) => {
  const entriesOf = (value: unknown) => {
    const names = value !== null && typeof value === 'object' && !Array.isArray(value) ? Object.keys(value) : [];
    // A list that is too long is refused before its entries are checked.
    return object(Object.fromEntries((names.length > most ? [] : names).map((name) => [name, inner as never])))
      .typeError('has to be an object')
      .default(undefined)
      .test(
        'names',
        `has to have at most ${most} entries, under names of 1 to 100 characters without control characters`,
        () => names.length <= most && names.every(isIdentifier),
      );
  };
  type Entries = Record<string, Out<Inner>>;
  return {
    orEmpty: () =>
      lazy((value: unknown) => entriesOf(value).default(() => ({}))) as unknown as MixedSchema<
        Entries,
        AnyObject,
        Entries
      >,
    required: () =>
      lazy((value: unknown) => entriesOf(value).required()) as unknown as MixedSchema<Entries, AnyObject, Entries>,
  };
};

/** A list that may be left out or null, which is the same. */
export const listOrNull = <Inner extends Anything>(inner: Inner, most: number) =>
  entries(inner, most).nullable().default(null) as unknown as MixedSchema<Out<Inner>[] | null, AnyObject, null>;

/**
 * One of several objects, told apart by the value of `tag`: `required`, null where left out, absent where left out, or
 * a value of its own where left out.
 */
export const variant = <const Tag extends string, Shapes extends Record<string, Anything>>(
  tag: Tag,
  shapes: Shapes,
) => {
  const names = Object.keys(shapes);
  const unknownVariant = object({ [tag]: oneOf(...names).required(`has to be one of ${names.join(', ')}`) })
    .typeError('has to be an object')
    .default(undefined);
  const choose = (value: unknown): Anything => {
    const name =
      value !== null && typeof value === 'object' && Object.hasOwn(value, tag)
        ? (value as Record<string, unknown>)[tag]
        : undefined;
    return typeof name === 'string' && Object.hasOwn(shapes, name) ? (shapes[name] as Anything) : unknownVariant;
  };
  type Union = Out<Shapes[keyof Shapes]>;
  type Typed<T> = MixedSchema<T, AnyObject, T>;
  const lazily = (whenNothing: (chosen: Anything, value: unknown) => Anything) =>
    lazy((value: unknown) => whenNothing(choose(value), value) as never) as unknown;
  type Modal = { required(): Anything; nullable(): { optional(): Anything }; default(v: unknown): Anything };
  return {
    required: () => lazily((chosen) => (chosen as unknown as Modal).required()) as Typed<Union>,
    orNull: () =>
      lazily((chosen, value) => (value == null ? mixed().nullable().default(null) : chosen)) as Typed<Union | null>,
    orNothing: () => lazily((chosen) => chosen) as Typed<Union | undefined>,
    or: (whenAbsent: Union) =>
      lazily((chosen, value) =>
        value === undefined ? mixed().default(() => structuredClone(whenAbsent)) : chosen,
      ) as Typed<Union>,
  };
};
