import { randomUUID } from 'node:crypto';
import { byMouse, press, signedIn, sitDown } from './player';
import { accessible, call, expect, open, ready, signIn, test } from './support';

test('a course: units, a roster from a list, groups, a join code, a co-teacher, archived and brought back', async ({
  page,
  browser,
}) => {
  test.slow();
  const mark = Date.now() % 1e6;
  await signIn(page, 'odile');
  await open(page, '/courses');
  await page.getByLabel('New course').fill(`Weighing ${mark}`);
  await press(page, 'Make it');
  await page.waitForURL(/\/courses\/.+/);
  const course = page.url().split('/').at(-1) ?? '';
  await open(page, `/courses/${course}/settings`);
  await press(page, 'Add a unit');
  await page.getByLabel('Name of unit 1').fill('Freezing');
  await page.keyboard.press('Enter');
  await press(page, 'Add a category');
  await page.getByLabel('Weight of Category 1').fill('2');
  await page.keyboard.press('Enter');
  await page.getByLabel('User name of a colleague').fill('tamsin');
  await press(page, 'Let them teach here');
  await expect(page.getByText('Tamsin Reeve')).toBeVisible();
  await accessible(page);

  await open(page, `/courses/${course}/learners`);
  await press(page, 'From a list…');
  await page.getByLabel(/^Name, user name/).fill(`Moss Ings,moss-${mark}@tarn,,Night shift\nBad,,\nWren Tallow,wren`);
  await press(page, 'See what will change');
  await expect(page.getByTestId('roster-plan')).toHaveText(
    '1 learner with a new account, 1 who have one, 0 there already; new groups: Night shift.',
  );
  await expect(page.getByRole('alert')).toContainText('line 2: There is no user name.');
  await accessible(page);
  await press(page, 'Take it');
  await expect(page.getByRole('heading', { name: 'The roster is changed' })).toBeVisible();
  const password = await page
    .getByRole('dialog')
    .getByRole('row', { name: new RegExp(`moss-${mark}@tarn`) })
    .getByRole('cell')
    .nth(2)
    .textContent();
  // The slip alone goes on paper.
  await page.evaluate('window.print = () => undefined');
  await press(page, 'Print a slip');
  await page.emulateMedia({ media: 'print' });
  const slip = page.locator('.slips article');
  await expect(slip).toContainText('Moss Ings');
  await expect(slip).toContainText(`moss-${mark}@tarn`);
  await expect(slip).toContainText(password ?? 'a password');
  await expect(page.getByRole('heading', { name: 'The roster is changed' })).toBeHidden();
  await page.evaluate(() => dispatchEvent(new Event('afterprint')));
  await page.emulateMedia({ media: null });
  await expect(slip).toBeHidden();
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click();
  await expect(page.getByLabel('Moss Ings in Night shift')).toBeChecked();
  await page.getByLabel('Wren Tallow in Night shift').click();
  await expect(page.getByLabel('Wren Tallow in Night shift')).toBeChecked();
  await press(page, 'Make a code');
  const code = (await page.getByTestId('join-code').textContent()) ?? '';
  await accessible(page);
  const moss = await (await browser.newContext()).newPage();
  await signIn(moss, `moss-${mark}@tarn`, password ?? '');

  const fresh = await (await browser.newContext()).newPage();
  await open(fresh, '/join');
  await accessible(fresh);
  await fresh.getByLabel('Code').fill(code);
  await fresh.getByLabel('Name', { exact: true }).fill('Fern Aske');
  await fresh.getByLabel('User name').fill(`fern.${mark}`);
  await fresh.getByLabel('Password').fill('joins-with-code');
  await press(fresh, 'Make the account and join');
  await expect(fresh.getByText(`You are in “Weighing ${mark}” now.`)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('row', { name: /Fern Aske/ })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Fern Aske from the course' }).click();
  await press(page, 'Remove from the course');
  await expect(page.getByRole('row', { name: /Fern Aske/ })).toHaveCount(0);

  const colleague = await (await signedIn(browser, 'tamsin')).newPage();
  await open(colleague, `/courses/${course}/settings`);
  await expect(colleague.getByText('It is Odile Marsh’s.')).toBeVisible();
  await expect(colleague.getByRole('button', { name: /Archive the course/ })).toHaveCount(0);
  await open(page, `/courses/${course}/settings`);
  await press(page, 'Archive the course…');
  await press(page, 'Archive the course');
  await expect(page.getByText('archived: learners do not see it')).toBeVisible();
  await ready(page);
  await press(page, 'Bring it back');
  await expect(page.getByText('archived: learners do not see it')).toHaveCount(0);
});

test('a release told of after the end: its check list, silence, the mark in the gradebook, and a correction applied', async ({
  browser,
}) => {
  test.slow();
  const teacher = await signedIn(browser, 'odile');
  const course = randomUUID();
  await call(teacher, 'POST', '/api/courses', { id: course, title: 'Yard' });
  await call(teacher, 'POST', `/api/courses/${course}/roster`, {
    text: ',rowan\n,yarrow',
    take: true,
    removeOthers: false,
  });
  const page = await teacher.newPage();
  await open(page, '/sets');
  await page.getByLabel('New set').fill('Told later');
  await press(page, 'Make it');
  await page.waitForURL(/\/sets\/./);
  await ready(page);
  await page.getByLabel('Find in titles and words').fill('Which seeds stand drying?');
  await page.getByRole('button', { name: 'Add Which seeds stand drying?', exact: true }).first().click();
  await press(page, 'Publish…');
  await page.getByRole('radio', { name: /Yard/ }).check();
  await expect(page.getByText('Nothing is in the way.')).toBeVisible();
  await page.getByText('Feedback', { exact: true }).click();
  await page.getByLabel('They see it').selectOption('finished');
  await expect(page.getByText('each question is checked once, when the sitting ends')).toBeVisible();
  await accessible(page);
  await press(page, 'Release now');
  const release =
    ((await page.getByRole('link', { name: 'See its results' }).getAttribute('href')) ?? '').split('/')[2] ?? '';

  const { page: learner, said } = await sitDown(browser, 'rowan', release);
  await expect(learner.getByRole('button', { name: 'Check' })).toHaveCount(0);
  await byMouse(learner, 'Mango', 'Stands drying');
  await byMouse(learner, 'Barley', 'Stands drying');
  await press(learner, 'Finish');
  await learner.getByRole('dialog').getByRole('button', { name: 'Finish' }).click();
  await expect(learner.getByText('You have finished.')).toContainText('0.5 of 7 marks');
  await ready(learner);
  await learner.getByRole('link', { name: 'Look at your answer' }).click();
  await expect(learner.getByRole('link', { name: 'Back to your mark' })).toBeVisible();
  await expect(learner.locator('.playing [data-verdict="wrong"], .playing [data-state="wrong"]').first()).toBeVisible();
  await accessible(learner);
  expect(said).toEqual([]);

  await open(page, `/releases/${release}/editions`);
  await page.getByLabel('Item of Which seeds stand drying? that is right too').selectOption({ label: 'Mango' });
  await page.getByLabel('Zone of Which seeds stand drying? it is right in').selectOption({ label: 'Stands drying' });
  await press(page, 'Widen the key');
  await page.getByLabel('Why').fill('A mango may be dried after all');
  await press(page, 'See what it would do');
  await expect(page.getByTestId('would-change')).toHaveText('1 of 1 sittings would have another mark:');
  await expect(page.getByRole('row', { name: /Rowan Pike 0.5 \/ 7/ })).toBeVisible();
  await accessible(page);
  await press(page, 'Apply it to marks too');
  await expect(page.getByText('A mango may be dried after all')).toBeVisible();
  await expect(page.getByText(/applied .* by Odile Marsh: one mark changed/)).toBeVisible();

  await open(page, `/courses/${course}/gradebook`);
  await accessible(page);
  const cell = page.getByRole('button', { name: /^Rowan Pike, Told later: [\d.]+ of 7/ });
  await expect(cell).not.toHaveText('0.5');
  await cell.click();
  await page.getByLabel('Points (of 7)').fill('6.5');
  await page.getByLabel('Why', { exact: true }).fill('Answered the rest aloud');
  await press(page, 'Set it');
  await expect(page.getByRole('button', { name: 'Rowan Pike, Told later: 6.5 of 7, set by hand' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Rowan Pike 92.9 %/ })).toBeVisible();
  await page.getByRole('button', { name: 'total' }).click();
  await expect(page.getByRole('columnheader', { name: 'total' })).toHaveAttribute('aria-sort', 'ascending');
  await expect(page.locator('tbody').getByRole('row').first()).toContainText('Rowan Pike');
  await page.getByRole('link', { name: 'Rowan Pike' }).click();
  await expect(page.getByRole('row', { name: 'Mango Stands drying right' })).toBeVisible();
  await expect(page.getByText('set by hand: Answered the rest aloud')).toBeVisible();
  await open(page, `/courses/${course}/settings`);
  await expect(
    page.getByText(/Odile Marsh set a mark by hand in “Told later” for Rowan Pike: Answered the rest aloud/),
  ).toBeVisible();
});

test('the results of a release: figures with a sentence each, who put what where, and a learner allowed more', async ({
  browser,
}) => {
  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  await open(page, '/releases/0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0201/results');
  await expect(page.getByText(/learners by marks, of 7/)).toBeVisible();
  await expect(page.getByText('It takes two questions to say how reliable a set is.')).toBeVisible();
  await page.getByRole('button', { name: 'Which seeds stand drying?' }).click();
  const barley = page.getByRole('table', { name: 'Where each item was put' }).getByRole('row', { name: /^Barley/ });
  await expect(barley).toContainText(/\d+ → \d+ ✓/);
  await accessible(page);
  await page.getByRole('link', { name: 'Retrace sitting 1 of Sorrel Haim' }).click();
  await page.waitForURL(/\/sittings\//);
  await ready(page);
  const traced = page.getByRole('region', { name: 'Which seeds stand drying?, move by move' });
  await expect(traced.getByRole('status')).toHaveText('At the start');
  await expect(traced.locator('.tag')).toHaveCount(9);
  await traced.focus();
  await page.keyboard.press('ArrowRight');
  await expect(traced.getByRole('status')).toHaveText(/ → /);
  await page.keyboard.press('End');
  await expect(traced.getByText(/^move (\d+) of \1 · /)).toBeVisible();
  await accessible(page);
  await traced
    .getByRole('button', { name: /Check: [1-9]\d* right/ })
    .first()
    .click();
  await expect(traced.getByRole('status')).toContainText('Check:');
  await expect(traced.locator('.tag[data-state="right"]').first()).toBeVisible();
  await traced.getByRole('button', { name: 'Play' }).click();
  await expect(traced.getByRole('status')).not.toContainText('Check:');
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.waitForURL(/\/settings$/);
  await ready(page);
  await press(page, 'Allow a learner more…');
  await page.getByRole('button', { name: 'Fennel Brock' }).click();
  await page.getByLabel('More sittings').fill('2');
  await press(page, 'Allow it');
  await expect(page.getByText('2 more sittings')).toBeVisible();
  await page.getByLabel('Due', { exact: true }).fill('2030-01-01T12:00');
  await accessible(page);
  await press(page, 'Save');
  await expect(page.getByText('Saved')).toBeVisible();
  await page.getByRole('button', { name: 'As for all for Fennel Brock' }).click();
  await expect(page.getByText('Nobody yet.')).toBeVisible();
});

test('a correction shows whose mark would fall, and leaves those alone unless it is told otherwise', async ({
  browser,
}) => {
  const page = await (await signedIn(browser, 'odile')).newPage();
  await open(page, '/releases/0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0206/editions');
  await expect(page.getByText(/\d+ marks? changed/)).toBeVisible();
  await page.getByLabel('Item of How a seed is banked that is right too').selectOption({ label: 'watered' });
  await page.getByLabel('Zone of How a seed is banked it is right in').selectOption({ index: 2 });
  await page.getByRole('button', { name: 'Widen the key' }).first().click();
  await page.getByRole('checkbox', { name: 'Strike Parts of a germinating bean' }).check();
  await press(page, 'See what it would do');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByTestId('would-change')).toContainText(/\d+ of 39 sittings would have another mark/);
  const falling = await dialog.getByRole('row', { name: /falls/ }).count();
  expect(falling).toBeGreaterThan(0);
  await expect(
    dialog.getByRole('checkbox', {
      name:
        falling === 1
          ? 'Leave the one mark that would fall as it is'
          : `Leave the ${falling} marks that would fall as they are`,
    }),
  ).toBeChecked();
  await accessible(page);
  await press(page, 'Not yet');
  await expect(dialog).toHaveCount(0);
});

test('a small child signs in with a code, a name that is typed, and pictures that the teacher draws', async ({
  page,
  browser,
}) => {
  await signIn(page, 'odile');
  const course = randomUUID();
  const name = `Little Moss ${course.slice(0, 6)}`;
  expect((await call(page.context(), 'POST', '/api/courses', { id: course, title: 'The youngest' })).status).toBe(200);
  const person = { name, username: `little.${course.slice(0, 8)}`, password: 'seedlings-26' };
  expect((await call(page.context(), 'POST', `/api/courses/${course}/learners`, person)).status).toBe(200);
  await open(page, `/courses/${course}/learners`);
  await press(page, 'Allow pictures');
  const code = ((await page.getByTestId('picture-code').textContent()) ?? '').replace(' ', '');
  await press(page, `Pictures of ${name}`);
  await press(page, 'Draw them');
  const drawn = page.getByTestId('drawn-pictures').getByRole('listitem');
  await expect(drawn).toHaveCount(3);
  const pictures = await drawn.allTextContents();
  await accessible(page);

  const tablet = await browser.newContext({ viewport: { width: 768, height: 1024 }, hasTouch: true });
  const child = await tablet.newPage();
  await open(child, '/sign-in');
  await child.getByRole('link', { name: 'Sign in with pictures' }).click();
  await child.waitForURL(/\/pictures/);
  await open(child, `/pictures?code=${code}`);
  const picture = (words: string) =>
    child.getByRole('button', { name: words === 'grape' ? 'grapes' : words, exact: true });
  await expect(picture('leaf')).toBeDisabled();
  await child.getByLabel('Your name').fill(name.toUpperCase());
  await accessible(child);
  // One too early, taken back; then two that are not theirs.
  const others = pictures[0]?.trim() === 'sun' ? 'moon' : 'sun';
  await picture(others).tap();
  await child.getByRole('button', { name: 'One back' }).tap();
  for (let i = 0; i < 3; i++) await picture(others).tap();
  await expect(child.getByRole('alert')).toHaveText('That does not fit. Try again, or ask your teacher.');
  for (const one of pictures) await picture(one.trim()).tap();
  await child.waitForURL(/\/sit/);
  await expect(child.getByRole('link', { name })).toBeVisible();
  await tablet.close();
});
