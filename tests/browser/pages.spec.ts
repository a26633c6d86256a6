import { randomUUID } from 'node:crypto';
import { sought } from './making';
import { origin } from './server';
import { accessible, call, DEMO, expect, open, ready, signIn, test } from './support';

test('sign-in says what is wrong, and shuts an account after five wrong passwords', async ({ page }) => {
  page.removeAllListeners('console');
  await open(page, '/sign-in');
  await accessible(page);
  await page.getByLabel('User name').fill('fennel');
  for (let i = 0; i < 5; i++) {
    await page.getByLabel('Password').fill(`wrong-${i}`);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toContainText('is wrong');
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeEnabled();
  }
  await page.getByLabel('Password').fill('seedlings-26');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('Too many wrong passwords');
});

test('every page asks who one is, and what one may', async ({ page, context }) => {
  page.removeAllListeners('console');
  for (const path of [
    '/vault',
    '/courses',
    '/sit',
    '/account',
    `/bench/${DEMO.drying}`,
    `/releases/${DEMO.release}/results`,
  ]) {
    await page.goto(path);
    await expect(page).toHaveURL(new RegExp(`/sign-in\\?to=${encodeURIComponent(path).replace(/%2F/g, '(%2F|/)')}`));
  }
  await signIn(page, 'yarrow');
  for (const path of ['/vault', '/courses', `/bench/${DEMO.drying}`, `/releases/${DEMO.release}/results`]) {
    expect((await page.goto(path))?.status(), path).toBe(403);
    await expect(page.getByRole('heading', { name: 'You cannot open this' })).toBeVisible();
  }
  await accessible(page);
  expect((await page.goto('/nowhere'))?.status()).toBe(404);
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  await page.getByRole('link', { name: 'Go to your assignments' }).click();
  await expect(page.getByRole('heading', { name: 'Your assignments' })).toBeVisible();

  for (const [method, path, data] of [
    ['POST', '/api/questions', { id: randomUUID() }],
    ['GET', `/api/questions/${DEMO.drying}`, undefined],
    ['POST', `/api/questions/${DEMO.drying}/edits`, { id: randomUUID(), from: 1, edits: [] }],
    ['PATCH', `/api/questions/${DEMO.drying}`, { deleted: true }],
    ['POST', '/api/courses', { id: randomUUID(), title: 'Mine' }],
    ['POST', `/api/courses/${DEMO.course}/learners`, { name: 'x', username: 'xx', password: 'seedlings-26' }],
    ['POST', '/api/releases', { id: randomUUID(), courseId: DEMO.course, questionId: DEMO.drying, revision: 1 }],
  ] as const)
    expect((await call(context, method, path, data)).status, path).toBe(403);
  expect((await context.request.get(`/releases/${DEMO.release}/results.csv`)).status()).toBe(403);
});

test('writes from another site, without a length, or too large are refused', async ({ request }) => {
  const headers = { 'content-type': 'application/json' };
  const evil = await request.post('/api/questions', {
    data: { id: randomUUID() },
    headers: { ...headers, origin: 'https://evil.example' },
  });
  expect(evil.status()).toBe(403);
  const none = await request.post('/api/questions', { data: { id: randomUUID() }, headers });
  expect(none.status()).toBe(403);
  const large = await request.post('/api/questions', {
    data: 'x'.repeat(11 * 1024 * 1024),
    headers: { ...headers, origin: origin() },
  });
  expect(large.status()).toBe(413);
  // Of the ways in that the library has, only the one by user name is open: its count of wrong passwords cannot be
  // passed by.
  for (const way of [
    'sign-up/email',
    'sign-in/email',
    'sign-in/social',
    'request-password-reset',
    'two-factor/send-otp',
  ]) {
    const closed = await request.post(`/api/auth/${way}`, {
      data: { email: 'odile@people.invalid', username: 'a.decoy', password: 'seedlings-26', name: 'x' },
      headers: { ...headers, origin: origin() },
    });
    expect([way, closed.status()]).toEqual([way, 404]);
  }
});

