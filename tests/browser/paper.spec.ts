import { randomUUID } from 'node:crypto';
import { keepQuestion, signedIn } from './player';
import { accessible, call, expect, open, publishing, test, watch } from './support';

// A release on paper: its sheet in letters and numbers, and what learners wrote typed in with the keyboard alone.

test('a sheet says letters and numbers; what was written is typed in, mended and judged', async ({ browser }) => {
  test.slow();
  const teacher = await signedIn(browser, 'odile');
  const [course, release] = [randomUUID(), randomUUID()];
  await call(teacher, 'POST', '/api/courses', { id: course, title: 'Sheets in the yard' });
  const roster = { text: ',rowan\n,yarrow', take: true, removeOthers: false };
  await call(teacher, 'POST', `/api/courses/${course}/roster`, roster);
  const questionId = await keepQuestion(teacher, { title: 'On a sheet' });
  await publishing(teacher, { id: release, courseId: course, questionId, revision: 1 });

  const page = await teacher.newPage();
  const { said } = watch(page);
  await open(page, `/releases/${release}/print?variant=2`);
  await expect(page.locator('.paper-running')).toContainText('Variant 2');
  await accessible(page);
  const letterOf = async (label: string) =>
    (await page.locator('.paper-things li', { hasText: label }).locator('.paper-letter').textContent()) ?? '';
  const [barley, poppy, acorn] = [await letterOf('barley'), await letterOf('poppy'), await letterOf('acorn')];
  await expect(page.locator('.paper-places li')).toContainText([/1\s*dry/, /2\s*moist/]);
  await page.getByRole('link', { name: 'Back to the release' }).click();

  await expect(page.getByRole('link', { name: 'On paper', exact: true })).toHaveAttribute('aria-current', 'page');
  await page.getByLabel('Variant of the sheet').fill('2');
  await page.getByLabel('Learner').selectOption({ label: 'Rowan Pike' });
  const [dry, moist] = [page.getByLabel('1 dry'), page.getByLabel('2 moist')];
  await dry.fill(`${barley}q`);
  await expect(dry).toHaveAccessibleDescription('barley, Q?');
  await page.keyboard.press('Enter');
  await expect(moist).toBeFocused();
  await page.keyboard.type(acorn.toLowerCase());
  const refused = page.waitForResponse((answer) => answer.status() === 422);
  await page.keyboard.press('Enter');
  await refused;
  await expect(page.getByRole('alert')).toContainText('It is not saved yet');
  await expect(dry).toBeFocused();
  await expect(dry).toHaveAccessibleDescription('There is no letter Q.');
  await accessible(page);
  await dry.fill(`${barley} ${poppy}`);
  await page.getByRole('button', { name: 'Type it in' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Rowan Pike: 3 of 3 points, attempt 1.' })).toBeVisible();
  await expect(page.getByLabel('Learner')).toBeFocused();
  await expect(dry).toHaveValue('');

  // A typing error is not the learner's: the same sheet again takes its place.
  await page.getByLabel('Learner').selectOption({ label: 'Rowan Pike (typed in: 3)' });
  await expect(page.getByText('What you type in now takes its place.')).toBeVisible();
  await dry.fill(barley);
  await page.getByRole('button', { name: 'Type it in anew' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Rowan Pike: 1 of 3 points, attempt 1.' })).toBeVisible();

  await open(page, `/releases/${release}/results`);
  await expect(page.getByRole('row', { name: /rowan/ })).toContainText('1 / 3');
  expect(said.filter((line) => !line.includes('422'))).toEqual([]);
});
