import type { Medium, Question, QuestionModel } from '../../core';
import type { BaseType } from './expressions';
import type { QtiNames } from './names';
import type { Holding } from './scoring';
import type { XmlElement } from './xml';

/** What an interaction is called, without `qti-` and `-interaction`. */
export type Interaction =
  | 'choice'
  | 'gapMatch'
  | 'graphicGapMatch'
  | 'inlineChoice'
  | 'match'
  | 'order'
  | 'positionObject'
  | 'selectPoint'
  | 'textEntry';

/** Why a question cannot go out, or what of it stays behind: the place in its document, and a sentence. */
export interface Said {
  readonly path: string;
  readonly message: string;
}

/** The copies in each zone, by the zones' indexes: items by their index, copies from 0, in the zone's order. */
export type Arrangement = readonly (readonly { readonly item: number; readonly copy: number }[])[];

export interface Response {
  readonly identifier: string;
  readonly cardinality: 'single' | 'multiple' | 'ordered';
  readonly type: BaseType;
  /** Spellings that are accepted, for programs that read no expression. */
  readonly mapping?: XmlElement;
}

/** An interaction made from a question. */
export interface Out {
  readonly interaction: Interaction;
  readonly responses: readonly Response[];
  readonly body: readonly XmlElement[];
  readonly holding: Holding;
  /** An arrangement as the values of responses. */
  readonly valuesOf: (arrangement: Arrangement) => ReadonlyMap<string, readonly string[]>;
  readonly notes: readonly Said[];
}

/** What an interaction is made from. */
export interface Leaving {
  readonly question: Question;
  readonly model: QuestionModel;
  readonly names: QtiNames;
  /** How many copies of each item go out. */
  readonly copies: readonly number[];
  /** Where a medium's file lies in the package; null: it is not at hand. */
  readonly fileOf: (media: string) => { readonly href: string; readonly medium: Medium } | null;
  /** The picture of the scene, in the package. */
  readonly scenePicture: string;
  /** A drawn cross of a size in scene units, put into the package. */
  readonly markerPicture: (w: number, h: number) => string;
}

/** Does the item's family let it into the zone? */
export const fits = ({ question }: Leaving, zone: number, item: number): boolean => {
  const wanted = question.zones[zone]?.family ?? null;
  return wanted === null || wanted === (question.items[item]?.family ?? null);
};

/** The names of an item's copies; of what was read as no item: none. */
export const namesOf = ({ names }: Leaving, item: number): readonly string[] => names.items[item] ?? [];
export const zoneName = ({ names }: Leaving, zone: number): string => names.zones[zone] ?? '';

/** The indexes of all items that go out in the document's order. */
export const itemsIn = ({ question }: Leaving): readonly number[] => question.items.map((_, item) => item);

type Item = Question['items'][number];
/** The item at an index that is known to be one. */
export const itemAt = ({ question }: Leaving, item: number): Item => question.items[item] as Item;
