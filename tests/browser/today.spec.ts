import { give, keepQuestion, press, signedIn, sitDown, tag } from './player';
import { accessible, DEMO, expect, newTeacher, open, signIn, test, watch } from './support';

test('a new teacher is led to a first question; the page fills as there is something to say', async ({ page }) => {
  const { username, password } = await newTeacher();
  await signIn(page, username, password);
  await expect(page.getByRole('heading', { name: 'Your first question' })).toBeVisible();
  await expect(page.getByText('Nothing is due, and nothing closes.')).toBeVisible();
  await accessible(page);
  await keepQuestion(page.context(), { title: 'No key yet', key: [] });
  await open(page, '/');
  const were = page.getByRole('region', { name: 'Where you were' });
  await expect(were).toContainText('No key yet');
  await were.getByRole('link', { name: /^go on/ }).click();
  await expect(page).toHaveURL(/\/bench\//);
});

test('Today: who is missing, what ended since, and it is seen', async ({ browser }) => {
  const release = await give(
    browser,
    { title: 'Seeds for tomorrow' },
    { dueAt: new Date(Date.now() + 26 * 3_600_000).toISOString() as `${string}T${string}Z` },
  );
  const sorrel = await sitDown(browser, 'sorrel', release);
  for (const [item, zone] of [
    ['barley', 'dry'],
    ['poppy', 'dry'],
    ['acorn', 'moist'],
  ] as const) {
    await tag(sorrel.page, item).click();
    await sorrel.page.getByRole('button', { name: `Put ${item} into ${zone}` }).click();
  }
  await press(sorrel.page, 'Check');
  await press(sorrel.page, 'Finish');
  await expect(sorrel.page.getByText(/Your mark/).first()).toBeVisible();
  await sorrel.context.close();

  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  const { said } = watch(page);
  await open(page, '/');
  const due = page.getByRole('region', { name: 'Due within seven days' });
  const row = due.getByRole('listitem').filter({ hasText: 'Seeds for tomorrow' }).first();
  await expect(row).toContainText('tomorrow');
  await expect(row).toContainText(/1 of \d+ in/);
  await expect(row).toContainText(/\d+ missing/);
  const news = page.getByRole('region', { name: 'Since you last looked' });
  await expect(news).toContainText(/1 attempt at Seeds for tomorrow.* ended, 1 with full marks/);
  await accessible(page);
  await press(page, 'I have seen it');
  await expect(news).not.toContainText('Seeds for tomorrow');
  await page.reload();
  await expect(news.getByText(/attempts? at Seeds for tomorrow/)).toHaveCount(0);
  expect(said).toEqual([]);
  await teacher.close();
});

test('one field finds everything, from every page, by the / key', async ({ browser }) => {
  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  const { said } = watch(page);
  for (const path of ['/', '/vault', '/sets', `/courses/${DEMO.course}`]) {
    await open(page, path);
    const dialog = page.getByRole('dialog', { name: 'Find anything' });
    // A page that has just been drawn may not listen yet.
    await expect(async () => {
      if (!(await dialog.isVisible())) await page.keyboard.press('/');
      await expect(dialog.getByRole('combobox')).toBeFocused({ timeout: 2000 });
    }).toPass();
    await page.keyboard.press('Escape');
    await expect(dialog).toHaveCount(0);
  }
  await page.keyboard.press('/');
  const dialog = page.getByRole('dialog', { name: 'Find anything' });
  await page.keyboard.type('germinating bean');
  await expect(dialog.getByRole('option', { name: 'Parts of a germinating bean' }).first()).toBeVisible();
  await accessible(page);
  await dialog.getByRole('combobox').fill('wren');
  await expect(dialog.getByRole('option', { name: /Wren Tallow.*Tarn Hollow induction/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/report\//);
  await expect(page.getByRole('heading', { name: /Wren Tallow/ }).first()).toBeVisible();
  // In a field the key is a letter.
  await open(page, '/vault');
  await page.getByLabel('Find in titles and words').press('/');
  await expect(dialog).toHaveCount(0);
  expect(said).toEqual([]);
  await teacher.close();
});

test('a learner’s first page says what to do first, and what is done', async ({ browser }) => {
  const soon = await give(
    browser,
    { title: 'Due soon' },
    { dueAt: new Date(Date.now() + 3_600_000).toISOString() as `${string}T${string}Z` },
  );
  const late = await give(
    browser,
    { title: 'Overdue already' },
    { dueAt: new Date(Date.now() - 50 * 3_600_000).toISOString() as `${string}T${string}Z` },
  );
  const practice = await give(browser, { title: 'To practise' }, { practice: true, sittings: null });
  const { page, context, said } = await sitDown(browser, 'yarrow', soon);
  await tag(page, 'barley').click();
  await page.getByRole('button', { name: 'Put barley into dry' }).click();
  await open(page, '/');
  const part = (name: string) => page.getByRole('region', { name, exact: true });
  const card = (name: string, title: string) => part(name).getByRole('listitem').filter({ hasText: title }).first();
  await expect(card('To do', 'Overdue already')).toContainText('overdue since');
  await expect(card('To do', 'Due soon')).toContainText(/due (today|tomorrow), .*question 1 of 1/);
  const links = await part('To do')
    .getByRole('link')
    .evaluateAll((all) => all.map((one) => one.getAttribute('href')));
  expect(links.indexOf(`/sit/${late}`)).toBeLessThan(links.indexOf(`/sit/${soon}`));
  await expect(
    part('practice')
      .getByRole('link', { name: /To practise/ })
      .first(),
  ).toHaveAttribute('href', `/sit/${practice}`);
  await accessible(page);
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page
    .getByRole('link', { name: /^Go on: Due soon/ })
    .first()
    .click();
  await expect(tag(page, 'barley')).toHaveAccessibleName(/in dry/);
  expect(said).toEqual([]);
  await context.close();
});

test('a course is joined by its whole link, copied or read from a picture', async ({ browser }) => {
  const teacher = await signedIn(browser, 'odile', { permissions: ['clipboard-read', 'clipboard-write'] });
  const page = await teacher.newPage();
  await open(page, `/courses/${DEMO.course}/learners`);
  if (await page.getByRole('button', { name: 'Make a code' }).isVisible()) await press(page, 'Make a code');
  const link = page.getByTestId('join-link');
  await expect(link).toHaveText(/\/join\?code=\w+$/);
  await press(page, 'Copy the link');
  await expect(page.getByText('It is copied.')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(await link.textContent());
  await expect(page.getByRole('img', { name: /^QR code of the link to join/ })).toBeVisible();
  await accessible(page);
  const address = (await link.textContent()) ?? '';
  const guest = await (await browser.newContext()).newPage();
  await open(guest, address);
  await expect(guest.getByLabel(/code/i).first()).toHaveValue(/\w{4,}/);
  await guest.context().close();
  await teacher.close();
});
