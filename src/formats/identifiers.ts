/**
 * NCName of Namespaces in XML 1.0: the ranges of Name in XML 1.0 (fifth edition), section 2.3, without the colon. Of
 * characters that it may begin with, and of those that may follow besides.
 */
const FIRST: readonly (readonly [number, number])[] = [
  [0x41, 0x5a],
  [0x5f, 0x5f],
  [0x61, 0x7a],
  [0xc0, 0xd6],
  [0xd8, 0xf6],
  [0xf8, 0x2ff],
  [0x370, 0x37d],
  [0x37f, 0x1fff],
  [0x200c, 0x200d],
  [0x2070, 0x218f],
  [0x2c00, 0x2fef],
  [0x3001, 0xd7ff],
  [0xf900, 0xfdcf],
  [0xfdf0, 0xfffd],
  [0x10000, 0xeffff],
];
const LATER: readonly (readonly [number, number])[] = [
  ...FIRST,
  [0x2d, 0x2e],
  [0x30, 0x39],
  [0xb7, 0xb7],
  [0x300, 0x36f],
  [0x203f, 0x2040],
];
const isIn = (character: string, ranges: typeof FIRST) => {
  const code = character.codePointAt(0) ?? 0;
  return ranges.some(([from, to]) => code >= from && code <= to);
};
export function isNcName(text: string): boolean {
  const [first, ...others] = [...text];
  return first !== undefined && isIn(first, FIRST) && others.every((character) => isIn(character, LATER));
}

const hex = (text: string) =>
  Array.from(new TextEncoder().encode(text), (byte) => byte.toString(16).padStart(2, '0')).join('');
/** An id as an identifier: itself, or `i_` and its UTF-8 bytes in hexadecimal where it is no NCName. */
export const identifierOf = (id: string): string => (isNcName(id) ? id : `i_${hex(id)}`);
