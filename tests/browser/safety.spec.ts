import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { asc } from 'drizzle-orm';
import { makeApp } from '../../src/server/app';
import { readConfig } from '../../src/server/config';
import { openDatabase } from '../../src/server/database/open';
import { move } from '../../src/server/database/tables';
import { toWire } from '../../src/ui/wire';
import { course, learner, release, teacher } from '../support/app';
import { seeds } from '../support/seeds';
import { bed, byMouse, give, giveSet, press, sitDown, tag } from './player';
import { accessible, centre, expect, ready, test } from './support';

const item = (label: string, more: Record<string, unknown> = {}) => ({
  id: label.toLowerCase(),
  label,
  size: { w: 100, h: 44 },
  ...more,
});
const zone = (label: string, x: number, more: Record<string, unknown> = {}) => ({
  id: label.toLowerCase(),
  label,
  shape: { type: 'rect', x, y: 50, w: 280, h: 300 },
  settle: { rule: 'grid', gap: 10 },
  ...more,
});
const all = (zoneId: string, ...belongs: string[]) => ({ zone: zoneId, belongs, need: { rule: 'all' } });
const THREE = {
  tray: { side: 'bottom', size: 130, order: 'asListed' },
  items: [item('Barley'), item('Acorn'), item('Gravel')],
  zones: [zone('Dry', 20), zone('Moist', 330), zone('Sieve', 640, { welcome: 'keyed' })],
  key: [
    all('dry', 'barley'),
    all('moist', 'acorn'),
    { zone: 'sieve', belongs: ['acorn'], need: { rule: 'atLeast', n: 0 } },
  ],
};

test('the line drops in the middle of a drag: the page says so, goes on, and sends everything once when it is back', async ({
  browser,
}) => {
  const { page, context } = await sitDown(browser, 'tansy', await give(browser, THREE));
  const sent: string[][] = [];
  page.on('requestfinished', (request) => {
    if (request.url().endsWith('/moves'))
      sent.push((request.postDataJSON() as { moves: { id: string }[] }).moves.map(({ id }) => id));
  });
  await byMouse(page, 'Barley', 'Moist');
  await expect(tag(page, 'Barley')).toHaveAccessibleName('Barley, in Moist');
  const [from, to] = [await centre(tag(page, 'Barley')), await centre(bed(page, 'Dry'))];
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x - 60, from.y + 60, { steps: 5 });
  await context.setOffline(true);
  await page.mouse.move(to.x, to.y, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText('You are offline. Carry on')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Check' })).toBeDisabled();
  // What only the server can judge waits; everything else goes on.
  await byMouse(page, 'Gravel', 'Sieve');
  await expect(tag(page, 'Gravel')).toHaveAttribute('data-state', 'waiting');
  await byMouse(page, 'Acorn', 'Moist');
  await expect(tag(page, 'Acorn')).toHaveAccessibleName('Acorn, in Moist');
  await expect(tag(page, 'Gravel')).toHaveAttribute('data-state', 'waiting');
  await accessible(page);
  await context.setOffline(false);
  await expect(page.getByText('Gravel does not belong in Sieve: it went back.')).toBeVisible();
  await expect(page.getByText('You are offline')).toHaveCount(0);
  await expect(tag(page, 'Gravel')).toHaveAccessibleName('Gravel, not placed');
  expect(new Set(sent.flat()).size).toBe(4);
  await page.reload();
  await expect(tag(page, 'Barley')).toHaveAccessibleName('Barley, in Dry');
  await expect(tag(page, 'Acorn')).toHaveAccessibleName('Acorn, in Moist');
});

test('moves kept while the line is down survive the tab: the next page sends them, and another device goes on from there', async ({
  browser,
}) => {
  const releaseId = await give(browser, THREE);
  const { page, context } = await sitDown(browser, 'tansy', releaseId);
  await context.route('**/moves', (route) => route.abort());
  await byMouse(page, 'Barley', 'Dry');
  await byMouse(page, 'Acorn', 'Moist');
  await expect(page.getByText('You are offline')).toBeVisible();
  await page.close();
  await context.unroute('**/moves');
  const again = await context.newPage();
  await again.goto(`/sit/${releaseId}`);
  await expect(tag(again, 'Acorn')).toHaveAccessibleName('Acorn, in Moist');
  await expect(tag(again, 'Barley')).toHaveAccessibleName('Barley, in Dry');
  const other = await sitDown(browser, 'tansy', releaseId);
  await expect(tag(other.page, 'Acorn')).toHaveAccessibleName('Acorn, in Moist');
  await byMouse(other.page, 'Gravel', 'Moist');
  await expect(tag(other.page, 'Gravel')).toHaveAccessibleName('Gravel, in Moist');
  // The first device did not know of that: nothing forks, and it says where one is.
  await ready(again);
  await byMouse(again, 'Barley', 'Moist');
  await expect(again.getByText('The page now shows where you are')).toBeVisible();
  await expect(tag(again, 'Gravel')).toHaveAccessibleName('Gravel, in Moist');
  await expect(tag(again, 'Barley')).toHaveAccessibleName('Barley, in Dry');
});

