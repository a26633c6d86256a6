import type { COLOURS } from '../document/appearance';

/** The colours of the application's tokens, in the light theme. */
export const TOKENS: { readonly [Name in (typeof COLOURS)[number]]: string } = {
  ink: '#14212b',
  paper: '#f4f0e6',
  sheet: '#fffdf7',
  rule: '#d8d0bd',
  mute: '#5a6772',
  brass: '#8a5c0d',
  brassWash: '#f6e8c6',
  verdigris: '#17665b',
  verdigrisWash: '#dcefe9',
  brick: '#a23a26',
  brickWash: '#f8e1da',
};

const isToken = (name: string): name is keyof typeof TOKENS => Object.hasOwn(TOKENS, name);
const hexOf = (colour: string) => (isToken(colour) ? TOKENS[colour] : colour);

/** Relative luminance, 0 to 1 (WCAG 2.2). */
function luminance(colour: string): number {
  const hex = hexOf(colour);
  const part = (at: number) => {
    const value = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * part(1) + 0.7152 * part(3) + 0.0722 * part(5);
}

/** The contrast ratio of two colours, 1 to 21 (WCAG 2.2): tokens by name, or # and six hexadecimal digits. */
export function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

/** The least contrast of text on its ground (WCAG 2.2, 1.4.3). */
export const MIN_CONTRAST = 4.5;
