// The measurements of the learner's page: its weight, the work to the first usable question, dragging among many items
// and how soon a press shows, against a page that moves one bare element with the same drag-and-drop library in the
// same run.
import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import type { BrowserContext, Page } from '@playwright/test';
import type { Question } from '../src/core';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import { openRelease } from '../src/server/sittings/openRelease';
import { course, learner, must, release, teacher } from '../tests/support/app';
import { seeds } from '../tests/support/seeds';
import { bundled } from './bundle';
import { benchBrowser, dragging } from './dragging';
import { type Measured, median, p95, report, shown } from './measure';
import { benchServer } from './server';
import { traced, workUntil } from './trace';
import { weight } from './weight';

const BARE_PORT = 4493;
const BARE = `http://127.0.0.1:${BARE_PORT}/`;
const ROUNDS = 3;
const OPENINGS = 7;
const DROPS = 16;
const ITEMS = 60;
const READY = 'bench-ready';

/** As many items as are asked for in rows, and eight zones. */
function crowd(items: number) {
  const across = 12;
  return seeds({
    title: `${items} items`,
    scene: { width: 1200, height: 760 },
    items: Array.from({ length: items }, (_, i) => ({
      id: `i${i}`,
      label: `Sachet ${i}`,
      size: { w: 86, h: 36 },
      home: { x: 20 + (i % across) * 97, y: 480 + Math.floor(i / across) * 50 },
    })),
    zones: Array.from({ length: 8 }, (_, z) => ({
      id: `z${z}`,
      label: `Shelf ${z}`,
      shape: { type: 'rect', x: 20 + (z % 4) * 295, y: 30 + Math.floor(z / 4) * 220, w: 280, h: 200 },
      settle: { rule: 'grid', gap: 8 },
    })),
    key: [{ zone: 'z0', belongs: ['i0'], need: { rule: 'all' } }],
    tries: null,
  });
}

/** A page that moves one element with the same library and nothing else. */
async function barePage(): Promise<string> {
  const bundle =
    await bundled(`import { createElement as h, useState } from 'react'; import { createRoot } from 'react-dom/client';
        import { useDrag } from '@use-gesture/react';
        function Page() { const [at, setAt] = useState({ x: 300, y: 500 });
          const bind = useDrag(({ movement: [x, y], last, event }) => { const box = document.getElementById('bare');
            box.style.transform = last ? '' : 'translate3d(' + x + 'px,' + y + 'px,0)';
            if (last) setAt((a) => ({ x: a.x + x, y: a.y + y })); }, { threshold: 4, pointer: { capture: false, keys: false } });
          return h('div', { id: 'bare', ...bind(), tabIndex: 0, style: { position: 'absolute', left: at.x, top: at.y, width: 86, height: 36, background: '#8a5c0d', touchAction: 'none' } }); }
        createRoot(document.getElementById('root')).render(h(Page));`);
  return `<!doctype html><html><body><div id="root"></div><script type="module">${bundle.replaceAll('</script', '<\\/script')}</script></body></html>`;
}

/**
 * In the page: marks in the trace when what can be dragged is there and listens. (As text: what runs here is named by a
 * helper that a page does not have.)
 */
const markReady = (ready: string) => `(function look() {
  if (document.querySelectorAll('astro-island[ssr]').length === 0 && document.querySelector('${ready}')) performance.mark('${READY}');
  else requestAnimationFrame(look);
})()`;

/** Milliseconds of main-thread work to the first usable question. */
async function opening(context: BrowserContext, url: string, draggable: string): Promise<number> {
  const page = await context.newPage();
  await page.addInitScript(markReady(draggable));
  const cdp = await context.newCDPSession(page);
  const events = await traced(cdp, async () => {
    await page.goto(url);
    await page.waitForFunction((mark) => performance.getEntriesByName(mark).length > 0, READY);
    await page.waitForTimeout(200);
  });
  await page.close();
  return workUntil(events, url, READY);
}

/** In the page: notes for each press and each letting go how long after it the next frame was painted. */
const notePaints = `
  window.paints = [];
  const channel = new MessageChannel();
  const waiting = [];
  channel.port1.onmessage = () => waiting.length && window.paints.push(performance.now() - waiting.shift());
  for (const type of ['mousedown', 'mouseup'])
    window.addEventListener(type, ({ timeStamp }) => requestAnimationFrame(() => { waiting.push(timeStamp); channel.port2.postMessage(0); }), { capture: true });
`;

async function paints(page: Page, what: string): Promise<number[]> {
  for (let i = 0; i < DROPS; i++) {
    const box = await page.locator(what).boundingBox();
    if (!box) throw new Error(`${what} is not on the page`);
    const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    const by = i % 2 === 0 ? -1 : 1;
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + by * 60, from.y + by * 90, { steps: 6 });
    await page.waitForTimeout(60);
    await page.mouse.up();
    await page.waitForTimeout(350);
  }
  return page.evaluate(() => (window as unknown as { paints: number[] }).paints);
}

