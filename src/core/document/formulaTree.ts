/**
 * A formula: the TeX it is typed as, and the MathML it is drawn as (MathML Core, W3C), as a tree of elements and
 * attributes that are on a list. Nothing else can be in it: no address, no style, no script.
 */
const ELEMENTS = [
  'math',
  'mrow',
  'mi',
  'mn',
  'mo',
  'mtext',
  'ms',
  'mspace',
  'mfrac',
  'msqrt',
  'mroot',
  'msub',
  'msup',
  'msubsup',
  'munder',
  'mover',
  'munderover',
  'mmultiscripts',
  'mprescripts',
  'mtable',
  'mtr',
  'mtd',
  'mpadded',
  'mphantom',
  'mstyle',
] as const;
const ATTRIBUTES = [
  'accent',
  'accentunder',
  'columnalign',
  'columnspan',
  'depth',
  'display',
  'displaystyle',
  'fence',
  'form',
  'height',
  'largeop',
  'linethickness',
  'lspace',
  'mathvariant',
  'maxsize',
  'minsize',
  'movablelimits',
  'rowspan',
  'rspace',
  'scriptlevel',
  'separator',
  'stretchy',
  'symmetric',
  'voffset',
  'width',
] as const;

export interface MathElement {
  readonly is: (typeof ELEMENTS)[number];
  readonly with?: Readonly<Record<string, string>> | undefined;
  readonly holds: readonly (MathElement | string)[];
}

export const MATH_ELEMENTS: ReadonlySet<string> = new Set(ELEMENTS);
const MATH_ATTRIBUTES: ReadonlySet<string> = new Set(ATTRIBUTES);
/** An attribute on the list; its value is a number with a unit, a name or a sign. */
export const isMathAttribute = (name: string, value: unknown): boolean =>
  MATH_ATTRIBUTES.has(name) && typeof value === 'string' && /^[A-Za-z0-9.+%-]{0,20}$/.test(value);

/** The characters of TeX in one formula. */
export const MAX_TEX = 2000;

export const MAX_PARTS = 2000;
/** With the document around it, a tree stays within what a document may be nested. */
const MAX_DEPTH = 24;
const MAX_CHARACTERS = 200;

/** Is it a tree of elements and attributes on the lists, of a size that a page can draw? */
export function isMathTree(value: unknown): value is MathElement {
  let parts = 0;
  const isPart = (part: unknown, depth: number): boolean => {
    parts++;
    if (parts > MAX_PARTS || depth > MAX_DEPTH) return false;
    if (typeof part === 'string') return part.length <= MAX_CHARACTERS && !part.includes('\0');
    if (part === null || typeof part !== 'object' || Array.isArray(part)) return false;
    const { is, with: set = {}, holds, ...others } = part as Record<string, unknown>;
    return (
      typeof is === 'string' &&
      MATH_ELEMENTS.has(is) &&
      depth > 0 === (is !== 'math') &&
      Object.keys(others).length === 0 &&
      set !== null &&
      typeof set === 'object' &&
      Object.entries(set).every(([name, given]) => isMathAttribute(name, given)) &&
      Array.isArray(holds) &&
      holds.every((inner) => isPart(inner, depth + 1))
    );
  };
  return typeof value === 'object' && isPart(value, 0);
}
