import { randomUUID } from 'node:crypto';
import type { BrowserContext } from '@playwright/test';
import { byMouse, keepQuestion, press, signedIn, sitDown } from './player';
import { accessible, call, expect, open, publishing, test, watch } from './support';

// The gradebook as a table that is typed into, sorted and filtered, and whose cells lead on.

async function release(teacher: BrowserContext, courseId: string, title: string): Promise<string> {
  const id = randomUUID();
  await publishing(teacher, { id, courseId, questionId: await keepQuestion(teacher, { title }), revision: 1 });
  return id;
}

test('marks are typed with the keyboard alone and undone; somebody is excused; columns sort and filter', async ({
  browser,
}) => {
  test.slow();
  const teacher = await signedIn(browser, 'odile');
  const course = randomUUID();
  await call(teacher, 'POST', '/api/courses', { id: course, title: 'Lower yard' });
  const roster = { text: ',rowan\n,yarrow', take: true, removeOthers: false };
  await call(teacher, 'POST', `/api/courses/${course}/roster`, roster);
  const first = await release(teacher, course, 'Sowing');
  await release(teacher, course, 'Sieving');

  const { page: learner } = await sitDown(browser, 'rowan', first);
  await byMouse(learner, 'barley', 'dry');
  await press(learner, 'Check');
  await expect(learner.getByText('1 of 3').first()).toBeVisible();

  const page = await teacher.newPage();
  const { said } = watch(page);
  await open(page, `/courses/${course}/gradebook`);
  const cell = (name: string) => page.getByRole('button', { name });
  await cell('Rowan Pike, Sowing (copy): 1 of 3').focus();
  await page.keyboard.press('ArrowRight');
  await expect(cell('Rowan Pike, Sieving (copy): nothing yet')).toBeFocused();
  await page.keyboard.type('2,5');
  await page.keyboard.press('Enter');
  await expect(cell('Rowan Pike, Sieving (copy): 2.5 of 3, set by hand')).toBeVisible();
  await expect(cell(', Sieving (copy): nothing yet')).toBeFocused();
  // More than there is to be had has to be meant, in the cell's dialog.
  await page.keyboard.type('9');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/At most 3. To give more, open the cell/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(cell(', Sieving (copy): nothing yet')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(cell('Rowan Pike, Sieving (copy): nothing yet')).toBeVisible();
  await press(page, 'Redo');
  await expect(cell('Rowan Pike, Sieving (copy): 2.5 of 3, set by hand')).toBeVisible();
  await accessible(page);

  await cell('Rowan Pike, Sowing (copy): 1 of 3').click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('link', { name: 'Look at the attempt' })).toHaveAttribute(
    'href',
    new RegExp(`^/releases/${first}/sittings/`),
  );
  await dialog.getByLabel(/^Excused/).check();
  await dialog.getByLabel('Note').fill('Was at the dryer');
  await accessible(page);
  await dialog.getByRole('button', { name: 'Keep this' }).click();
  await expect(cell('Rowan Pike, Sowing (copy): 1 of 3, excused, with a note')).toBeVisible();
  await expect(page.getByRole('row', { name: /^Rowan Pike 83.3 %/ })).toBeVisible();

  await page.getByRole('button', { name: 'Sieving (copy)', exact: true }).click();
  await expect(page.getByRole('columnheader', { name: 'Sieving (copy)' })).toHaveAttribute('aria-sort', 'ascending');
  await expect(page.locator('tbody').getByRole('row').first()).toContainText('Rowan Pike');
  await page.getByLabel('Those who, in').selectOption({ label: 'Sowing (copy)' });
  await page.getByLabel('have which state').selectOption({ label: 'are excused' });
  await expect(page.locator('tbody').getByRole('row')).toHaveCount(1);
  await page.getByLabel('have which state').selectOption({ label: 'were late' });
  await expect(page.getByText('There is nobody like that.')).toBeVisible();

  await open(page, `/courses/${course}/settings`);
  await press(page, 'Add a letter');
  await page.getByLabel('Letter', { exact: true }).fill('Merit');
  await page.getByLabel('Merit: from so many percent').fill('80');
  await press(page, 'Keep these letters');
  await expect(page.getByRole('button', { name: 'Keep these letters' })).toBeDisabled();
  await open(page, `/courses/${course}/gradebook`);
  await expect(page.getByRole('row', { name: /^Rowan Pike 83.3 % Merit/ })).toBeVisible();

  // The whole class on paper: each answer drawn as it was judged.
  await page.getByRole('link', { name: 'Reports on paper' }).click();
  const report = page.getByRole('article').filter({ hasText: 'Rowan Pike' });
  await expect(report.getByText('Overall 83.3% Merit')).toBeVisible();
  await expect(report.getByText('excused: it does not count')).toBeVisible();
  await expect(report.getByRole('figure').filter({ hasText: 'The answer that earned the mark' })).toBeVisible();
  await expect(report.locator('.tag[data-state="right"]')).toHaveText(/barley/);
  await expect(page.getByRole('article')).toHaveCount(2);
  await accessible(page);
  expect(said).toEqual([]);
});
