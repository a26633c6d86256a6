import { randomUUID } from 'node:crypto';
import { give, press, signedIn } from './player';
import { accessible, call, DEMO, expect, open, signIn, test } from './support';

const SETTINGS = {
  ...{ sittings: 1, counts: 'best', practice: false, feedbackLevel: 'modelAnswer', feedbackTime: 'atOnce' },
};

test('a release is withdrawn and brought back, and its learners see it go and come', async ({ page, browser }) => {
  const id = await give(browser, { title: 'To withdraw and bring back' });
  const learner = await (await signedIn(browser, 'linden')).newPage();
  const entry = learner.getByText('To withdraw and bring back', { exact: false }).first();
  await open(learner, '/sit');
  await expect(entry).toBeVisible();

  await signIn(page, 'odile');
  await open(page, `/releases/${id}/settings`);
  await press(page, 'Withdraw it…');
  await accessible(page);
  await press(page, 'Withdraw it');
  await expect(page.getByRole('heading', { name: 'Withdrawn', exact: true })).toBeVisible();
  await learner.reload();
  await expect(entry).toBeHidden();
  expect((await learner.goto(`/sit/${id}`))?.status()).toBe(404);
  await open(page, `/courses/${DEMO.course}`);
  await expect(page.getByRole('row', { name: 'To withdraw and bring back' })).toContainText('withdrawn');
  await accessible(page);

  await open(page, `/releases/${id}/settings`);
  await press(page, 'Bring it back');
  await expect(page.getByText('It is back')).toBeVisible();
  await open(learner, '/sit');
  await expect(entry).toBeVisible();
  await learner.context().close();
});

test('a closing time that has passed asks first, and what is typed is not lost by leaving', async ({
  page,
  browser,
}) => {
  const id = await give(browser, { title: 'To close by its time' });
  await signIn(page, 'odile');
  await open(page, `/releases/${id}/settings`);
  await page.getByLabel('Closes', { exact: true }).fill('2026-01-15T12:00');
  // The browser asks before the page is left; whoever stays has what was typed.
  page.once('dialog', (dialog) => void dialog.dismiss());
  await page.getByRole('link', { name: 'Results', exact: true }).click();
  await expect(page.getByLabel('Closes', { exact: true })).toHaveValue('2026-01-15T12:00');
  await press(page, 'Save');
  await expect(page.getByRole('dialog')).toContainText('15 Jan 2026, 12:00 has passed. The release closes at once');
  await press(page, 'Cancel');
  expect((await call(page.context(), 'GET', `/api/releases/${id}/settings`)).body).toMatchObject({
    value: { settings: { closesAt: null } },
  });
  await press(page, 'Save');
  await press(page, 'Save, and close it');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await open(page, `/courses/${DEMO.course}`);
  await expect(page.getByRole('row', { name: 'To close by its time' })).toContainText('closed 15 Jan 2026, 12:00');
});

test('a release goes to another course, and a new release begins with what its course says', async ({
  page,
  browser,
}) => {
  const id = await give(browser, { title: 'For another course' });
  await signIn(page, 'odile');
  const course = randomUUID();
  expect((await call(page.context(), 'POST', '/api/courses', { id: course, title: 'Evening class' })).status).toBe(200);
  await open(page, `/releases/${id}/settings`);
  await press(page, 'Publish it to other courses…');
  await page.getByLabel(/^Evening class/).check();
  await press(page, 'Release now');
  await expect(page.getByText('It is published to one course more')).toBeVisible();
  await open(page, `/courses/${course}`);
  await expect(page.getByRole('row', { name: 'For another course' })).toContainText('0 of 0');

  await open(page, `/courses/${course}/settings`);
  await Promise.all([page.waitForEvent('load'), page.getByLabel('They are').selectOption('practice')]);
  await expect(page.getByLabel('They are')).toHaveValue('practice');
  await open(page, `/bench/${DEMO.drying}`);
  await press(page, 'Publish…');
  await page.getByRole('radio', { name: /^Evening class/ }).check();
  await expect(page.getByText('practice', { exact: true })).toBeVisible();
  await page.getByText('When', { exact: true }).click();
  await page.getByLabel('Closes', { exact: true }).fill('2026-01-15T12:00');
  await expect(page.getByRole('button', { name: 'Release now' })).toBeDisabled();
  await press(page, 'Let it stay open');
  await expect(page.getByLabel('Closes', { exact: true })).toHaveValue('');
});

test('the dates of a course stand in its calendar, and are read at a secret address until it is taken back', async ({
  page,
  browser,
}) => {
  const context = await signedIn(browser, 'odile', { timezoneId: 'Asia/Kolkata' });
  const id = await give(browser, { title: 'In the calendar' });
  const dueAt = '2031-01-14T20:30:00.000Z';
  expect(
    (
      await call(context, 'PUT', `/api/releases/${id}/settings`, {
        ...SETTINGS,
        title: 'In the calendar',
        dueAt,
        from: 1,
      })
    ).status,
  ).toBe(200);
  const teacher = await context.newPage();
  await open(teacher, `/courses/${DEMO.course}/calendar?month=2031-01`);
  // Half past eight in the evening of the fourteenth is the next morning in Kolkata.
  const day = teacher.getByRole('cell').filter({ has: teacher.locator('time[datetime="2031-01-15"]') });
  await expect(day).toContainText('due 02:00');
  await expect(day.getByRole('link', { name: 'In the calendar' })).toBeVisible();
  await accessible(teacher);
  await teacher.setViewportSize({ width: 390, height: 844 });
  await expect(teacher.getByRole('link', { name: 'In the calendar' })).toBeVisible();
  await expect(teacher.locator('time[datetime="2031-01-16"]')).toBeHidden();
  await teacher.getByRole('link', { name: 'Month after' }).click();
  await expect(teacher.getByRole('heading', { name: 'February 2031' })).toBeVisible();
  await context.close();

  await signIn(page, 'odile');
  await open(page, '/account');
  await press(page, 'Make an address');
  const address = await page.getByLabel('Address for your calendar').inputValue();
  await accessible(page);
  const stranger = await browser.newContext();
  const read = await stranger.request.get(address);
  expect(read.headers()['content-type']).toBe('text/calendar; charset=utf-8');
  expect(await read.text()).toContain('DTSTART:20310114T203000Z');
  await press(page, 'Take it back');
  await expect(page.getByText('It is taken back')).toBeVisible();
  expect((await stranger.request.get(address)).status()).toBe(404);
  await stranger.close();
});
