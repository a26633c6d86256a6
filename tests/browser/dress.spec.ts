import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { tag as benchTag, openCopy, saved, station, storedQuestion } from './bench';
import { byList, give, giveSet, keepQuestion, press, signedIn, sitDown, tag } from './player';
import { origin } from './server';
import { accessible, expect, newTeacher, open, signIn, test } from './support';

// How a question looks as a whole: its ground and letters, formulas, pictures that are cut, and the Vault as cards.

const fontOf = (page: Page, selector: string) =>
  page
    .locator(selector)
    .first()
    .evaluate((element) => getComputedStyle(element).fontFamily);
/** What is refused says so in the browser's console, too. */
async function onAnotherPage(page: Page, path: string, act: (other: Page) => Promise<void>): Promise<void> {
  const other = await page.context().newPage();
  await open(other, path);
  await act(other);
  await other.close();
}
/** Is a font of a family, or of one that has this in its name, there? */
const isLoaded = (page: Page, family: string) =>
  page.evaluate(
    (part) => [...document.fonts].some((face) => face.family.includes(part) && face.status === 'loaded'),
    family,
  );
const words = (text: string) => ({ blocks: [{ type: 'paragraph', runs: [{ text }] }] });

test('a question has a ground and letters, which learners see, and a font of one’s own that Proof measures', async ({
  page,
}) => {
  const id = await openCopy(page);
  await page.getByText('Ground and letters').click();
  await page.getByText('linen', { exact: true }).click();
  await page.getByText('corners', { exact: true }).click();
  await expect(page.locator('.stage > .ground[data-frame="corners"] > .ground-texture')).toHaveCount(1);
  await page.getByLabel('Letters of the question').selectOption('school');
  await expect.poll(() => fontOf(page, '.stage .tag')).toContain('Andika');
  await expect.poll(() => isLoaded(page, 'Andika')).toBe(true);
  await accessible(page);

  const file = async (on: Page, name: string, buffer: Buffer) => {
    await on.getByRole('button', { name: 'Own font: choose' }).click();
    const dialog = on.getByRole('dialog', { name: 'A font of your own' });
    await dialog.getByLabel('File', { exact: true }).setInputFiles({ name, mimeType: 'font/woff2', buffer });
  };
  await saved(page);
  await onAnotherPage(page, `/bench/${id}`, async (other) => {
    await other.getByText('Ground and letters').click();
    await file(
      other,
      'none.woff2',
      Buffer.from('wOF2 is not all that a font is, as everybody knows who has opened one'),
    );
    await expect(other.getByText(/none\.woff2/).first()).toBeVisible();
  });
  const woff2 = 'node_modules/@fontsource/patrick-hand/files/patrick-hand-latin-400-normal.woff2';
  await file(page, 'hand.woff2', readFileSync(woff2));
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect.poll(() => fontOf(page, '.stage .tag')).toContain('own ');
  await saved(page);
  const { dress, media } = await storedQuestion(page, id);
  expect(dress).toMatchObject({
    ground: { texture: 'linen', frame: 'corners' },
    letters: { face: null, ownFace: 'hand' },
  });
  expect(media.hand).toMatchObject({ kind: 'font' });
  // The letter a, and a letter that the font does not draw.
  expect(media.hand?.advances?.[0x61 - 0x20]).toBeGreaterThan(200);
  expect(media.hand?.advances?.[0x17f - 0x20]).toBe(0);

  await press(page, 'Rehearse');
  await expect.poll(() => fontOf(page, '.playing .tag')).toContain('own ');
  await expect(page.locator('.playing .ground-texture')).toHaveCount(1);
});

test('a learner has the ground, the letters and the author’s own font of a release', async ({ browser }) => {
  const teacher = await signedIn(browser, 'odile');
  const response = await teacher.request.post('/api/media?name=hand.woff2&width=960&height=540', {
    data: readFileSync('node_modules/@fontsource/patrick-hand/files/patrick-hand-latin-400-normal.woff2'),
    headers: { 'content-type': 'font/woff2', origin: origin() },
  });
  const { hash, weight } = (await response.json()).value;
  await teacher.close();
  const release = await give(browser, {
    title: 'Dressed',
    media: { hand: { hash, kind: 'font', weight, decorative: true } },
    dress: { ground: { texture: 'wood', frame: 'line' }, letters: { ownFace: 'hand', size: 20 } },
  });
  const { page, context, said } = await sitDown(browser, 'sorrel', release);
  await expect.poll(() => fontOf(page, '.playing .tag')).toContain('own ');
  await expect.poll(() => isLoaded(page, 'own ')).toBe(true);
  await expect(page.locator('.ground[data-frame="line"] > .ground-texture')).toBeVisible();
  await accessible(page);
  expect(said).toEqual([]);
  await context.close();
});