async function onPage<T>(
  context: BrowserContext,
  url: string,
  ready: string,
  work: (page: Page) => Promise<T>,
): Promise<T> {
  const page = await context.newPage();
  await page.addInitScript(notePaints);
  await page.goto(url);
  await page.locator(ready).waitFor();
  await page.waitForFunction(() => document.querySelectorAll('astro-island[ssr]').length === 0);
  await page.waitForTimeout(1200);
  const done = await work(page);
  await page.close();
  return done;
}

const dragged = (what: string) => async (page: Page) => {
  const box = await page.locator(what).boundingBox();
  if (!box) throw new Error(`${what} is not on the page`);
  return dragging(page, { x: box.x + box.width / 2, y: box.y + box.height / 2 });
};

const LANDINGS = 60;

/** Milliseconds from sending a landing that the server has to judge to its verdict. */
async function landings(
  origin: string,
  context: BrowserContext,
  sitting: { id: string; items: string[]; zone: string },
): Promise<number[]> {
  const times: number[] = [];
  for (let i = 0; i < LANDINGS; i++) {
    const began = performance.now();
    const answer = await context.request.post(`${origin}/api/sittings/${sitting.id}/moves`, {
      data: {
        question: 0,
        after: i,
        moves: [
          {
            id: randomUUID(),
            kind: 'put',
            item: sitting.items[i % sitting.items.length],
            copy: 0,
            zone: i % 2 === 0 ? sitting.zone : null,
          },
        ],
      },
      headers: { origin },
    });
    times.push(performance.now() - began);
    const { value } = (await answer.json()) as { value?: { told: unknown } };
    if (!value?.told) throw new Error(`A landing was not judged: ${answer.status()}`);
  }
  return times;
}

const bench = benchServer(4492);
const app = await makeApp(readConfig(bench.env));
const odile = await teacher(app, 'odile');
const courseId = await course(odile);
const wren = await learner(odile, courseId, 'wren');
const many = await release(odile, courseId, crowd(ITEMS));
const few = await release(odile, courseId, crowd(9));
for (const one of [many, few]) must(await openRelease(wren, one));
const judged = must(
  await openRelease(
    wren,
    await release(odile, courseId, { ...crowd(9), id: randomUUID() as Question['id'], judging: 'onLand' }),
  ),
).open;
if (!judged) throw new Error('The sitting has ended before it began');
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
    data: { username: 'wren', password: 'seedlings-26' },
    headers: { origin: bench.origin },
  });
  if (!signed.ok()) throw new Error(`Signing in: ${signed.status()}`);
  const url = (releaseId: string) => `${bench.origin}/sit/${releaseId}`;
  const item = '[data-copy="180000"]';

  const against = (
    name: string,
    of: (values: readonly number[]) => number,
    ours: readonly number[],
    theirs: readonly number[],
    most: number,
  ): Measured => {
    const [a, b] = [of(ours), of(theirs)];
    return {
      name,
      value: `${shown(a / b)} × (${shown(a, ' ms')} / ${shown(b, ' ms')})`,
      goal: `≤ ${most} ×`,
      met: a / b <= most,
      ours: a,
      theirs: b,
      samples: ours.length,
    };
  };
  const [first, firstBare]: [number[], number[]] = [[], []];
  for (let i = 0; i < OPENINGS; i++) {
    firstBare.push(await opening(context, BARE, '#bare'));
    first.push(await opening(context, url(few), '.movable[role="button"]'));
  }
  const [crowded, alone, shownAfter, shownBare]: [number[], number[], number[], number[]] = [[], [], [], []];
  for (let round = 0; round < ROUNDS; round++) {
    alone.push(...(await onPage(context, BARE, '#bare', dragged('#bare'))));
    crowded.push(...(await onPage(context, url(many), item, dragged(item))));
    shownBare.push(...(await onPage(context, BARE, '#bare', (page) => paints(page, '#bare'))));
    shownAfter.push(...(await onPage(context, url(many), item, (page) => paints(page, item))));
  }
  const verdicts = await landings(bench.origin, context, {
    id: judged.id,
    items: judged.question.items.map(({ id }) => id),
    zone: judged.question.zones[1]?.id ?? '',
  });
  const page = await (await context.request.get(url(many))).text();
  report([
    await weight(`/sit/${many}`, page),
    against('main-thread work to the first usable question / one bare element', median, first, firstBare, 2.5),
    against(
      `dragging among ${ITEMS} items / one bare element: main-thread work a move, median`,
      median,
      crowded,
      alone,
      3,
    ),
    against('the same, 95th percentile', p95, crowded, alone, 5),
    against(
      'from a press or letting go to the next paint / the same on the bare page, median',
      median,
      shownAfter,
      shownBare,
      2,
    ),
    against('the same, 95th percentile', p95, shownAfter, shownBare, 2),
    {
      name: 'a landing judged by the server, 95th percentile',
      value: shown(p95(verdicts), ' ms'),
      goal: '< 100 ms',
      met: p95(verdicts) < 100,
      median: median(verdicts),
    },
  ]);
} finally {
  await browser.close();
  bare.close();
  bench.stop();
}
process.exit(0);
