/**
 * Branded ids: an item's id cannot be passed as a zone's. New ids are 1 to 64 characters of `[A-Za-z0-9_-]`; imported
 * files may have any text of 1 to 100 characters without control characters.
 */
declare const brand: unique symbol;
type Branded<Name extends string> = string & { readonly [brand]: Name };

export type QuestionId = Branded<'question'>;
export type ItemId = Branded<'item'>;
export type ZoneId = Branded<'zone'>;
export type FixtureId = Branded<'fixture'>;
export type MediaId = Branded<'media'>;
