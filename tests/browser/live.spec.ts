import { give, press, signedIn, sitDown, tag } from './player';
import { accessible, call, expect, open, test, watch } from './support';

const row = (page: import('@playwright/test').Page, name: string | RegExp) =>
  page.getByRole('row').filter({ hasText: name });

test('live: a move is seen without loading anew, rows stay where they are, and a cut line goes on', async ({
  browser,
}) => {
  test.slow();
  const release = await give(browser, { title: 'Which seeds stay dry?', tries: null }, { minutes: 30 });
  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  const { said } = watch(page);
  await open(page, `/releases/${release}/live`);
  await expect(page.getByText('● live')).toBeVisible();
  await accessible(page);
  const names = () => page.locator('.live-table tbody td:first-child').allTextContents();
  const before = await names();
  await expect(row(page, 'Wren')).toContainText('has not begun');

  const wren = await sitDown(browser, 'wren', release);
  await expect(row(page, 'Wren')).toContainText('at work');
  await tag(wren.page, 'barley').click();
  await wren.page.getByRole('button', { name: 'Put barley into dry' }).click();
  await expect(row(page, 'Wren')).toContainText('1 / 4');
  const counts = page.getByRole('table', { name: /items by the zones/ });
  await expect(counts.getByRole('row', { name: /^barley/ })).toContainText('✓ belongs here: 1');
  expect(await names()).toEqual(before);

  // The line is cut; what happened meanwhile is there when it is back.
  await teacher.setOffline(true);
  await tag(wren.page, 'acorn').click();
  await wren.page.getByRole('button', { name: 'Put acorn into dry' }).click();
  await press(wren.page, 'Check');
  await expect(wren.page.getByRole('button', { name: 'Try again' })).toBeVisible();
  await teacher.setOffline(false);
  await expect(row(page, 'Wren')).toContainText('2 / 4');
  await expect(counts.getByRole('row', { name: /^acorn/ })).toContainText('1');

  await page.getByRole('button', { name: /^Give Wren .* 5 minutes more$/ }).click();
  await expect(page.getByText('5 minutes more', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: /^What Wren/ }).click();
  await expect(page.getByText(/^Retrace: Wren/)).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Move' })).toHaveValue('3');
  await page.goBack();
  await expect(page.getByText('● live')).toBeVisible();
  await press(page, 'Close it…');
  await press(page, 'Close it');
  await expect(page.getByText('It is closed.')).toBeVisible();
  // A learner has no way to it.
  for (const path of ['live', 'live/events'])
    expect((await call(wren.context, 'GET', `/api/releases/${release}/${path}`)).status).toBe(403);
  expect(wren.said).toEqual([]);
  // The console tells of the line that this test has cut.
  expect(said.filter((line) => !/ERR_INTERNET_DISCONNECTED|ERR_NETWORK/.test(line))).toEqual([]);
  await wren.context.close();
  await teacher.close();
});
