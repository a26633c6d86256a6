import { randomUUID } from 'node:crypto';
import { byMouse, give, press, sitDown } from './player';
import { accessible, call, DEMO, expect, open, signIn, test } from './support';

/** The demo's release with a question of each kind, answered by forty learners. */
const EACH_KIND = DEMO.release.replace(/0201$/, '0203');

test('each kind is told in its own way, with sentences and the bounds of its figures', async ({ page }) => {
  test.slow();
  await signIn(page, 'odile');
  await open(page, `/releases/${EACH_KIND}/results`);
  const table = page.getByRole('table', { name: 'Question by question' });
  const rowOf = (title: string) => table.getByRole('row').filter({ has: page.getByRole('button', { name: title }) });
  await expect(rowOf('Put the rack together')).toContainText(/\d+ of \d+/);
  await expect(rowOf('Put the rack together')).toContainText(/\d+–\d+ %/);
  await expect(rowOf('Put the rack together')).toContainText(/−?\d\.\d\d to −?\d\.\d\d/);
  // Whoever is under way has not come to the last: of those asked, everybody has answered.
  await expect(rowOf('What the air does')).toContainText('34 of 35');

  const shown = (title: string) => page.getByRole('region', { name: title, exact: true });
  const look = async (title: string) => {
    await table.getByRole('button', { name: title }).click();
    await expect(shown(title)).toBeVisible();
  };
  await look('A germination test, step by step');
  const order = shown('A germination test, step by step').getByRole('table', {
    name: 'In which place each item stood',
  });
  await expect(order.getByRole('columnheader')).toHaveText(['item', '1', '2', '3', '4', '5']);
  await expect(order.getByRole('row').nth(1)).toContainText('✓');
  await accessible(page);
  await look('Words to write down');
  await expect(shown('Words to write down')).toContainText('Read as radicle ✓ right');
  await expect(shown('Words to write down')).toContainText('Not read as any answer');
  await look('Find the roots');
  await expect(
    shown('Find the roots').getByRole('img', { name: /^\d+ hits, \d+ second marks .*, \d+ misses$/ }),
  ).toBeVisible();
  await expect(shown('Find the roots')).toContainText(/Main root: found by \d+ of \d+/);
  await look('What may be dried?');
  await expect(shown('What may be dried?')).toContainText('Barley + Poppy + Onion ✓ right');
  await look('Put the rack together');
  await expect(
    shown('Put the rack together').getByRole('region', { name: 'Joints' }).getByRole('listitem'),
  ).toHaveCount(7);
  await shown('Put the rack together').getByText('Who chose what, by fifths of the total').click();
  await expect(page.getByRole('table', { name: 'Shares of each fifth' })).toBeVisible();
  await accessible(page);
});

test('from a spelling to a correction, and from a wrong pair to what is said of it', async ({ page }) => {
  await signIn(page, 'odile');
  await open(page, `/releases/${EACH_KIND}/results`);
  const look = (title: string) =>
    page.getByRole('table', { name: 'Question by question' }).getByRole('button', { name: title }).click();
  await look('Words to write down');
  await page.getByRole('link', { name: 'Accept “orthodox” in Gap 2' }).click();
  await expect(page.getByLabel('Spelling to accept in Words to write down')).toHaveValue('orthodox');
  await expect(page.getByLabel('Gap of Words to write down it is typed into').locator('option:checked')).toHaveText(
    'Gap 2',
  );
  await expect(page.getByLabel('What it is read as in Words to write down').locator('option:checked')).toHaveText(
    'dormant',
  );
  await page.getByRole('button', { name: 'Accept the spelling' }).click();
  await expect(page.getByText('“orthodox” in Gap 2 is read as dormant too')).toBeVisible();
  await page.getByRole('button', { name: 'See what it would do' }).click();
  await expect(page.getByTestId('would-change')).toContainText(/^\d+ of \d+ sittings would have another mark:$/);
  await accessible(page);
  await page.getByRole('button', { name: 'Not yet' }).click();

  await open(page, `/releases/${EACH_KIND}/results`);
  await look('Put the rack together');
  const say = page.getByRole('link', { name: /^Say something about Piece \d in zone \d/ }).first();
  const piece = /about (Piece \d)/.exec((await say.getAttribute('aria-label')) ?? '')?.[1];
  await say.click();
  await expect(page.getByText('You came from the results of a release.')).toBeVisible();
  await expect(
    page.getByRole('button', { name: new RegExp(`^${piece} in .*wrong: nothing is said`), pressed: true }),
  ).toBeVisible();
  // What is to be written is in view, and where typing goes next.
  const written = page.getByRole('group', { name: new RegExp(`^${piece} in `) });
  await expect(written).toBeFocused();
  await expect(written).toBeInViewport();
  await page.getByRole('link', { name: 'To the correction' }).click();
  await expect(page.getByRole('heading', { name: 'Correct it' })).toBeVisible();
});

interface Told {
  readonly isCurrent: boolean;
  readonly figures: { readonly questions: readonly { title: string; full: number; asked: number }[] };
}

