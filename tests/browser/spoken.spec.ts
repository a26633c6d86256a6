import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page, Response } from '@playwright/test';
import { give, signedIn, tag } from './player';
import { expect, open, test, watch } from './support';

// What a listener hears of a whole attempt: what is announced, and the name of what has the focus, in their order.
// The logs stand beside this file; UPDATE_SPOKEN=1 writes them anew, to be read before they are kept.

const item = (label: string, more: object = {}) => ({
  ...{ id: label.toLowerCase().replaceAll(' ', '-'), label, size: { w: 120, h: 40 } },
  ...more,
});
const zone = (label: string, x: number, more: object = {}) => ({
  ...{ id: label.toLowerCase().replaceAll(' ', '-'), label, settle: { rule: 'grid', gap: 10 } },
  shape: { type: 'rect', x, y: 40, w: 400, h: 300 },
  ...more,
});
const all = (zoneId: string, ...belongs: string[]) => ({ zone: zoneId, belongs, need: { rule: 'all' } });
const tray = { side: 'bottom', size: 130, order: 'asListed' };
const says = (text: string) => ({
  text: { blocks: [{ type: 'paragraph', runs: [{ text }] }] },
  picture: null,
  sound: null,
});
const text = (...runs: object[]) => ({
  ...{ id: 'text', type: 'text', x: 20, y: 20, w: 900, h: 200, rotation: 0, label: '' },
  text: { blocks: [{ type: 'paragraph', runs }] },
});
const slot = (id: string, label: string, more: object) => ({ id, label, shape: { type: 'slot' }, ...more });

/** In the page, from its beginning: notes what live regions come to say, and what comes to have the focus. */
const listen = `(() => {
  window.heard = [];
  const LIVE = '[aria-live], [role="status"], [role="alert"]';
  const waiting = new Set();
  const note = (line) => line && window.heard.at(-1) !== line && window.heard.push(line);
  const flush = () => {
    for (const region of waiting) {
      const words = region.textContent.replace(/\\s+/g, ' ').trim();
      if (words) window.heard.push('   ' + words);
    }
    waiting.clear();
  };
  new MutationObserver((records) => {
    for (const { target, addedNodes, type } of records) {
      const element = target.nodeType === 1 ? target : target.parentElement;
      const region = element?.closest(LIVE);
      const adds = type === 'characterData' || [...addedNodes].some((node) => node.textContent);
      if (region && adds) {
        if (waiting.size === 0) setTimeout(flush);
        waiting.add(region);
      }
    }
  }).observe(document, { subtree: true, childList: true, characterData: true });
  addEventListener('focusin', ({ target }) => {
    const role = target.getAttribute('role') ?? target.tagName.toLowerCase();
    const name = target.getAttribute('aria-label') ?? target.textContent ?? '';
    const state = ['aria-checked', 'aria-pressed'].flatMap((name) => (target.getAttribute(name) === 'true' ? [name.slice(5)] : []));
    note([role, JSON.stringify(name.replace(/\\s+/g, ' ').trim()), ...state].join(' '));
  });
})()`;

interface Attempt {
  readonly question: Record<string, unknown>;
  /** Keys, or the words of an item or the name of a button that gets the focus first. */
  readonly steps: readonly (readonly [on: string | null, ...keys: string[]])[];
}

const CHECK = ['Check', 'Enter'] as const;
const AGAIN = ['Try again', 'Enter'] as const;

