import { readFileSync } from 'node:fs';
import type { Browser, BrowserContextOptions, Page } from '@playwright/test';
import { finger, type Hand, keyboard, mouse } from './hands';
import { accessible, DEMO, expect, item, open, pageTimer, ready, signIn, test, watch, zone } from './support';

/** Makes a question of two groups at the Bench and publishes it; gives the address of its results. */
async function author(page: Page, hand: Hand, title: string): Promise<string> {
  await signIn(page, 'odile');
  await hand.press(page.getByRole('link', { name: 'New question' }));
  await page.waitForURL(/\/bench\//);
  await ready(page);
  await hand.press(page.getByRole('button', { name: 'Lay out' }));
  await hand.type(page.getByLabel('Title of the question'), title);
  for (const name of ['Stands drying', 'Must stay moist']) {
    await hand.press(page.getByRole('button', { name: 'Add a zone' }));
    await hand.type(page.getByLabel('Name of what is selected'), name);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: `Zone ${name}` })).toBeVisible();
  }
  await hand.type(page.getByLabel('Add items'), 'Barley\nPoppy\nAcorn');
  await hand.press(page.getByRole('button', { name: 'Add them' }));
  await hand.press(page.getByRole('button', { name: /^Key/ }));
  await hand.press(page.getByRole('checkbox', { name: 'Barley belongs in Stands drying' }));
  await hand.press(page.getByRole('checkbox', { name: 'Poppy belongs in Stands drying' }));
  await hand.press(page.getByRole('checkbox', { name: 'Acorn belongs in Must stay moist' }));
  await hand.press(page.getByRole('button', { name: 'Words & marks' }));
  await hand.type(page.getByLabel('Prompt', { exact: true }), 'Move each seed to where it may be stored.');
  await hand.type(page.getByLabel('Maximum mark'), '6');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^saved at \d\d:\d\d$/)).toBeVisible();
  await accessible(page);
  await hand.press(page.getByRole('button', { name: 'Publish…' }));
  await hand.choose(page.getByRole('radio', { name: /Tarn Hollow induction/ }));
  await hand.press(page.getByRole('button', { name: 'Release now' }));
  await expect(page.getByRole('heading', { name: 'It is published' })).toBeVisible();
  return (await page.getByRole('link', { name: 'See its results' }).getAttribute('href')) ?? '';
}

async function newPage(browser: Browser, options: BrowserContextOptions) {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options })).newPage();
  return { page, watched: watch(page) };
}

const WAYS: readonly [string, string, (page: Page) => Hand, BrowserContextOptions, kinds: string][] = [
  ['the mouse', 'wren', mouse, {}, 'drop'],
  ['the keyboard alone', 'linden', keyboard, {}, 'put'],
  ['a finger', 'ash', finger, { hasTouch: true, isMobile: true, viewport: { width: 1024, height: 768 } }, 'drop'],
];

