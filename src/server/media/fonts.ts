import { create } from 'fontkit';

/** Beyond these no honest font goes: its bytes when it is unpacked, and its drawings of characters. */
const MAX_BYTES = 20_000_000;
const MAX_GLYPHS = 65_535;
/** Where a WOFF2 says how large it is decompressed (W3C WOFF 2.0, section 4.1). */
const TOTAL_SIZE_AT = 16;

/** Why a file cannot be taken as a font; null: it can. */
export function fontProblem(bytes: Buffer): string | null {
  if (bytes.length < 48) return 'It is not a whole font';
  if (bytes.readUInt32BE(TOTAL_SIZE_AT) > MAX_BYTES) return 'It is too large when it is unpacked';
  try {
    const font = create(bytes);
    if (!('glyphForCodePoint' in font)) return 'It holds several fonts: take one of them';
    if (font.numGlyphs < 2 || font.numGlyphs > MAX_GLYPHS) return 'It draws no characters';
    // What a font is read for: that its characters have widths.
    const letters = ['a', 'e', 'n', '1'].map((letter) => font.glyphForCodePoint(letter.codePointAt(0) as number));
    return font.unitsPerEm > 0 && letters.some((glyph) => glyph.id > 0 && glyph.advanceWidth > 0)
      ? null
      : 'It draws no Latin letters or digits';
  } catch {
    return 'It cannot be read as a font';
  }
}