const ATTEMPTS: Record<string, Attempt> = {
  Sort: {
    question: {
      tray,
      items: [item('Barley'), item('Acorn'), item('Gravel')],
      zones: [zone('Dry', 30), zone('Moist', 500)],
      key: [
        { ...all('dry', 'barley'), says: { zone: null, items: { acorn: says('It dies.') } } },
        all('moist', 'acorn'),
      ],
      hints: [says('Think of grain.')],
    },
    steps: [
      ['Barley', 'Space', 'd', 'Space'],
      ['Acorn', 'Space', 'ArrowRight', 'Escape'],
      ['Acorn', 'Space', 'ArrowRight', 'Space'],
      CHECK,
      AGAIN,
      ['Hint', 'Enter'],
      ['Acorn', 'Space', 'm', 'Space'],
      CHECK,
    ],
  },
  Label: {
    question: {
      tray,
      items: [item('Seed half'), item('Root')],
      zones: [zone('1', 30, { capacity: 1, whenFull: 'swap' }), zone('2', 500, { capacity: 1, whenFull: 'swap' })],
      key: [all('1', 'seed-half'), all('2', 'root')],
    },
    steps: [
      ['Root', 'Space', '1', 'Space'],
      ['Seed half', 'Space', '1', 'Space'],
      CHECK,
      ['Root', 'Space', '2', 'Space'],
      CHECK,
    ],
  },
  Order: {
    question: {
      items: ['Weigh', 'Dry', 'Seal'].map((label) => item(label)),
      zones: [zone('From sack to freezer', 40, { settle: { rule: 'column', gap: 10 } })],
      key: [{ zone: 'from-sack-to-freezer', belongs: ['weigh', 'dry', 'seal'], sequence: true }],
      start: { placements: ['seal', 'weigh', 'dry'].map((name) => ({ item: name, zone: 'from-sack-to-freezer' })) },
      afterMiss: 'leave',
    },
    steps: [CHECK, ['Seal', 'Space', 'ArrowDown', 'ArrowDown', 'Space'], CHECK],
  },
  'Pick one': {
    question: {
      items: ['Yes', 'No', 'After a test'].map((label, i) =>
        item(label, { stays: true, home: { x: 40, y: 40 + 60 * i } }),
      ),
      zones: [{ id: 'picked', label: 'Picked', shape: { type: 'slot' }, capacity: 1, whenFull: 'swap' }],
      key: [all('picked', 'no')],
    },
    steps: [['Yes', 'Space'], CHECK, AGAIN, ['Yes', 'ArrowDown'], CHECK],
  },
  'Pick several': {
    question: {
      items: ['Barley', 'Acorn', 'Poppy'].map((label, i) =>
        item(label, { stays: true, home: { x: 40, y: 40 + 60 * i } }),
      ),
      zones: [{ id: 'picked', label: 'Picked', shape: { type: 'slot' }, capacity: null }],
      key: [all('picked', 'barley', 'poppy')],
      afterMiss: 'leave',
    },
    steps: [['Barley', 'Space'], CHECK, ['Acorn', 'Space'], ['Acorn', 'Space'], ['Poppy', 'Space'], CHECK],
  },
  Mark: {
    question: {
      tray,
      items: [item('Flag', { copies: 3, goesHome: false })],
      zones: [zone('root', 30, { hidden: true }), zone('leaf', 500, { hidden: true })],
      key: [
        { zone: 'root', belongs: ['flag'], need: { rule: 'exactly', n: 1 } },
        { zone: 'leaf', belongs: ['flag'], need: { rule: 'exactly', n: 1 } },
      ],
      show: {
        places: [
          { label: 'Left of the soil', x: 200, y: 190 },
          { label: 'In the soil', x: 460, y: 190 },
          { label: 'Right of the soil', x: 700, y: 190 },
        ],
      },
    },
    steps: [
      ['Flag', 'Space', 'l', 'Space'],
      ['Flag', 'Space', 'i', 'Space'],
      CHECK,
      ['Flag', 'Space', 'r', 'Space'],
      CHECK,
    ],
  },
  'Gaps to type': {
    question: {
      items: [item('dormant'), item('viable')],
      fixtures: [
        text(
          { text: 'A seed that rests is ' },
          { slot: 'a' },
          { text: ', one that can grow is ' },
          { slot: 'b' },
          { text: '.' },
        ),
      ],
      zones: [
        slot('a', 'Gap 1', { typed: { accept: { dormant: ['dormant'] }, slips: 1 } }),
        slot('b', 'Gap 2', { typed: { accept: { viable: ['viable'] }, slips: 1 } }),
      ],
      key: [all('a', 'dormant'), all('b', 'viable')],
      afterMiss: 'leave',
    },
    steps: [['Gap 1', ...'dormint', 'Enter'], ['Gap 2', ...'dry', 'Enter'], CHECK],
  },
  Count: {
    question: {
      tray,
      items: [item('Weight', { copies: 5, value: 10 })],
      zones: [zone('Scale', 30)],
      key: [{ zone: 'scale', sum: { target: 20, tolerance: 0 } }],
      show: { runningTotal: true },
      afterMiss: 'leave',
    },
    steps: [['Weight', 'Space', 's', 'Space'], CHECK, ['Weight', 'Space', 's', 'Space'], CHECK],
  },
  Build: {
    question: {
      items: [item('Jar', { size: { w: 200, h: 200 }, home: { x: 40, y: 300 } }), item('Lid')],
      zones: [
        zone('Table', 400, { settle: { rule: 'anchor', at: 'middle', gap: 0 } }),
        {
          ...zone('Top of the jar', 50),
          shape: { type: 'rect', x: 50, y: 10, w: 100, h: 60 },
          ridesOn: 'jar',
          settle: { rule: 'anchor', at: 'middle', gap: 0 },
        },
      ],
      key: [all('table', 'jar'), all('top-of-the-jar', 'lid')],
    },
    steps: [['Lid', 'Space', 't', 't', 'Space'], ['Jar', 'Space', 't', 'Space'], CHECK],
  },
};

