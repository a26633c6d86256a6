// Writes src/core/proof/text/widths.ts and faces.ts: how wide the characters of the item font and of the faces are,
// measured in Chromium. Run again when a font changes.
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { chromium } from '@playwright/test';

const folder = pathToFileURL('node_modules/@fontsource/').href;
/** Package and weight of each face, as src/scene/letters.ts draws it. */
const FACES = {
  school: ['andika', 400],
  joined: ['playwrite-fr-moderne', 400],
  steady: ['opendyslexic', 400],
  book: ['source-serif-4', 600],
  round: ['nunito', 600],
  narrow: ['barlow-condensed', 600],
  hand: ['patrick-hand', 400],
  code: ['atkinson-hyperlegible-mono', 400],
};
const ITEM = ['atkinson-hyperlegible-next', 600];
const LATIN_EXT = 'unicode-range: U+0100-02BA;';

const run = (from, to) => Array.from({ length: to - from + 1 }, (_, i) => from + i);
const OTHERS = [0x2010, 0x2011, 0x2012, 0x2013, 0x2014, 0x2018, 0x2019, 0x201c, 0x201d, 0x2026, 0x2212];
const CHARACTERS = [...run(0x20, 0x7e), ...run(0xa0, 0x17f), ...OTHERS];

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--allow-file-access-from-files'],
});

/** Thousandths of the font's size, in the order of CHARACTERS, and whether the font draws it itself. */
async function measured([name, weight]) {
  const face = (subset) =>
    `@font-face { font-family: Tag; font-weight: ${weight}; src: url(${folder}${name}/files/${name}-${subset}-${weight}-normal.woff2); ${subset === 'latin' ? '' : LATIN_EXT} }`;
  const page = await browser.newPage();
  await page.goto(`${folder}${name}/package.json`);
  await page.setContent(
    `<style>${face('latin-ext')}${face('latin')}</style><p style="font: ${weight} 20px Tag">aŁ</p>`,
  );
  await page.evaluate(() => document.fonts.ready);
  const widths = await page.evaluate(
    ({ codes, of }) => {
      const context = document.createElement('canvas').getContext('2d');
      const width = (font, code) => {
        context.font = font;
        return Math.round(context.measureText(String.fromCodePoint(code)).width);
      };
      return codes.map((code) => {
        const drawn = width(`${of} 1000px Tag, sans-serif`, code);
        // Drawn by neither fallback: the font has it.
        const own = ['monospace', 'serif'].every((other) => width(`${of} 1000px Tag, ${other}`, code) === drawn);
        return { drawn, own };
      });
    },
    { codes: CHARACTERS, of: weight },
  );
  await page.close();
  return widths;
}

const item = await measured(ITEM);
const at = new Map(CHARACTERS.map((code, i) => [code, item[i].drawn]));
const others = Object.fromEntries(OTHERS.map((code) => [code, at.get(code)]));
writeFileSync(
  'src/core/proof/text/widths.ts',
  `// Made by scripts/measure-font.mjs: thousandths of the font size that characters of Atkinson Hyperlegible Next,
// semi-bold, take.
/** From U+0020 to U+007E. */
export const ASCII: readonly number[] = ${JSON.stringify(run(0x20, 0x7e).map((code) => at.get(code)))};
/** From U+00A0 to U+017F. */
export const LATIN: readonly number[] = ${JSON.stringify(run(0xa0, 0x17f).map((code) => at.get(code)))};
/** Dashes, quotation marks and signs, by code point. */
export const OTHERS: Readonly<Record<number, number>> = ${JSON.stringify(others)};
`,
);
const faces = {};
for (const [name, of] of Object.entries(FACES)) {
  const widths = await measured(of);
  const by = new Map(CHARACTERS.map((code, i) => [code, widths[i]]));
  faces[name] = run(0x20, 0x17f).map((code) => (by.get(code)?.own ? by.get(code).drawn : 0));
}
await browser.close();
writeFileSync(
  'src/core/proof/text/faces.ts',
  `import type { Face } from '../../document/appearance';

/**
 * Made by scripts/measure-font.mjs: thousandths of the font size that characters from U+0020 to U+017F take in the faces
 * that ship with the application; 0: the face does not draw it.
 */
export const FACE_ADVANCES: Readonly<Record<Face, readonly number[]>> = ${JSON.stringify(faces)};
`,
);
execFileSync('node_modules/.bin/biome', [
  'format',
  '--write',
  'src/core/proof/text/widths.ts',
  'src/core/proof/text/faces.ts',
]);