test('of two windows of one browser the later has the sitting, until the earlier takes it back', async ({
  browser,
}) => {
  const releaseId = await give(browser, THREE);
  const { page, context } = await sitDown(browser, 'tansy', releaseId);
  await byMouse(page, 'Barley', 'Dry');
  const second = await context.newPage();
  await second.goto(`/sit/${releaseId}`);
  await ready(second);
  await expect(page.getByText('You continued this in another window.')).toBeVisible();
  await expect(tag(page, 'Acorn')).toHaveAttribute('aria-disabled', 'true');
  await byMouse(second, 'Acorn', 'Moist');
  await expect(tag(second, 'Acorn')).toHaveAccessibleName('Acorn, in Moist');
  await press(page, 'Continue here');
  await expect(tag(page, 'Acorn')).toHaveAccessibleName('Acorn, in Moist');
  await expect(second.getByText('You continued this in another window.')).toBeVisible();
});

test('time is the server’s: the page counts it down, and what was placed is checked at the end', async ({
  browser,
}) => {
  const { page } = await sitDown(
    browser,
    'tansy',
    await give(browser, THREE, { closesAt: toWire(new Date(Date.now() + 25_000)), minutes: 30 }),
  );
  await expect(page.getByRole('timer')).toHaveText(/^0:\d\d left$/);
  await byMouse(page, 'Barley', 'Dry');
  await accessible(page);
  await expect(page.getByText('You have finished.')).toBeVisible({ timeout: 45_000 });
  await expect(page.getByText('One is right in Dry')).toBeVisible();
  await page.goBack().catch(() => null);
  await page.goto('/sit');
  const done = page.getByRole('region', { name: 'Done', exact: true }).getByRole('listitem');
  await expect(done.filter({ hasText: 'Which seeds' }).first()).toContainText('Look at it');
});

