import type { Kind, Question } from '../../core';
import type { DeclaredResponse } from './plainTree';
import type { ScoredBy } from './readScoring';
import type { XmlElement } from './xml';

/** What became of something otherwise than it was: the place in the item, and a sentence. */
export interface Approximation {
  readonly where: string;
  readonly message: string;
}

/** An item that is read. */
export interface Arriving {
  /** The maximum that is declared; null: none. */
  readonly maximum: number | null;
  readonly responses: ReadonlyMap<string, DeclaredResponse>;
  readonly scoredBy: ReadonlyMap<string, ScoredBy>;
  readonly allOrNothing: boolean;
  /** Takes a picture, sound or film of the package in; null: there is none there. */
  readonly medium: (href: string, description: string | null) => string | null;
  readonly approximate: (where: string, message: string) => void;
}

/** An interaction cannot be read: why. */
export class Refused extends Error {}

/** Fields of a question document as they are written; what is left out is at its default. */
type Fields = Readonly<Record<string, unknown>>;

/** A question as far as an interaction says it. */
export interface Draft {
  readonly kind: Kind;
  readonly items: readonly Fields[];
  readonly zones: readonly Fields[];
  readonly fixtures?: readonly Fields[];
  readonly scene?: { readonly width: number; readonly height: number };
  readonly tray?: Fields | null;
  readonly marked: Marked;
  /** Sizes, homes and places: what an item of QTI does not say. */
  readonly lay: (question: Question) => Question;
}

/** Key and marks of a question. */
export interface Marked {
  readonly key: readonly Fields[];
  readonly either?: readonly Fields[];
  readonly marks: {
    readonly max: number;
    readonly rule: string;
    readonly extraCosts: number;
    readonly misplacedCosts: number;
    readonly places: number;
  };
}

/** The response that an interaction is bound to. */
export function responseFor(of: XmlElement, { responses }: Arriving): DeclaredResponse {
  const name = of.attributes['response-identifier'] ?? '';
  const found = responses.get(name);
  if (!found) throw new Refused(`There is no response ${name}.`);
  return found;
}

/** A whole number of an attribute; `otherwise` where it is none. */
export const wholeIn = ({ attributes }: XmlElement, name: string, otherwise: number): number => {
  const number = Number(attributes[name]);
  return attributes[name] !== undefined && Number.isInteger(number) && number >= 0 ? number : otherwise;
};