/** Puts the focus on an item, a field or a button by its words, as the Tab key would. */
async function focus(page: Page, name: string): Promise<void> {
  const button = page.getByRole('button', { name, exact: true }).or(page.getByRole('textbox', { name }));
  const what = (await tag(page, name).count()) > 0 ? tag(page, name).last() : button.first();
  await what.focus();
}

const heard = (page: Page) => page.evaluate('window.heard') as Promise<string[]>;

/** Two frames, and what they leave to be done: words that an earlier key brings are not taken for a later one's. */
const painted = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((resolve) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(resolve, 20)))),
  );

/** The server's answer to a check or a hint, not the one to a drop that was sent before it. */
const asks = (button: 'Check' | 'Hint') => (response: Response) =>
  (response.request().postData() ?? '').includes(`"kind":"${button.toLowerCase()}"`);

for (const [kind, { question, steps }] of Object.entries(ATTEMPTS))
  test(`${kind}: a whole attempt reads as sense`, async ({ browser }) => {
    const release = await give(browser, { title: kind, tries: 3, ...question });
    const context = await signedIn(browser, 'alder', { viewport: { width: 1280, height: 900 } });
    const page = await context.newPage();
    const { said } = watch(page);
    await page.addInitScript(listen);
    await open(page, `/sit/${release}`);
    // Until the browser has given the page its focus, an element has it without an event that says so.
    await page.bringToFront();
    await expect.poll(() => page.evaluate(() => document.hasFocus())).toBe(true);
    for (const [on, ...keys] of steps) {
      if (on !== null) await focus(page, on);
      await painted(page);
      const before = await heard(page);
      const answer = on === 'Check' || on === 'Hint' ? page.waitForResponse(asks(on)) : null;
      for (const key of keys) {
        await page.keyboard.press(key);
        await painted(page);
      }
      if (!answer) continue;
      await answer;
      await expect.poll(async () => (await heard(page)).length).toBeGreaterThan(before.length);
      await painted(page);
    }
    const log = (await heard(page)).join('\n');
    const file = join(import.meta.dirname, 'spoken', `${kind}.txt`);
    if (process.env.UPDATE_SPOKEN) writeFileSync(file, `${log}\n`);
    expect(`${log}\n`).toBe(readFileSync(file, 'utf8'));
    expect(said).toEqual([]);
    await context.close();
  });