test('TeX in a label, a title and a text is drawn, spoken as words, and can be changed and undone', async ({
  page,
}) => {
  test.slow();
  const id = await openCopy(page);
  await benchTag(page, 'Barley').click();
  await page.getByLabel('Name of what is selected').fill('Rate $\\frac{m}{t}$');
  await page.keyboard.press('Enter');
  // The first formula of a server waits for the rules by which formulas are spoken.
  await expect(page.locator('.stage math[aria-label="m over t"] mfrac')).toBeVisible({ timeout: 40_000 });
  await expect(benchTag(page, 'Rate m over t')).toBeVisible();
  await saved(page);
  expect((await storedQuestion(page, id)).items.map(({ label }) => label)).toContain('Rate m over t');
  // Taken back, it stays as it was typed.
  await press(page, 'Undo');
  await expect(benchTag(page, 'Rate $\\frac{m}{t}$')).toBeVisible();
  await press(page, 'Redo');

  await page
    .getByRole('textbox', { name: 'Shown instead of its name' })
    .or(page.locator('.rich-editor'))
    .first()
    .click();
  await page.keyboard.press('End');
  await page.keyboard.type(' of $\\ce{H2O}$');
  await page.getByLabel('Title of the question').fill('About $x^2$');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Title of the question')).toHaveValue('About x squared');
  await expect(page.locator('.stage math msub').first()).toBeVisible();
  await accessible(page);
  await saved(page);
  await onAnotherPage(page, `/bench/${id}`, async (other) => {
    await other.getByLabel('Title of the question').fill('About $\\frac{1$');
    await other.keyboard.press('Enter');
    await expect(other.getByText('A formula stays as it is typed')).toBeVisible();
  });

  await press(page, 'Rehearse');
  await expect(page.locator('.playing math[aria-label="m over t"]')).toBeVisible();
});

test('a picture is turned and cropped as it is put in, and again on the scene', async ({ page }) => {
  const id = await openCopy(page);
  const buffer = await sharp({ create: { width: 400, height: 200, channels: 3, background: '#8a5c0d' } })
    .png()
    .toBuffer();
  await page.getByRole('button', { name: 'Picture', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'A picture' });
  await dialog.getByLabel('crop or turn it first').check();
  await dialog.getByLabel('File', { exact: true }).setInputFiles({ name: 'plank.png', mimeType: 'image/png', buffer });
  const cut = page.getByRole('dialog', { name: 'Crop and turn' });
  await cut.getByRole('button', { name: 'Turn right' }).click();
  await expect(cut.getByRole('button', { name: 'Take this part' })).toBeVisible();
  await accessible(page);
  await cut.getByRole('button', { name: 'Take this part' }).click();
  await expect(page.locator('.stage [data-ref^="fixture:"] img')).toBeVisible();
  const shape = async () => {
    const fixture = (await storedQuestion(page, id)).fixtures.at(-1);
    return fixture ? Math.round((100 * fixture.w) / fixture.h) : 0;
  };
  await saved(page);
  await expect.poll(shape).toBe(50);

  await press(page, 'Crop or turn…');
  // By the keys: the right edge comes in.
  await cut.getByRole('button', { name: 'Right edge' }).focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press('Control+ArrowLeft');
  await press(page, 'Take this part');
  await expect(cut).toHaveCount(0);
  await expect.poll(shape).toBeLessThan(50);
});