test('what the page shows is what the endpoint says', async ({ page }) => {
  await signIn(page, 'odile');
  const told = async () => {
    const { body } = await call<{ value: Told }>(page.context(), 'GET', `/api/releases/${EACH_KIND}/analysis`);
    return body.value;
  };
  await expect.poll(async () => (await told()).isCurrent).toBe(true);
  const { figures } = await told();
  await open(page, `/releases/${EACH_KIND}/results`);
  const rows = page.getByRole('table', { name: 'Question by question' }).getByRole('row');
  await expect(rows).toHaveCount(figures.questions.length + 1);
  for (const [i, { title, full, asked }] of figures.questions.entries())
    await expect(rows.nth(i + 1)).toContainText(new RegExp(`${title}[^]*${full} of ${asked}`));
});

test('a release is held against others with its questions, group against group, first against last', async ({
  page,
}) => {
  await signIn(page, 'odile');
  await open(page, `/releases/${DEMO.release.replace(/0201$/, '0204')}/results`);
  await page.getByRole('link', { name: 'Compare' }).click();
  const seeds = page.getByRole('table', { name: 'Which seeds stand drying?, release by release' });
  await expect(seeds.getByRole('rowheader')).toContainText(['This release.', 'Which seeds stand drying?']);
  await expect(seeds.getByRole('row').last()).toContainText(/[+−]?\d+\s*−\d+ to \+?\d+/);
  // The key was widened in one release alone.
  const bean = page.getByRole('table', { name: 'Parts of a germinating bean, release by release' });
  await expect(bean.getByRole('row', { name: /What a test of life shows/ })).toContainText('Its words or its key');
  const groups = page.getByRole('table', { name: 'Group by group' });
  await expect(groups.getByRole('rowheader')).toContainText(['Evening shift', 'Morning shift']);
  const attempts = page.getByRole('table', { name: 'First and last attempt, as a whole and by question' });
  await expect(attempts.getByRole('row').nth(1)).toContainText('All of it');
  await expect(attempts.getByRole('row').nth(1)).toContainText('14');
  await accessible(page);
});

test('a learner reads their own report, in their language, and prints it', async ({ page }) => {
  await signIn(page, 'arlo.amble');
  await page.getByRole('link', { name: 'Your report: Tarn Hollow induction' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Arlo Amble' })).toBeVisible();
  await expect(page.getByText(/^Overall/)).toContainText(/\d+(\.\d)?\s?%/);
  await expect(page.getByText('The answer that earned the mark').first()).toBeVisible();
  await expect(page.getByRole('row', { name: 'Barley Stands drying right' }).first()).toBeVisible();
  // What belongs where is nowhere but in what was answered and may be seen.
  expect(await page.content()).not.toContain('"belongs"');
  await accessible(page);
  await page.context().addCookies([{ name: 'vault-drop.language', value: 'de', url: page.url() }]);
  await page.reload();
  await expect(page.getByText('Die Antwort, die zählt').first()).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Drucken oder als PDF speichern' })).toBeHidden();
});

test('a class is played together, and two of it beside one another', async ({ page }) => {
  await signIn(page, 'odile');
  await open(page, `/releases/${DEMO.release.replace(/0201$/, '0202')}/results`);
  await page.getByRole('button', { name: 'Parts of a germinating bean' }).click();
  await page.getByRole('link', { name: 'All attempts at it, played together' }).click();
  const together = page.getByRole('region', { name: 'Parts of a germinating bean, together' });
  await expect(together.getByRole('listitem')).toHaveCount(38);
  await expect(together.getByText('0 placed')).toHaveCount(38);
  // By key, one move of whoever moves next.
  await page.keyboard.press('ArrowRight');
  await expect(together.getByText('1 placed').first()).toBeVisible();
  await together.getByRole('checkbox').nth(0).check();
  await together.getByRole('checkbox').nth(2).check();
  await together.getByRole('button', { name: 'Show the chosen alone (2)' }).click();
  await expect(together.getByRole('listitem')).toHaveCount(2);
  await together.getByRole('combobox', { name: 'How fast' }).selectOption('64');
  await together.getByRole('button', { name: 'Play' }).click();
  await expect(together.getByText('no more moves')).toHaveCount(2);
  await expect(together.getByRole('button', { name: 'Play' })).toBeVisible();
  await accessible(page);
  // From one attempt to it beside the others.
  await together
    .getByRole('link', { name: /^Retrace/ })
    .last()
    .click();
  await page.getByRole('link', { name: 'Beside other attempts' }).click();
  await expect(page.getByRole('checkbox').first()).toBeChecked();
});

test('those who need the same question are a group in one press', async ({ browser, page }) => {
  const title = `Kept how, ${randomUUID().slice(0, 8)}`;
  const releaseId = await give(browser, { title, tries: 1, afterMiss: 'leave' });
  const learner = await sitDown(browser, 'linden', releaseId);
  await byMouse(learner.page, 'barley', 'moist');
  await press(learner.page, 'Check');
  await learner.context.close();
  await signIn(page, 'odile');
  await open(page, `/releases/${releaseId}/results`);
  await page.getByRole('button', { name: title }).click();
  await page.getByRole('button', { name: 'Make a group of those without the full mark' }).click();
  await expect(page.getByText('One learner is in it: none had the full mark in any attempt.')).toBeVisible();
  await page.getByRole('link', { name: 'To the groups' }).click();
  await page.waitForURL(`**/courses/${DEMO.course}/learners`);
  await expect(page.getByText(`To see again: ${title}`).first()).toBeAttached();
});
