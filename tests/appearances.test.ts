import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { APPEARANCES } from '../src/contract';

// The contrast of the tokens, by WCAG 2.2's own formula (relative luminance, 1.4.3 and 1.4.11).

type Colours = Readonly<Record<string, string>>;

const theme = readFileSync('src/ui/theme.css', 'utf8');
const own = readFileSync('src/ui/appearances.css', 'utf8');

const tokensIn = (css: string): Colours =>
  Object.fromEntries([...css.matchAll(/(--[\w-]+):\s*(#[0-9a-f]{6});/g)].map(([, name, colour]) => [name, colour]));

const between = (css: string, from: string, to: string): string => {
  const start = css.indexOf(from);
  if (start < 0) throw new Error(`There is no ${from}`);
  return css.slice(start, css.indexOf(to, start));
};

/** The tokens of an appearance in one mode. Those it does not set are paper's. */
function tokensOf(appearance: string, mode: 'light' | 'dark'): Colours {
  const paper = {
    ...tokensIn(between(theme, mode === 'light' ? 'name: "vault";' : 'name: "vault-dark";', '}')),
    ...tokensIn(between(theme, '\n:root {', '}')),
    ...(mode === 'dark' ? tokensIn(between(theme, '@media (prefers-color-scheme: dark) {\n  :root {', '}')) : {}),
  };
  if (!own.includes(`[data-appearance="${appearance}"][data-appearance] {`)) return paper;
  const block = between(own, `[data-appearance="${appearance}"][data-appearance] {`, '}');
  const pairs = [...block.matchAll(/(--[\w-]+):\s*light-dark\((#[0-9a-f]{6}), (#[0-9a-f]{6})\);/g)];
  return {
    ...paper,
    ...Object.fromEntries(pairs.map(([, name, light, dark]) => [name, mode === 'light' ? light : dark])),
  };
}

function luminance(colour: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((at) => Number.parseInt(colour.slice(at, at + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [dark = 0, light = 0] = [luminance(a), luminance(b)].sort((x, y) => x - y);
  return (light + 0.05) / (dark + 0.05);
}

const GROUNDS = ['--color-base-100', '--color-base-200', '--tray'];
/** What is read, and on which grounds. */
const READ: readonly (readonly [text: string, grounds: readonly string[]])[] = [
  ['--color-base-content', [...GROUNDS, '--brass-wash', '--verdigris-wash', '--brick-wash']],
  ['--mute', GROUNDS],
  ['--color-accent', GROUNDS],
  ['--color-success', [...GROUNDS, '--verdigris-wash']],
  ['--color-error', [...GROUNDS, '--brick-wash']],
  ['--color-primary-content', ['--color-primary']],
];

describe.each(APPEARANCES.flatMap((appearance) => [[appearance, 'light'] as const, [appearance, 'dark'] as const]))(
  '%s, %s',
  (appearance, mode) => {
    const tokens = tokensOf(appearance, mode);
    const least = appearance === 'highContrast' ? 7 : 4.5;

    it('can be read on every ground', () => {
      const weak = READ.flatMap(([text, grounds]) =>
        grounds.flatMap((ground) => {
          const found = contrast(tokens[text] ?? '', tokens[ground] ?? '');
          return found >= least ? [] : [`${text} on ${ground}: ${found.toFixed(2)}`];
        }),
      );
      expect(weak).toEqual([]);
    });
  },
);

it('contrast is measured as the standard says', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
});