test('a set: on and back, held until a check, and an account at the end', async ({ browser }) => {
  const set = await giveSet(
    browser,
    [
      { ...THREE, title: 'First of three' },
      { ...THREE, title: 'Second of three', show: { nextOnlyAfterCheck: true } },
      { ...THREE, title: 'Third of three' },
    ],
    true,
  );
  const { page, said } = await sitDown(browser, 'hazel', set);
  await expect(page.getByText('question 1 of 3')).toBeVisible();
  await byMouse(page, 'Barley', 'Dry');
  await press(page, 'Next question');
  await expect(page.getByRole('heading', { level: 1, name: 'Second of three' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Next question' })).toBeDisabled();
  await press(page, 'Check');
  await press(page, 'Check it so');
  await press(page, 'Next question');
  await expect(page.getByRole('heading', { level: 1, name: 'Third of three' })).toBeVisible();
  await page.getByRole('button', { name: 'Question 1, open' }).click();
  await expect(tag(page, 'Barley')).toHaveAccessibleName('Barley, in Dry');
  await page.reload();
  await expect(page.getByRole('heading', { level: 1, name: 'First of three' })).toBeVisible();
  await ready(page);
  await accessible(page);
  await byMouse(page, 'Acorn', 'Moist');
  await press(page, 'Check');
  await expect(page.getByText('All of it is right.')).toBeVisible();
  await page.getByRole('button', { name: 'Question 3, open' }).click();
  await expect(page.getByRole('button', { name: 'Question 1, finished' })).toBeVisible();
  await byMouse(page, 'Acorn', 'Moist');
  await press(page, 'Finish');
  await expect(page.getByRole('dialog')).toContainText(
    'One question is not checked yet. One question could be tried again.',
  );
  await accessible(page);
  await page.getByRole('dialog').getByRole('button', { name: 'Finish' }).click();
  await expect(page.getByText('4.5 of 9 marks')).toBeVisible();
  await expect(page.getByText('One is right in Moist').first()).toBeVisible();
  await accessible(page);
  await page.reload();
  await expect(page.getByText('4.5 of 9 marks')).toBeVisible();
  expect(said).toEqual([]);
});

test('a set without a way back asks before one leaves', async ({ browser }) => {
  const { page } = await sitDown(browser, 'hazel', await giveSet(browser, [THREE, { ...THREE, title: 'Last' }], false));
  await byMouse(page, 'Barley', 'Dry');
  await press(page, 'Next question');
  await expect(page.getByRole('dialog')).toContainText(
    'You cannot come back to it. What you have placed is checked once as it stands.',
  );
  await page.getByRole('dialog').getByRole('button', { name: 'Stay here' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Which seeds stand drying?' })).toBeVisible();
  await press(page, 'Next question');
  await page.getByRole('dialog').getByRole('button', { name: 'Next question' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Last' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Question 1, open' })).toBeDisabled();
});

const PORT = 4498;
const MOVES = 500;

test('a server that is killed between moves and started again loses none and doubles none of 500', async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const data = mkdtempSync(join(tmpdir(), 'vault-drop-kill-'));
  const env = {
    ...process.env,
    VAULT_DROP_DATA: data,
    VAULT_DROP_ROOT: process.cwd(),
    NODE_ENV: 'production',
    LOG_LEVEL: 'error',
    PORT: String(PORT),
    HOST: '127.0.0.1',
  };
  let server: ChildProcess | null = null;
  const start = () => {
    server = spawn(process.execPath, ['server.mjs'], { env, stdio: 'ignore' });
  };
  const up = () =>
    expect
      .poll(async () => (await fetch(`http://127.0.0.1:${PORT}/api/health`).catch(() => null))?.ok ?? false, {
        timeout: 30_000,
      })
      .toBe(true);
  try {
    const app = await makeApp(readConfig(env));
    const odile = await teacher(app, 'odile');
    const courseId = await course(odile);
    await learner(odile, courseId, 'wren');
    const middle = { settle: { rule: 'anchor', at: 'middle', gap: 0 } };
    const releaseId = await release(
      odile,
      courseId,
      seeds({
        items: [item('Barley', { home: { x: 20, y: 440 } })],
        zones: [zone('Dry', 40, middle), zone('Moist', 500, middle)],
        key: [all('dry', 'barley')],
      }),
    );
    start();
    await up();
    const origin = `http://127.0.0.1:${PORT}`;
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: origin });
    expect(
      (
        await context.request.post('/api/auth/sign-in/username', {
          data: { username: 'wren', password: 'seedlings-26' },
          headers: { origin },
        })
      ).ok(),
    ).toBe(true);
    const page = await context.newPage();
    await page.goto(`/sit/${releaseId}`);
    await ready(page);
    await toAndFro(page, async (made) => {
      if (made === 0 || made % 110 !== 0) return;
      server?.kill('SIGKILL');
      // Some moves are made while nothing answers.
      setTimeout(start, 700);
    });
    await up();
    await expect(page.getByText('You are offline')).toHaveCount(0, { timeout: 30_000 });
    await expect
      .poll(
        () =>
          page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('vault-drop.outbox')).length),
        { timeout: 30_000 },
      )
      .toBe(0);
    const db = await openDatabase({
      databaseUrl: `file:${join(data, 'vault-drop.db')}`,
      databaseAuthToken: undefined,
      root: process.cwd(),
    });
    const kept = await db.select().from(move).orderBy(asc(move.n));
    expect(kept.map(({ n }) => n)).toEqual(Array.from({ length: MOVES }, (_, i) => i + 1));
    expect(new Set(kept.map(({ id }) => id)).size).toBe(MOVES);
    expect(kept.map(({ body }) => ('zone' in body ? body.zone : null))).toEqual(
      Array.from({ length: MOVES }, (_, i) => (i % 2 === 0 ? 'dry' : 'moist')),
    );
    await page.reload();
    await expect(tag(page, 'Barley')).toHaveAccessibleName('Barley, in Moist');
  } finally {
    (server as ChildProcess | null)?.kill('SIGKILL');
    rmSync(data, { recursive: true, force: true });
  }
});

/** One item between two zones, by a press on it and a press on where it goes, as fast as the page will have it. */
async function toAndFro(page: Page, between: (made: number) => Promise<void>): Promise<void> {
  const middleOf = async (name: string) => {
    const box = await bed(page, name).boundingBox();
    return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 };
  };
  const places = [await middleOf('Dry'), await middleOf('Moist')] as const;
  const home = await tag(page, 'Barley').boundingBox();
  let here = { x: (home?.x ?? 0) + 20, y: (home?.y ?? 0) + 20 };
  for (let made = 0; made < MOVES; made++) {
    await between(made);
    const there = places[made % 2] as { x: number; y: number };
    await page.mouse.click(here.x, here.y);
    await expect(page.locator('.put-here').first()).toBeVisible();
    await page.mouse.click(there.x, there.y);
    await expect(page.locator('.put-here')).toHaveCount(0);
    here = there;
  }
}
