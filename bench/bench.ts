// The measurements of the Bench: dragging on a crowded scene against a page that moves one bare element with the same
// handle library, and opening a crowded question against a small one.
import { createServer } from 'node:http';
import type { BrowserContext } from '@playwright/test';
import type { Question } from '../src/core';
import { parseQuestion } from '../src/core/document';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import { saveNew } from '../src/server/vault/questions';
import { must, teacher } from '../tests/support/app';
import { bundled } from './bundle';
import { benchBrowser, dragging } from './dragging';
import { type Measured, median, p95, report, shown } from './measure';
import { benchServer } from './server';

const BARE_PORT = 4494;
const ROUNDS = 4;
const OPENINGS = 7;

/** A scene of so many items and zones, in rows, keyed zone by zone. */
function crowd(id: string, items: number, zones: number): Question {
  const across = 20;
  const parsed = parseQuestion({
    format: 'vault-drop/question',
    version: 2,
    id,
    title: `${items} items, ${zones} zones`,
    kind: 'sort',
    scene: { width: 1600, height: 1000 },
    items: Array.from({ length: items }, (_, i) => ({
      id: `i${i}`,
      label: `Sachet ${i}`,
      size: { w: 70, h: 30 },
      home: { x: 10 + (i % across) * 78, y: 600 + Math.floor(i / across) * 38 },
    })),
    zones: Array.from({ length: zones }, (_, z) => ({
      id: `z${z}`,
      label: `Shelf ${z}`,
      shape: { type: 'rect', x: 10 + (z % 8) * 196, y: 20 + Math.floor(z / 8) * 112, w: 180, h: 92 },
    })),
    key: Array.from({ length: zones }, (_, z) => ({
      zone: `z${z}`,
      belongs: Array.from({ length: items }, (_, i) => `i${i}`).filter((_, i) => i % zones === z),
      need: { rule: 'all' },
    })),
    marks: { max: 10, rule: 'perPlacement' },
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return parsed.question;
}

/** A page that moves one element with the handle library and nothing else. */
async function barePage(): Promise<string> {
  const bundle =
    await bundled(`import { createElement as h, useRef, useState, useEffect } from 'react'; import { createRoot } from 'react-dom/client'; import Moveable from 'react-moveable';
        function Page() { const ref = useRef(null); const [on, setOn] = useState(null); useEffect(() => setOn(ref.current), []);
          return h('div', null, h('div', { ref, id: 'bare', style: { position: 'absolute', left: 300, top: 300, width: 70, height: 30, background: '#8a5c0d' } }),
            on && h(Moveable, { target: on, draggable: true, resizable: true, origin: false, throttleDrag: 0, onDrag: (e) => { e.target.style.left = e.left + 'px'; e.target.style.top = e.top + 'px'; } })); }
        createRoot(document.getElementById('root')).render(h(Page));`);
  return `<!doctype html><html><body><div id="root"></div><script type="module">${bundle.replaceAll('</script', '<\\/script')}</script></body></html>`;
}

async function onCrowd(context: BrowserContext, url: string): Promise<number[]> {
  const page = await context.newPage();
  await page.goto(url);
  await page.locator('[data-ref="item:i0"]').waitFor();
  await page.waitForTimeout(2500);
  const box = await page.locator('[data-ref="item:i50"]').boundingBox();
  if (!box) throw new Error('The item is not on the scene');
  const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.click(at.x, at.y);
  await page.waitForTimeout(300);
  const work = await dragging(page, at);
  await page.close();
  return work;
}

async function onBare(context: BrowserContext): Promise<number[]> {
  const page = await context.newPage();
  await page.goto(`http://127.0.0.1:${BARE_PORT}/`);
  await page.locator('.moveable-control-box').waitFor();
  await page.waitForTimeout(500);
  const work = await dragging(page, { x: 335, y: 315 });
  await page.close();
  return work;
}

/** Milliseconds from asking for the page to everything on the scene having been drawn. */
async function opening(context: BrowserContext, url: string, last: string): Promise<number> {
  const page = await context.newPage();
  const began = performance.now();
  await page.goto(url, { waitUntil: 'commit' });
  await page.locator(`[data-ref="${last}"]`).waitFor();
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
  const took = performance.now() - began;
  await page.close();
  return took;
}

const bench = benchServer(4495);
const app = await makeApp(readConfig(bench.env));
const odile = await teacher(app, 'odile');
const [LARGE, SMALL] = ['0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0901', '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0902'];
must(await saveNew(odile, crowd(LARGE, 200, 40)));
must(await saveNew(odile, crowd(SMALL, 20, 4)));
const html = await barePage();
const bare = createServer((_, response) => response.writeHead(200, { 'content-type': 'text/html' }).end(html)).listen(
  BARE_PORT,
  '127.0.0.1',
);
const browser = await benchBrowser();
try {
  await bench.start();
  const context = await browser.newContext({ viewport: { width: 1600, height: 1000 } });
  const signed = await context.request.post(`${bench.origin}/api/auth/sign-in/username`, {
    data: { username: 'odile', password: 'seedlings-26' },
    headers: { origin: bench.origin },
  });
  if (!signed.ok()) throw new Error(`Signing in: ${signed.status()}`);
  const url = (id: string) => `${bench.origin}/bench/${id}`;

  const [crowded, alone]: [number[], number[]] = [[], []];
  for (let round = 0; round < ROUNDS; round++) {
    alone.push(...(await onBare(context)));
    crowded.push(...(await onCrowd(context, url(LARGE))));
  }
  const [large, small]: [number[], number[]] = [[], []];
  for (let i = 0; i < OPENINGS; i++) {
    small.push(await opening(context, url(SMALL), 'item:i19'));
    large.push(await opening(context, url(LARGE), 'item:i199'));
  }
  const against = (name: string, of: (values: readonly number[]) => number, most: number): Measured => {
    const [ours, theirs] = [of(crowded), of(alone)];
    return {
      name,
      value: `${shown(ours / theirs)} × (${shown(ours, ' ms')} / ${shown(theirs, ' ms')})`,
      goal: `≤ ${most} ×`,
      met: ours / theirs <= most,
      ours,
      theirs,
      moves: crowded.length,
    };
  };
  const [a, b] = [median(large), median(small)];
  report([
    against('dragging among 200 items and 40 zones / one bare element: main-thread work a move, median', median, 3),
    against('the same, 95th percentile', p95, 5),
    {
      name: 'opening 200 items and 40 zones / 20 items and 4 zones',
      value: `${shown(a / b)} × (${shown(a, ' ms')} / ${shown(b, ' ms')})`,
      goal: '< 1.5 ×',
      met: a / b < 1.5,
      large: a,
      small: b,
    },
  ]);
} finally {
  await browser.close();
  bare.close();
  bench.stop();
}
process.exit(0);
