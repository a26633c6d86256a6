import { randomUUID } from 'node:crypto';
import type { Locator } from '@playwright/test';
import { pasted, sought, station } from './making';
import { keepQuestion, press, signedIn } from './player';
import { accessible, call, dragTo, expect, follow, newTeacher, open, signIn, test } from './support';

/** Eight letters that no other run has: figures beside a shelf's name are looked for, so they hold none. */
const wordy = () =>
  [...randomUUID().replaceAll('-', '')]
    .map((digit) => String.fromCharCode(97 + Number.parseInt(digit, 16)))
    .join('')
    .slice(0, 8);

test('the Vault: shelves in shelves, tags, search in titles and words, and the bin', async ({ browser }) => {
  test.slow();
  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  const name = `Seeds of ${wordy()}`;
  await pasted(page, 'Sort', 'Yarrow\tDry\nSorrel\tDry\nQuillwort\tMoist', name);
  await expect(page.getByText(/^saved at \d\d:\d\d$/)).toBeVisible();
  await open(page, '/vault');
  const shelves = page.getByRole('navigation', { name: 'Shelves' });
  const shelf = (title: string) => shelves.getByRole('button', { name: new RegExp(`^${title}`) });
  await press(page, 'New shelf');
  await page.getByLabel('Name of the shelf').fill(`Shelf ${name}`);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Nothing stands on this shelf yet.')).toBeVisible();
  await press(page, 'New shelf');
  await expect(page.getByRole('dialog', { name: `New shelf on “Shelf ${name}”` })).toBeVisible();
  await page.getByLabel('Name of the shelf').fill(`Inner ${name}`);
  await page.keyboard.press('Enter');
  await expect(shelf(`Inner ${name}`)).toHaveAttribute('aria-current', 'true');
  await accessible(page);

  // By a word of an item, put onto a shelf, with a tag.
  await shelf('All questions').click();
  await page.getByLabel('Find in titles and words').fill('quillw');
  await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
  await page.getByLabel(`Choose ${name}`, { exact: true }).check();
  // A page that is slow to say what is new takes nothing away from what was chosen since.
  await page.route('**/api/tags', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 2000));
    await route.continue();
  });
  const tags = page.waitForResponse('**/api/tags');
  await page.getByLabel('Put onto a shelf').selectOption({ label: `Inner ${name}` });
  await expect(shelf(`Inner ${name}`)).toContainText('1');
  await page.getByLabel(`Choose ${name}`, { exact: true }).check();
  await page.getByLabel('Tag', { exact: true }).fill(`week ${name}`);
  await tags;
  await page.getByLabel('Tag', { exact: true }).press('Enter');
  await page.unrouteAll({ behavior: 'wait' });
  await expect(page.getByRole('button', { name: `week ${name}`, exact: true })).toBeVisible();
  await accessible(page);
  await shelf(`Inner ${name}`).click();
  await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
  await expect(page).toHaveURL(/\/vault\?shelf=/);
  await page.reload();
  await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);

  // Taken away with undo: what stood on it is where it was.
  await press(page, 'Remove…');
  await press(page, 'Remove it');
  await expect(shelf(`Shelf ${name}`)).toContainText('1');
  await press(page, 'Undo');
  await expect(shelf(`Inner ${name}`)).toContainText('1');
  await shelf(`Inner ${name}`).click();

  await press(page, `Delete ${name}`);
  await expect(page.getByText('Nothing stands on this shelf yet.')).toBeVisible();
  await shelf('Bin').click();
  await press(page, `Bring ${name} back`);
  await expect(page.getByRole('button', { name: `Bring ${name} back` })).toHaveCount(0);
  await shelf(`Inner ${name}`).click();
  await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
  await press(page, `Delete ${name}`);
  await shelf('Bin').click();
  await accessible(page);
  await press(page, 'Empty the bin…');
  await press(page, 'Empty it');
  await expect(page.getByText('The bin is empty.')).toBeVisible();
});

