/**
 * Branded ids: an item's id does not fit where a zone's belongs. All are 1 to 64 characters of `[A-Za-z0-9_-]`, or any
 * short text without control characters in imported files.
 */
declare const brand: unique symbol;
type Branded<Name extends string> = string & { readonly [brand]: Name };

export type QuestionId = Branded<'question'>;
export type ItemId = Branded<'item'>;
export type ZoneId = Branded<'zone'>;
export type FixtureId = Branded<'fixture'>;
export type MediaId = Branded<'media'>;
