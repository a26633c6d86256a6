// Writes src/core/proof/text/widths.ts: how wide the characters of the item font are, measured in Chromium. Run again
// when the font changes.
import { writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { chromium } from '@playwright/test';

const folder = pathToFileURL('node_modules/@fontsource/atkinson-hyperlegible-next/files/').href;
const face = (subset) =>
  `@font-face { font-family: Tag; font-weight: 600; src: url(${folder}atkinson-hyperlegible-next-${subset}-600-normal.woff2); ${subset === 'latin' ? '' : 'unicode-range: U+0100-02BA;'} }`;
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--allow-file-access-from-files'],
});
const page = await browser.newPage();
await page.goto(`${folder}../package.json`);
await page.setContent(`<style>${face('latin-ext')}${face('latin')}</style><p style="font: 600 20px Tag">aŁ</p>`);
await page.evaluate(() => document.fonts.ready);
const characters = [
  ...Array.from({ length: 0x17f - 0x20 + 1 }, (_, i) => 0x20 + i).filter((c) => c < 0x7f || c > 0x9f),
  0x2010,
  0x2011,
  0x2012,
  0x2013,
  0x2014,
  0x2018,
  0x2019,
  0x201c,
  0x201d,
  0x2026,
  0x2212,
];
const widths = await page.evaluate((codes) => {
  const context = document.createElement('canvas').getContext('2d');
  context.font = '600 1000px Tag';
  return codes.map((code) => Math.round(context.measureText(String.fromCodePoint(code)).width));
}, characters);
await browser.close();
const at = new Map(characters.map((code, i) => [code, widths[i]]));
const run = (from, to) => Array.from({ length: to - from + 1 }, (_, i) => at.get(from + i));
const others = characters.filter((code) => code > 0x17f).map((code) => [code, at.get(code)]);
writeFileSync(
  'src/core/proof/text/widths.ts',
  `// Made by scripts/measure-font.mjs: thousandths of the font size that characters of Atkinson Hyperlegible Next, semi-bold, take.
/** From U+0020 to U+007E. */
export const ASCII: readonly number[] = ${JSON.stringify(run(0x20, 0x7e))};
/** From U+00A0 to U+017F. */
export const LATIN: readonly number[] = ${JSON.stringify(run(0xa0, 0x17f))};
/** Dashes, quotation marks and signs, by code point. */
export const OTHERS: Readonly<Record<number, number>> = ${JSON.stringify(Object.fromEntries(others))};
`,
);