test('questions go out as a file and come in beside what is there; what cannot be taken is said', async ({
  browser,
}) => {
  const owner = await signedIn(browser, 'odile');
  const page = await owner.newPage();
  await open(page, '/vault');
  await page
    .getByRole('navigation', { name: 'Shelves' })
    .getByRole('button', { name: /^Germination/ })
    .click();
  const leaving = async (): Promise<string> => {
    const going = page.waitForEvent('download');
    await page.getByRole('dialog').getByRole('link', { name: 'Export' }).click();
    return (await going).path();
  };
  await press(page, 'Export…');
  const file = await leaving();
  await page.getByLabel(/^QTI 3\.0/).check();
  await expect(page.getByText(/can go out\.$/)).toBeVisible();
  await accessible(page);
  const qti = await leaving();
  await page.getByLabel(/^Paper/).check();
  await page.getByRole('dialog').getByRole('link', { name: 'Put on paper' }).click();
  await expect(page.getByRole('button', { name: 'Print or save as PDF' })).toBeVisible();
  await expect(page.getByText('Find the roots').first()).toBeVisible();
  await page.getByRole('link', { name: 'Answer sheet' }).click();
  await expect(page.getByRole('link', { name: 'Answer sheet' })).toHaveAttribute('aria-current', 'page');
  await accessible(page);
  const colleague = await signedIn(browser, 'tamsin');
  const other = await colleague.newPage();
  await open(other, '/vault');
  await press(other, 'Import…');
  await other.getByLabel('File (.zip)').setInputFiles('demo/media/rack.svg');
  await expect(other.getByText('This file cannot be read: it is no zip, or it is broken.')).toBeVisible();
  await other.getByLabel('File (.zip)').setInputFiles(file);
  const parts = other.getByRole('region', { name: 'Questions of the package' });
  await expect(parts.getByRole('checkbox', { name: /^Find the roots/ })).toBeChecked();
  await accessible(other);
  await press(other, 'Tick none');
  await expect(parts.getByRole('checkbox', { checked: true })).toHaveCount(0);
  await press(other, 'Tick all');
  await press(other, 'Import what is ticked');
  await expect(other.getByText(/^\d+ questions?, 0 sets, 1 shelf, \d+ (medium|media) came in\.$/)).toBeVisible();
  await accessible(other);
  await press(other, 'Done');
  await other
    .getByRole('navigation', { name: 'Shelves' })
    .getByRole('button', { name: /^Germination/ })
    .first()
    .click();
  await sought(other, 'Find the roots');
  await expect(other.getByRole('button', { name: 'Delete Find the roots', exact: true })).toBeVisible();

  // What it is, is seen from its contents: the same dialog takes a package of QTI.
  await open(other, '/vault');
  await press(other, 'Import…');
  await other.getByLabel('File (.zip)').setInputFiles(qti);
  await expect(other.getByText(/^Items of QTI: \d+ questions?$/)).toBeVisible();
  await press(other, 'Tick none');
  await parts.getByRole('checkbox').first().check();
  await press(other, 'Import what is ticked');
  await expect(other.getByText(/^1 question, 0 sets, \d+ (medium|media) came in\.$/)).toBeVisible();
});

