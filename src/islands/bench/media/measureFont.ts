const FIRST = 0x20;
const LAST = 0x17f;
const EM = 1000;

/**
 * How wide the characters of a font are, from U+0020 to U+017F, in thousandths of its size, as this browser draws them;
 * 0: the font does not draw it. Null: it cannot be loaded.
 */
export async function measureFont(url: string): Promise<number[] | null> {
  const face = new FontFace('measured', `url("${url}")`);
  try {
    await face.load();
  } catch {
    return null;
  }
  document.fonts.add(face);
  const context = document.createElement('canvas').getContext('2d');
  const width = (character: string, otherwise: string) => {
    if (!context) return 0;
    context.font = `${EM}px measured, ${otherwise}`;
    return Math.round(context.measureText(character).width);
  };
  const advances = Array.from({ length: LAST - FIRST + 1 }, (_, i) => {
    const character = String.fromCodePoint(FIRST + i);
    const drawn = width(character, 'monospace');
    // Drawn alike whatever stands in for it: the font has it.
    return drawn === width(character, 'serif') ? drawn : 0;
  });
  document.fonts.delete(face);
  return advances;
}
