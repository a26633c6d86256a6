// `npm run contact-sheet`: every kind of question as a learner has it, at six sizes, on one picture to look at. Over what
// is built, from fresh demo data; pictures go to a folder outside the repository, which it names.
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoServed } from './demoServed.mjs';

const NINE_KINDS = '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0203';
const SIZES = [
  { width: 320, height: 568 },
  { width: 390, height: 844 },
  { width: 768, height: 1024 },
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
  { width: 3840, height: 2160 },
];
const THUMB = 300;
const folder = mkdtempSync(join(tmpdir(), 'vault-drop-sheet-'));
const { browser, pageOf, open, end } = await demoServed(4481);

/** The words that are cut off on the page: what is shown of a text is smaller than the text. */
const cutWords = (page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('.tag-words, .bed-title, .btn, h1, .frame-title')]
      .filter((element) => {
        if (!element.checkVisibility()) return false;
        const box = element.parentElement?.getBoundingClientRect();
        const own = element.getBoundingClientRect();
        const isTag = element.classList.contains('tag-words');
        return (
          element.scrollWidth >
            element.clientWidth + 1 + (getComputedStyle(element).display === 'inline' ? Infinity : 0) ||
          (isTag && box && (own.right > box.right + 1 || own.bottom > box.bottom + 1))
        );
      })
      .map((element) => element.textContent?.trim() ?? ''),
  );

async function taken(page, name, pictures) {
  for (const size of SIZES) {
    await page.setViewportSize(size);
    await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))));
    await page.waitForLoadState('networkidle');
    const path = join(folder, `${name}-${size.width}.png`);
    await page.screenshot({ path });
    const cut = await cutWords(page);
    if (cut.length > 0) console.log(`${name} at ${size.width} × ${size.height}: cut: ${cut.join(' | ')}`);
    pictures.push({ name, path, ...size });
  }
}

/** All pictures in rows, one for each question. */
async function sheet(pictures, file) {
  const page = await browser.newPage({ viewport: { width: 2000, height: 800 } });
  const images = pictures.map(
    ({ name, path, width, height }) =>
      `<figure><img height="${THUMB}" width="${Math.round((THUMB * width) / height)}" src="data:image/png;base64,${readFileSync(path).toString('base64')}"><figcaption>${name} ${width}</figcaption></figure>`,
  );
  const rows = Array.from({ length: images.length / SIZES.length }, (_, i) =>
    images.slice(i * SIZES.length, (i + 1) * SIZES.length).join(''),
  );
  await page.setContent(
    `<style>body{margin:8px;background:#888;font:12px sans-serif}div{display:flex;gap:8px}figure{margin:0 0 6px}</style>${rows.map((row) => `<div>${row}</div>`).join('')}`,
  );
  await page.screenshot({ path: file, fullPage: true });
  await page.close();
}

try {
  const page = await pageOf('clover');
  await open(page, '/sit');
  const pictures = [];
  await taken(page, 'start', pictures);
  await open(page, `/sit/${NINE_KINDS}`);
  for (let n = 1; ; n++) {
    await page.setViewportSize(SIZES[3]);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await taken(page, `question-${n}`, pictures);
    await page.setViewportSize(SIZES[3]);
    const finish = page.getByRole('button', { name: 'Finish', exact: true });
    if (await finish.isVisible()) {
      await finish.click();
      await page.getByRole('dialog').getByRole('button', { name: 'Finish' }).click();
      await page.getByText('You have finished.').waitFor();
      break;
    }
    await page.getByRole('button', { name: 'Next question', exact: true }).click();
    const leave = page.getByRole('dialog').getByRole('button', { name: 'Next question' });
    if (await leave.isVisible()) await leave.click();
    await page.getByText(`question ${n + 1} of`).waitFor();
  }
  await taken(page, 'summary', pictures);
  const half = Math.ceil(pictures.length / SIZES.length / 2) * SIZES.length;
  await sheet(pictures.slice(0, half), join(folder, 'sheet-1.png'));
  await sheet(pictures.slice(half), join(folder, 'sheet-2.png'));
  console.log(folder);
} finally {
  await end();
}
