import { plainAttributes, plainName } from './expressions';
import { childrenNamed, isElement, textOf, type XmlElement } from './xml';

/**
 * An item with the names of QTI 3 without their prefix, whichever version it is of: `simpleChoice` of QTI 2 and
 * `qti-simple-choice` of QTI 3 are both `simple-choice`.
 */
export const plainTree = ({ name, attributes, children }: XmlElement): XmlElement => ({
  name: plainName(name),
  attributes: plainAttributes(attributes),
  children: children.map((child) => (isElement(child) ? plainTree(child) : child)),
});

/** What scores a response: values and what each is worth. */
export interface Mapping {
  readonly entries: readonly { readonly key: string; readonly worth: number; readonly isCased: boolean }[];
  /** What any other value is worth. */
  readonly otherwise: number;
  /** The bounds of the sum; null: none. */
  readonly lowest: number | null;
  readonly highest: number | null;
}
export interface Area {
  readonly shape: string;
  readonly coords: string;
  readonly worth: number;
}
export interface DeclaredResponse {
  readonly identifier: string;
  readonly cardinality: string;
  readonly type: string;
  readonly correct: readonly string[];
  readonly mapping: Mapping | null;
  readonly areas: { readonly areas: readonly Area[]; readonly otherwise: number } | null;
}

const numberIn = (text: string | undefined): number | null => {
  const number = text === undefined ? Number.NaN : Number(text);
  return Number.isFinite(number) ? number : null;
};
const valuesIn = (of: XmlElement | undefined): readonly string[] =>
  of ? childrenNamed(of, 'value').map((value) => textOf(value).trim().replace(/\s+/g, ' ')) : [];

function mappingIn(of: XmlElement | undefined): Mapping | null {
  if (!of) return null;
  return {
    entries: childrenNamed(of, 'map-entry').map(({ attributes }) => ({
      key: (attributes['map-key'] ?? '').trim().replace(/\s+/g, ' '),
      worth: numberIn(attributes['mapped-value']) ?? 0,
      isCased: attributes['case-sensitive'] !== 'false',
    })),
    otherwise: numberIn(of.attributes['default-value']) ?? 0,
    lowest: numberIn(of.attributes['lower-bound']),
    highest: numberIn(of.attributes['upper-bound']),
  };
}

export function declaredResponse(of: XmlElement): DeclaredResponse {
  const { identifier = '', cardinality = 'single', 'base-type': type = 'identifier' } = of.attributes;
  const [areas] = childrenNamed(of, 'area-mapping');
  return {
    identifier,
    cardinality,
    type,
    correct: valuesIn(childrenNamed(of, 'correct-response')[0]),
    mapping: mappingIn(childrenNamed(of, 'mapping')[0]),
    areas: areas
      ? {
          areas: childrenNamed(areas, 'area-map-entry').map(({ attributes }) => ({
            shape: attributes.shape ?? 'default',
            coords: attributes.coords ?? '',
            worth: numberIn(attributes['mapped-value']) ?? 0,
          })),
          otherwise: numberIn(areas.attributes['default-value']) ?? 0,
        }
      : null,
  };
}

/** The maximum that an item declares: the default of MAXSCORE, else the normal maximum of SCORE; null: neither. */
export function declaredMaximum(item: XmlElement): number | null {
  const outcomes = childrenNamed(item, 'outcome-declaration');
  const named = (identifier: string) => outcomes.find(({ attributes }) => attributes.identifier === identifier);
  const max = named('MAXSCORE');
  const [first] = max ? valuesIn(childrenNamed(max, 'default-value')[0]) : [];
  return numberIn(first) ?? numberIn(named('SCORE')?.attributes['normal-maximum']);
}