test('answers carry the security headers, and files come compressed', async ({ request }) => {
  const page = await request.get('/sign-in');
  const headers = page.headers();
  expect(headers['content-security-policy']).toMatch(/default-src 'self'.*script-src 'self' 'sha256-/s);
  expect(headers['content-security-policy']).not.toMatch(/https?:|script-src[^;]*unsafe/);
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['x-frame-options']).toBe('DENY');
  // The one that every page with an island asks for; the smallest ones are served as they are.
  const script = /\/_astro\/client[\w.-]+\.js/.exec(await page.text())?.[0] ?? '';
  const file = await request.get(script, { headers: { 'accept-encoding': 'br' } });
  expect(file.headers()['content-encoding']).toBe('br');
  expect(file.headers()['cache-control']).toContain('immutable');
  expect(await (await request.get('/api/health')).json()).toEqual({
    ok: true,
    version: expect.any(String),
    database: 'ok',
  });
});

test('the Vault: new, copy, delete with undo', async ({ page }) => {
  await signIn(page, 'odile');
  await open(page, '/vault');
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  await accessible(page);
  await sought(page, 'Which room is it done in?');
  await page.getByRole('button', { name: 'Copy Which room is it done in?', exact: true }).click();
  const copy = page.getByRole('link', { name: 'Which room is it done in? (copy)', exact: true });
  await expect(copy).toBeVisible();
  await page.getByRole('button', { name: 'Delete Which room is it done in? (copy)', exact: true }).click();
  await expect(copy).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(copy).toBeVisible();
  await page.getByRole('button', { name: 'Delete Which room is it done in? (copy)', exact: true }).click();
  await expect(copy).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('link', { name: 'Which room is it done in?', exact: true })).toBeVisible();
  await expect(copy).toHaveCount(0);
});

test('a teacher makes a learner’s account and resets its password; the learner changes it', async ({
  page,
  browser,
}) => {
  const username = `juniper.${Date.now() % 1e6}`;
  await signIn(page, 'odile');
  await open(page, '/courses');
  await accessible(page);
  await page.getByRole('link', { name: 'Tarn Hollow induction' }).click();
  await page.waitForURL(/\/courses\/.+/);
  await ready(page);
  await accessible(page);
  await page.getByRole('link', { name: 'Learners' }).click();
  await page.waitForURL(/\/learners$/);
  await ready(page);
  await page.getByRole('button', { name: 'New learner…' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Juniper Lowe');
  await page.getByLabel('User name').fill(username);
  await page.getByLabel('First password').fill('first-password');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click();
  await page.getByLabel('Find by name').fill(username);
  const row = page.getByRole('row', { name: new RegExp(username) });
  await expect(row).toBeVisible();
  await row.getByRole('button', { name: /New password/ }).click();
  await page.getByLabel('New password', { exact: true }).fill('second-password');
  await accessible(page);
  await page.getByRole('button', { name: 'Set the password' }).click();
  await expect(page.getByText('Juniper Lowe has a new password')).toBeVisible();

  const learner = await (await browser.newContext()).newPage();
  await signIn(learner, username, 'second-password');
  await expect(learner.getByRole('heading', { name: 'Your assignments' })).toBeVisible();
  await accessible(learner);
  await open(learner, '/account');
  await accessible(learner);
  await learner.getByLabel('Present password').fill('second-password');
  await learner.getByLabel('New password').fill('third-password');
  await learner.getByRole('button', { name: 'Change password' }).click();
  await expect(learner.getByText('Your password is changed')).toBeVisible();
  await open(learner, '/sit');
  await learner.getByRole('button', { name: 'Sign out' }).click();
  await learner.waitForURL(/\/sign-in/);
  await signIn(learner, username, 'third-password');
  await expect(learner.getByRole('heading', { name: 'Your assignments' })).toBeVisible();
});
