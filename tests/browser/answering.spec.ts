import { bed as benchBed, tag as benchTag, cell, openCopy, saved, station, storedQuestion } from './bench';
import { byList, byMouse, give, press, sitDown, tag } from './player';
import { accessible, call, centre, DEMO, dragTo, expect, open, signIn, test } from './support';

// Items that start in a zone, fixtures that answer, and what an author has made that outlives the page.

const words = (text: string) => ({ blocks: [{ type: 'paragraph', runs: [{ text }] }] });

test('an item is pulled to where it starts: into a zone, as the document then has it, and out again', async ({
  page,
}) => {
  const id = await openCopy(page);
  const starts = async () => (await storedQuestion(page, id)).start?.placements ?? [];
  await page.getByRole('button', { name: 'Start here', exact: true }).click();
  await dragTo(page, benchTag(page, 'Barley'), await centre(benchBed(page, 'Stands drying')));
  await saved(page);
  await expect.poll(starts).toMatchObject([{ copy: 0 }]);
  await accessible(page);
  // As a field, for the keyboard.
  await page.getByRole('button', { name: 'Select', exact: true }).click();
  await benchTag(page, 'Poppy').click();
  await page.getByLabel('Where it starts').selectOption({ label: 'in Must stay moist' });
  await expect.poll(async () => (await starts()).length).toBe(2);
  await page.getByRole('button', { name: 'Rehearse', exact: true }).click();
  const play = page.getByRole('dialog', { name: 'Rehearse' });
  await expect(play.getByRole('button', { name: /^Barley, in Stands drying/ })).toBeVisible();
  await expect(play.getByRole('button', { name: /^Poppy, in Must stay moist/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByLabel('Where it starts').selectOption({ label: 'at home' });
  await expect.poll(async () => (await starts()).length).toBe(1);
});

test('a sign appears when a zone takes something: made at the Bench, tried there, and seen by a learner', async ({
  page,
}) => {
  const id = await openCopy(page);
  await page.getByRole('button', { name: 'Text', exact: true }).click();
  await page.getByLabel('Name of what is selected').fill('Lamp');
  await page.keyboard.press('Enter');
  await page.getByText('from an event on', { exact: true }).click();
  await page.getByLabel('Zone of event 1').selectOption({ label: 'Must stay moist' });
  await page.getByLabel('Item of event 1').selectOption({ label: 'Acorn' });
  await saved(page);
  await expect
    .poll(async () => (await storedQuestion(page, id)).fixtures.at(-1)?.when)
    .toMatchObject({ does: 'appears', until: 'next', events: [{ on: 'taking' }] });
  const lamp = page.getByRole('button', { name: 'Fixture Lamp' });
  await expect(lamp).toHaveClass(/bench-absent/);
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(lamp).not.toHaveClass(/bench-absent/);
  await page.getByRole('button', { name: 'Rehearse', exact: true }).click();
  const play = page.getByRole('dialog', { name: 'Rehearse' });
  await expect(play.getByText('Text', { exact: true })).toHaveCount(0);
  await dragTo(
    page,
    play.locator('.movable', { hasText: 'Acorn' }),
    play.locator('.bed', { hasText: 'Must stay moist' }),
  );
  await expect(play.locator('[data-answers]')).toHaveText('Text');
  await expect(play.getByText('There appears: Text')).toBeAttached();
});

test('what answers a verdict is not on the page before it, stays after a reload, and goes with the next move', async ({
  browser,
}) => {
  const release = await give(browser, {
    fixtures: [
      {
        id: 'lamp',
        type: 'text',
        x: 20,
        y: 4,
        w: 300,
        h: 30,
        text: words('Look at the barley again'),
        when: { events: [{ on: 'wrong', item: 'barley' }], does: 'appears' },
      },
    ],
  });
  const { page } = await sitDown(browser, 'wren', release);
  const sign = page.getByText('Look at the barley again', { exact: true });
  await byMouse(page, 'barley', 'moist');
  expect(await page.content()).not.toContain('Look at the barley again');
  await press(page, 'Check');
  await expect(sign).toBeVisible();
  await page.reload();
  await expect(sign).toBeVisible();
  await page.getByRole('button', { name: 'Try again' }).click();
  await byMouse(page, 'poppy', 'dry');
  await expect(sign).toHaveCount(0);
  // As a list it is told the same.
  await press(page, 'As a list');
  await byList(page, 'barley', 'moist');
  await press(page, 'Check');
  await expect(page.locator('.list-around').getByText('Look at the barley again', { exact: true })).toBeVisible();
  await expect(tag(page, 'barley')).toHaveCount(0);
});

test('what was typed last is there after the page is left at once, and can be undone after a reload', async ({
  page,
}) => {
  const id = await openCopy(page);
  await benchTag(page, 'Barley').click();
  await page.getByLabel('Name of what is selected').fill('Spring barley');
  // Neither Enter nor a pause: the page is left in the middle of it.
  await page.goto('/vault');
  await expect
    .poll(async () => (await storedQuestion(page, id)).items.map(({ label }) => label))
    .toContain('Spring barley');
  await open(page, `/bench/${id}`);
  await expect(benchTag(page, 'Spring barley')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(benchTag(page, 'Barley')).toBeVisible();
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(benchTag(page, 'Spring barley')).toBeVisible();
});

test('a new question that is left at once, before anything was stored, is in the Vault with what was in it', async ({
  page,
}) => {
  await signIn(page, 'odile');
  await open(page, '/bench/new');
  await page.getByLabel('Group 1', { exact: true }).fill('Keeps its water');
  await page.getByLabel('Items of group 1').fill('Acorn\nWillow');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(benchBed(page, 'Keeps its water')).toBeVisible();
  await page.goto('/vault');
  const titled = page.getByRole('link', { name: /Keeps its water/ });
  await expect(async () => {
    await page.reload();
    await expect(titled.first()).toBeVisible({ timeout: 1000 });
  }).toPass();
});

test('two windows change different things: both are there; the same thing: the author is asked', async ({ page }) => {
  const id = await openCopy(page);
  const other = await page.context().newPage();
  await open(other, `/bench/${id}`);
  await expect(other.locator('.stage')).toBeVisible();
  const rename = async (on: typeof page, from: string, to: string) => {
    await benchTag(on, from).click();
    await on.getByLabel('Name of what is selected').fill(to);
    await on.keyboard.press('Enter');
  };
  await rename(page, 'Barley', 'Spring barley');
  await saved(page);
  await rename(other, 'Poppy', 'Field poppy');
  await expect(other.getByText('What was changed elsewhere is here now')).toBeVisible();
  await saved(other);
  await expect
    .poll(async () => (await storedQuestion(page, id)).items.map(({ label }) => label))
    .toEqual(expect.arrayContaining(['Spring barley', 'Field poppy']));
  // Now both the same. The page that is watched comes first; it has to have the other's change before.
  await page.reload();
  for (const [on, width] of [
    [page, '301'],
    [other, '302'],
  ] as const) {
    await cell(on, 'width of Stands drying').fill(width);
    await cell(on, 'width of Stands drying').press('Enter');
    if (on === page) await saved(page);
  }
  await expect(other.getByRole('button', { name: 'Save mine as a copy' })).toBeVisible();
});

test('a version is named and found by its name', async ({ page }) => {
  await openCopy(page);
  await cell(page, 'width of Stands drying').fill('301');
  await cell(page, 'width of Stands drying').press('Enter');
  await saved(page);
  await page.getByRole('button', { name: 'Versions' }).click();
  const dialog = page.getByRole('dialog', { name: 'Versions' });
  await dialog.getByRole('button', { name: /^Now/ }).click();
  await dialog.getByLabel('Name of this version').fill('Before the second year');
  await page.keyboard.press('Enter');
  await expect(dialog.getByRole('listitem').first()).toContainText('Before the second year');
  await accessible(page);
});

test('what strategies earn is shown under the rules as they are, and that trying comes as far as knowing', async ({
  page,
}) => {
  await signIn(page, 'odile');
  const { body } = await call<{ value: { question: Record<string, unknown> } }>(
    page.context(),
    'GET',
    `/api/questions/${DEMO.drying}`,
  );
  const id = crypto.randomUUID();
  const document = { ...body.value.question, tries: null };
  expect((await call(page.context(), 'POST', `/api/questions/${DEMO.drying}/copies`, { id, document })).status).toBe(
    200,
  );
  await open(page, `/bench/${id}`);
  await page.getByRole('button', { name: 'Rehearse', exact: true }).click();
  await page.getByRole('button', { name: 'What strategies earn' }).click();
  const table = page.getByRole('region', { name: 'What strategies earn' });
  await expect(table.getByRole('row')).toHaveCount(5);
  await expect(table.getByRole('row', { name: /slips once/ })).toContainText('100 %');
  await expect(table).toContainText('Trying comes as far as knowing');
  await accessible(page);
});

test('the parts of the Bench are as large as the author makes them, also after a reload', async ({ page }) => {
  await openCopy(page);
  const panel = page.getByRole('complementary', { name: 'What is set at this station' });
  const width = async () => (await panel.boundingBox())?.width ?? 0;
  const before = await width();
  await page.getByRole('separator', { name: 'Width of the panel' }).focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowLeft');
  await expect.poll(width).toBeGreaterThan(before + 40);
  const wide = await width();
  await page.getByRole('button', { name: 'Fold the Ledger' }).click();
  await expect(page.getByRole('grid', { name: /Everything on the scene/ })).toHaveCount(0);
  await page.reload();
  await expect(page.locator('.stage')).toBeVisible();
  expect(Math.abs((await width()) - wide)).toBeLessThan(3);
  await expect(page.getByRole('grid', { name: /Everything on the scene/ })).toHaveCount(0);
  await station(page, /^Words/).click();
  await expect.poll(width).toBeGreaterThan(640);
});

test('a learner calculates and has the text read aloud where the author allows it, and is not offered it elsewhere', async ({
  browser,
}) => {
  const prompt = { blocks: [{ type: 'paragraph', runs: [{ text: 'Weigh the lot. Then seal it.' }] }] };
  const show = { aids: ['calculator', 'readAloud'] };
  const { page, context } = await sitDown(browser, 'wren', await give(browser, { prompt, show }));
  // This browser has no voices: there is no button.
  await expect(page.getByRole('button', { name: 'Calculator' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Read aloud' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Calculator' }).click();
  await page.getByRole('button', { name: '7' }).click();
  await page.keyboard.type('.5*2');
  await page.getByRole('button', { name: 'equals' }).click();
  await expect(page.getByLabel('What is calculated')).toHaveValue('15');
  await expect(page.getByText('7.5×2 is 15')).toBeVisible();
  await accessible(page);
  // A voice of the machine, played by a stand-in.
  await context.addInitScript(() => {
    const spoken: string[] = [];
    Object.assign(window, { spoken });
    Object.defineProperty(window, 'speechSynthesis', {
      value: {
        getVoices: () => [{ lang: 'en-GB', localService: true, name: 'Stand-in' }],
        speak: (utterance: { text: string; onstart?: () => void }) => {
          spoken.push(utterance.text);
          utterance.onstart?.();
        },
        cancel: () => undefined,
      },
    });
    Object.assign(window, {
      SpeechSynthesisUtterance: class {
        constructor(readonly text: string) {}
      },
    });
  });
  await page.reload();
  await page.getByRole('button', { name: 'Read aloud' }).click();
  await expect(page.getByRole('button', { name: 'Stop reading' })).toBeVisible();
  expect(await page.evaluate(() => Reflect.get(window, 'spoken') as string[])).toEqual([
    'Weigh the lot.',
    'Then seal it.',
  ]);
  const plain = await sitDown(browser, 'ash', await give(browser, { prompt }));
  await expect(plain.page.getByRole('button', { name: 'Check' })).toBeVisible();
  await expect(plain.page.getByRole('region', { name: 'Aids' })).toHaveCount(0);
});

test('who is quick with the keys has the next item in hand before the page is drawn again', async ({ browser }) => {
  const { page, said } = await sitDown(browser, 'sorrel', await give(browser, {}));
  await tag(page, 'poppy').focus();
  const held = await page.evaluate(async () => {
    const named = (name: string) => document.querySelector<HTMLElement>(`.playing .movable[aria-label^="${name},"]`);
    const key = (code: string, key: string) =>
      document.activeElement?.dispatchEvent(
        new KeyboardEvent('keydown', { code, key, bubbles: true, cancelable: true }),
      );
    named('barley')?.focus();
    key('Space', ' ');
    key('ArrowRight', 'ArrowRight');
    key('Space', ' ');
    named('poppy')?.focus();
    key('Space', ' ');
    await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
    return document.activeElement?.getAttribute('aria-label');
  });
  expect(held).toBe('poppy, not placed');
  await expect(tag(page, 'poppy')).toHaveAttribute('aria-pressed', 'true');
  await expect(tag(page, 'barley')).toHaveAccessibleName('barley, in dry');
  expect(said).toEqual([]);
});