test('questions are seen as cards, and dressed like one of them; it is taken back', async ({ page }) => {
  const { username, password } = await newTeacher();
  await signIn(page, username, password);
  const dressed = { ground: { texture: 'leaves' }, letters: { face: 'book' } };
  await keepQuestion(page.context(), { title: 'Dressed', dress: dressed });
  const plain = [
    await keepQuestion(page.context(), { title: 'Plain' }),
    await keepQuestion(page.context(), { title: 'Plainer' }),
  ];
  await open(page, '/vault');
  await press(page, 'Cards');
  await expect(page.getByRole('list', { name: 'Questions' }).getByRole('listitem')).toHaveCount(3);
  await accessible(page);
  await page.reload();
  await expect(page.getByRole('list', { name: 'Questions' }).getByRole('listitem')).toHaveCount(3);
  for (const title of ['Plain (copy)', 'Plainer (copy)'])
    await page.getByLabel(`Choose ${title}`, { exact: true }).check();
  await press(page, 'Dress alike…');
  const dialog = page.getByRole('dialog', { name: 'Dress 2 questions like' });
  await dialog.getByLabel('Find in titles and words').fill('Dressed');
  await dialog.getByRole('button', { name: 'Dressed (copy)' }).click();
  await expect(page.getByText('Dressed: 2 questions')).toBeVisible();
  const textures = () =>
    Promise.all(plain.map(async (id) => (await storedQuestion(page, id)).dress?.ground?.texture ?? null));
  expect(await textures()).toEqual(['leaves', 'leaves']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(textures).toEqual([null, null]);
});

test('the look book stands beside the fields that change it', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await openCopy(page);
  await station(page, /^Behaviour/).click();
  await press(page, 'Look book');
  await press(page, 'for items');
  const states = page.getByRole('list', { name: 'States' });
  const edges = async () => {
    const [samples, field] = [await states.boundingBox(), await page.getByLabel('Size of the text').boundingBox()];
    return samples && field ? { gap: field.x - samples.x - samples.width, field } : null;
  };
  await expect.poll(async () => (await edges())?.gap).toBeGreaterThan(0);
  const { field } = (await edges()) ?? {};
  const last = await states.getByRole('listitem').last().boundingBox();
  expect((last?.y ?? 800) + (last?.height ?? 0)).toBeLessThan(800);
  expect(field?.y).toBeLessThan(800);
  await accessible(page);
});

test('aids of a set stand with each of its questions', async ({ browser }) => {
  const release = await giveSet(browser, [{ title: 'First' }, { title: 'Second' }], true, () => ({
    aids: ['calculator'],
  }));
  const { page, context, said } = await sitDown(browser, 'sorrel', release);
  await expect(page.getByRole('button', { name: 'Calculator' })).toBeVisible();
  await press(page, 'Next question');
  await expect(page.getByRole('heading', { level: 1, name: /Second/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Calculator' })).toBeVisible();
  expect(said).toEqual([]);
  await context.close();
});

test('each sitting is asked what was drawn for it, and is judged by it', async ({ browser }) => {
  const zone = (id: string, x: number) => ({
    id,
    label: id,
    shape: { type: 'rect', x, y: 30, w: 400, h: 300 },
    settle: { rule: 'grid' },
    reach: { rule: 'touch' },
  });
  const names = ['Rye', 'Oat', 'Flax', 'Acorn', 'Willow', 'Chestnut'];
  const release = await give(browser, {
    title: 'Two of each',
    prompt: words('Put each where it is stored.'),
    items: names.map((label) => ({ id: label, label, size: { w: 110, h: 44 } })),
    zones: [zone('Dry', 20), zone('Moist', 500)],
    key: [
      { zone: 'Dry', belongs: names.slice(0, 3), need: { rule: 'all' } },
      { zone: 'Moist', belongs: names.slice(3), need: { rule: 'all' } },
    ],
    either: [],
    pools: [
      { items: names.slice(0, 3), take: 2 },
      { items: names.slice(3), take: 2 },
    ],
    start: null,
    marks: { max: 4, rule: 'perPlacement' },
  });
  for (const learner of ['sorrel', 'tansy', 'yarrow']) {
    const { page, context, said } = await sitDown(browser, learner, release);
    const asked: string[] = [];
    for (const name of names) if ((await tag(page, name).count()) > 0) asked.push(name);
    expect(asked.filter((name) => names.indexOf(name) < 3)).toHaveLength(2);
    expect(asked).toHaveLength(4);
    // The same again after a reload.
    await page.reload();
    for (const name of asked) await expect(tag(page, name)).toBeVisible();
    await press(page, 'As a list');
    for (const name of asked) await byList(page, name, names.indexOf(name) < 3 ? 'Dry' : 'Moist');
    await press(page, 'Check');
    await expect(page.getByText('Mark 4 of 4')).toBeVisible();
    expect(said).toEqual([]);
    await context.close();
  }
});