for (const [way, username, handOf, options, kind] of WAYS)
  test(`a question is made, published, answered, marked and seen with ${way}`, async ({ browser }) => {
    test.slow();
    const title = `Seeds, with ${way}`;
    const { page, watched: teacherSaid } = await newPage(browser, options);
    const results = await author(page, handOf(page), title);

    const { page: learner, watched: learnerSaid } = await newPage(browser, options);
    const sent: string[] = [];
    learner.on('request', (request) => {
      if (request.url().endsWith('/moves'))
        sent.push(...(request.postDataJSON() as { moves: { kind: string }[] }).moves.map((m) => m.kind));
    });
    const hand = handOf(learner);
    await signIn(learner, username);
    await hand.press(learner.getByRole('link', { name: title }).first());
    await expect(learner.getByRole('heading', { level: 1, name: title })).toBeVisible();
    await ready(learner);
    await accessible(learner);
    const dry = zone(learner, 'Stands drying');
    for (const label of ['Barley', 'Poppy', 'Acorn']) await hand.move(item(learner, label), dry, ['ArrowRight']);
    await expect(learner.getByText('try 1 of 3 · 3 placed · none left')).toBeVisible();
    await hand.press(learner.getByRole('button', { name: 'Check' }));
    await expect(learner.getByText('One is in a wrong place. Mark 4 of 6')).toBeVisible();
    await expect(learner.getByRole('button', { name: 'Acorn, in Stands drying, wrong' })).toBeVisible();
    await expect(learner.getByRole('button', { name: 'Barley, in Stands drying, right' })).toBeVisible();
    await accessible(learner);

    // A reload shows the same, the feedback too.
    await learner.reload();
    await expect(learner.getByText('One is in a wrong place. Mark 4 of 6')).toBeVisible();
    await ready(learner);
    await hand.press(learner.getByRole('button', { name: 'Try again' }));
    await expect(learner.getByRole('button', { name: 'Acorn, not placed' })).toBeVisible();
    await hand.move(item(learner, 'Acorn'), zone(learner, 'Must stay moist'), ['ArrowRight', 'ArrowRight']);
    await hand.press(learner.getByRole('button', { name: 'Check' }));
    await expect(learner.getByText('All of it is right. Mark 6 of 6')).toBeVisible();
    await hand.press(learner.getByRole('button', { name: 'Finish' }));
    await expect(learner.getByText('6 of 6 marks')).toBeVisible();
    await accessible(learner);
    await hand.press(learner.getByRole('link', { name: 'Back to your assignments' }));
    const done = learner.getByRole('region', { name: 'Done', exact: true }).getByRole('listitem');
    await expect(done.filter({ hasText: title }).first()).toContainText('6 of 6');
    expect(sent).toEqual([kind, kind, kind, 'check', kind, 'check']);

    await open(page, results);
    const row = page.getByRole('row', { name: new RegExp(`${username}`) });
    await expect(row).toContainText('6 / 6');
    await expect(row).toContainText('finished');
    await accessible(page);
    const download = page.waitForEvent('download');
    await handOf(page).press(page.getByRole('link', { name: 'Marks as CSV' }));
    const csv = readFileSync(await (await download).path(), 'utf8');
    expect(csv).toMatch(new RegExp(`^[\\w ]+,${username},6,6,2,\\d+,ended,,1,6\r$`, 'm'));
    expect([...teacherSaid.said, ...learnerSaid.said]).toEqual([]);
  });

test('from the keyboard an item can be put home again, or left where it was', async ({ page }) => {
  await signIn(page, 'linden');
  await open(page, `/sit/${DEMO.release}`);
  const { move } = keyboard(page);
  const [gravel, poppy] = [item(page, 'Gravel'), item(page, 'Poppy')];
  await move(gravel, gravel, ['ArrowDown']);
  await expect(gravel).toHaveAccessibleName('Gravel, in Stands drying');
  await move(gravel, gravel, ['ArrowUp']);
  await expect(gravel).toHaveAccessibleName('Gravel, not placed');
  await poppy.focus();
  // The item that has the focus takes keys from the page's next moment on.
  await pageTimer(page);
  await page.keyboard.press('Space');
  await expect(poppy).toHaveAttribute('aria-pressed', 'true');
  await pageTimer(page);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Escape');
  await expect(poppy).toHaveAttribute('aria-pressed', 'false');
  await expect(poppy).toHaveAccessibleName('Poppy, not placed');
});

test('press-and-press puts by name', async ({ page }) => {
  await signIn(page, 'ash');
  await open(page, `/sit/${DEMO.release}`);
  await item(page, 'Mango').click();
  const sent = page.waitForRequest((request) => request.url().endsWith('/moves'));
  await page.getByRole('button', { name: 'Put Mango into Must stay moist' }).click();
  expect((await sent).postDataJSON()).toMatchObject({ moves: [{ kind: 'put' }] });
  await expect(item(page, 'Mango')).toHaveAccessibleName('Mango, in Must stay moist');
  await item(page, 'Mango').click();
  await page.getByRole('button', { name: 'Put Mango back' }).click();
  await expect(item(page, 'Mango')).toHaveAccessibleName('Mango, not placed');
  await expect(page.getByRole('button', { name: 'Put everything back' })).toBeDisabled();
});