test('a shelf is shared to look at, to use and to change; whoever has a question sees where it is used', async ({
  browser,
}) => {
  test.slow();
  const owner = await signedIn(browser, 'odile');
  const page = await owner.newPage();
  const name = `Shared ${Date.now() % 1e6}`;
  await pasted(page, 'Sort', 'Yarrow\tDry\nSorrel\tDry\nElder\tMoist', name);
  await expect(page.getByText(/^saved at \d\d:\d\d$/)).toBeVisible();
  await open(page, '/vault');
  await press(page, 'New shelf');
  await page.getByLabel('Name of the shelf').fill(name);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Nothing stands on this shelf yet.')).toBeVisible();
  await press(page, 'All questions');
  await sought(page, name);
  await page.getByLabel(`Choose ${name}`, { exact: true }).check();
  await page.getByLabel('Put onto a shelf').selectOption({ label: name });
  const shelf = page.getByRole('navigation', { name: 'Shelves' }).getByRole('button', { name: new RegExp(`^${name}`) });
  await expect(shelf).toContainText('1');
  await shelf.click();
  await press(page, 'Share…');
  await page.getByLabel('User name of a colleague').fill('nobody.here');
  await press(page, 'Share');
  await expect(page.getByText('No colleague has the user name "nobody.here".')).toBeVisible();
  await page.getByLabel('User name of a colleague').fill('tamsin');
  await page.getByLabel('What they may do', { exact: true }).selectOption('see');
  await press(page, 'Share');
  await expect(page.getByLabel(/^What Tamsin .* may do$/)).toHaveValue('see');
  await accessible(page);

  const colleague = await signedIn(browser, 'tamsin');
  const other = await colleague.newPage();
  await open(other, '/vault');
  await expect(other.getByRole('heading', { name: 'Shared with you' })).toBeVisible();
  await sought(other, name);
  await expect(other.getByRole('button', { name: `Copy ${name}`, exact: true })).toHaveCount(0);
  await follow(other, other.getByRole('link', { name, exact: true }), /\/bench\//);
  await expect(other.getByText('shared with you: to look at, not to change')).toBeVisible();
  await expect(other.getByRole('button', { name: 'Publish…' })).toHaveCount(0);
  await station(other, 'Lay out');
  await other.getByLabel('Add items').fill('Fern');
  await press(other, 'Add them');
  await expect(other.getByText('3 items · 2 zones')).toBeVisible();

  await page.getByLabel(/^What Tamsin .* may do$/).selectOption('edit');
  await expect(page.getByLabel(/^What Tamsin .* may do$/)).toHaveValue('edit');
  await other.reload();
  await expect(other.getByText('3 items · 2 zones')).toBeVisible();
  await station(other, 'Lay out');
  await other.getByLabel('Add items').fill('Fern');
  await press(other, 'Add them');
  await expect(other.getByText('4 items · 2 zones')).toBeVisible();
  await expect(other.getByText(/^saved at \d\d:\d\d$/)).toBeVisible();

  const id = other.url().split('/').at(-1) ?? '';
  const set = crypto.randomUUID();
  expect((await call(colleague, 'POST', '/api/sets', { id: set, title: `Tamsin’s ${name}` })).status).toBe(200);
  expect(
    (
      await call(colleague, 'PUT', `/api/sets/${set}`, {
        from: 1,
        title: `Tamsin’s ${name}`,
        goBack: true,
        sections: [{ title: '', draw: null, questions: [{ id, points: null }] }],
      })
    ).status,
  ).toBe(200);
  await press(page, 'Done');
  await press(page, `Uses of ${name}`);
  await expect(page.getByRole('dialog')).toContainText(`Tamsin’s ${name}`);
  await accessible(page);
});

test('shelves and questions are dragged onto shelves, or moved by a dialog, and put back', async ({ browser }) => {
  test.slow();
  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  const name = wordy();
  const [cold, dry] = [`Cold ${name}`, `Dry ${name}`];
  await open(page, '/vault');
  const ids = Object.fromEntries([cold, dry].map((title) => [title, crypto.randomUUID()]));
  for (const title of [cold, dry])
    await call(teacher, 'POST', '/api/shelves', { id: ids[title], title, parentId: null });
  const first = await keepQuestion(teacher, { title: `First ${name}` });
  await keepQuestion(teacher, { title: `Second ${name}` });
  await call(teacher, 'PATCH', '/api/questions', { ids: [first], shelfId: ids[dry] });
  await open(page, '/vault');
  const shelves = page.getByRole('navigation', { name: 'Shelves' });
  const shelf = (title: string) => shelves.getByRole('button', { name: new RegExp(`^${title}`) });
  const on = (title: string) => page.locator('li', { has: page.locator(':scope > button', { hasText: title }) }).last();
  const onto = (what: Locator, where: Locator) => dragTo(page, what, where);
  await expect(on(dry).locator('li')).toHaveCount(0);

  await onto(shelf(cold), shelf(dry));
  await expect(on(dry).locator('li')).toContainText(cold);
  await expect(page.getByText(`“${cold}” stands on “${dry}”`)).toBeVisible();
  await press(page, 'Undo');
  await expect(on(dry).locator('li')).toHaveCount(0);

  // The same from the keyboard; a shelf cannot be put onto one that stands on it.
  await shelf(cold).press('Enter');
  await press(page, 'Move…');
  const dialog = page.getByRole('dialog', { name: `Move “${cold}”` });
  await accessible(page);
  await dialog.getByLabel('Let it stand on').selectOption({ label: dry });
  await dialog.getByRole('button', { name: 'Move it' }).press('Enter');
  await expect(on(dry).locator('li')).toContainText(cold);
  await onto(shelf(dry), shelf(cold));
  await expect(on(dry).locator('li')).toContainText(cold);
  await onto(shelf(cold), shelf('All questions'));
  await expect(on(dry).locator('li')).toHaveCount(0);

  // A question by its picture; those that are chosen come with it, and each goes back where it stood.
  await shelf('All questions').click();
  await page.getByLabel('Find in titles and words').fill(name);
  // By title: in the order of changes the rows would change places under the hand after each move.
  await page.getByRole('button', { name: 'title', exact: true }).click();
  // The rows have come and stand in that order: none is taken while it still changes places.
  const links = page.locator('a[href^="/bench/"]').filter({ hasText: name });
  await expect(links).toHaveText([`First ${name} (copy)`, `Second ${name} (copy)`]);
  const picture = (title: string) =>
    page.getByRole('row').filter({ hasText: title }).getByTitle('Drag it onto a shelf');
  for (const title of [`First ${name} (copy)`, `Second ${name} (copy)`])
    await page.getByLabel(`Choose ${title}`, { exact: true }).check();
  await onto(picture(`First ${name} (copy)`), shelf(cold));
  await expect(page.getByText(`2 questions stand on “${cold}”`)).toBeVisible();
  await expect(shelf(cold)).toHaveAccessibleName(`${cold} 2`);
  await expect(page.getByRole('toolbar', { name: 'For what is chosen' })).toHaveCount(0);
  await page
    .getByText(`2 questions stand on “${cold}”`)
    .locator('xpath=ancestor::li')
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(shelf(dry)).toHaveAccessibleName(`${dry} 1`);
  await expect(shelf(cold)).toHaveAccessibleName(`${cold} 0`);
  await onto(picture(`Second ${name} (copy)`), shelf('Bin'));
  await expect(page.getByRole('link', { name: `Second ${name} (copy)` })).toHaveCount(0);
});

test('a word is replaced in many questions: seen before it is done, and taken back', async ({ page }) => {
  const { username, password } = await newTeacher();
  await signIn(page, username, password);
  for (const title of ['Rye and barley', 'Barley alone', 'Acorns']) await keepQuestion(page.context(), { title });
  await open(page, '/vault');
  for (const title of ['Rye and barley', 'Barley alone', 'Acorns'])
    await page.getByLabel(`Choose ${title} (copy)`).check();
  await press(page, 'Replace a word…');
  const dialog = page.getByRole('dialog', { name: 'Replace a word in 3 questions' });
  await dialog.getByLabel('Find').fill('barley');
  await dialog.getByLabel('Replace it by').fill('spelt');
  await dialog.getByRole('button', { name: 'See where' }).click();
  // In each the item is called so, in two the title too.
  await expect(dialog.getByRole('list', { name: 'Where it stands' }).getByRole('listitem')).toHaveCount(3);
  await accessible(page);
  await dialog.getByRole('button', { name: 'Replace in 5 places' }).click();
  await expect(page.getByRole('link', { name: 'Rye and spelt (copy)', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Rye and barley (copy)', exact: true })).toBeVisible();
});
