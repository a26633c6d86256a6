import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { promisify } from 'node:util';
import { createOTP } from '@better-auth/utils/otp';
import { press } from './player';
import { testServer } from './server';
import { accessible, call, expect, newTeacher, open, ready, signIn, test } from './support';

/** RFC 4648, 6. */
function fromBase32(text: string): string {
  const bits = [...text.replace(/=+$/, '')]
    .map((sign) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(sign).toString(2).padStart(5, '0'))
    .join('');
  return String.fromCharCode(...(bits.match(/.{8}/g) ?? []).map((byte) => Number.parseInt(byte, 2)));
}

test('a teacher sets up a second factor, is asked for it, and uses a recovery code', async ({ page }) => {
  test.slow();
  // Nobody else's account: whoever signs in to it meanwhile would be asked for the code as well.
  const { username, password } = await newTeacher();
  await signIn(page, username, password);
  await open(page, '/account');
  await expect(page.getByText('this one')).toBeVisible();
  await expect(page.getByText(/ of 2(\.0)? GB/)).toBeVisible();
  await accessible(page);
  await page.getByLabel('Your password').fill(password);
  await press(page, 'Set it up');
  const secret = (await page.getByText(/^[A-Z2-7]{20,}$/).textContent()) ?? '';
  const [recovery = ''] = await page.getByTestId('recovery-codes').getByRole('listitem').allTextContents();
  await accessible(page);
  await page.getByLabel('The code it shows now').fill(await createOTP(fromBase32(secret)).totp());
  await press(page, 'Turn it on');
  await expect(page.getByText('Your second factor is on')).toBeVisible();

  await press(page, 'Sign out');
  await page.waitForURL(/sign-in/);
  await ready(page);
  await page.getByLabel('User name').fill(username);
  await page.getByLabel('Password').fill(password);
  await press(page, 'Sign in');
  await press(page, 'I have lost it: use a recovery code');
  await page.getByLabel('A recovery code').fill(recovery);
  await accessible(page);
  await press(page, 'Sign in');
  await page.waitForURL((url) => url.pathname !== '/sign-in');
  await open(page, '/account');
  await page.getByLabel('Your password').fill(password);
  await press(page, 'Turn it off');
  await expect(page.getByText('Your second factor is off')).toBeVisible();
});

test('a program asks with a token from an empty account to results, until it is taken back', async ({
  page,
  playwright,
}) => {
  test.slow();
  const { username, password } = await newTeacher();
  await signIn(page, username, password);
  await open(page, '/account');
  await press(page, 'Make a token');
  await expect(page.getByText('Give it a name')).toBeVisible();
  await page.getByLabel('What it is for').fill('The example');
  for (const scope of ['author', 'publish', 'results']) await page.getByLabel(new RegExp(`^${scope}:`)).check();
  await press(page, 'Make a token');
  const token = (await page.getByText(/^vault_drop_/).textContent()) ?? '';
  await accessible(page);

  const env = { ...process.env, URL: testServer().origin, TOKEN: token };
  const { stdout } = await promisify(execFile)('bash', ['docs/api/example.sh'], { env });
  expect(stdout).toContain('Pippa Lorne');
  // Beside a token no cookie counts, and no Origin is needed; a page it does not open.
  const stranger = await playwright.request.newContext({ baseURL: testServer().origin });
  const headers = { authorization: `Bearer ${token}` };
  const statusOf = async (path: string, given: Record<string, string>) =>
    (await stranger.get(path, { headers: given, maxRedirects: 0 })).status();
  expect(await statusOf('/api/questions', headers)).toBe(200);
  expect(await statusOf('/api/questions', { authorization: 'Bearer vault_drop_guessed' })).toBe(401);
  expect(await statusOf('/vault', headers)).toBe(404);
  const byCookie = { authorization: 'Bearer vault_drop_guessed', origin: testServer().origin };
  expect((await page.request.get('/api/questions', { headers: byCookie })).status()).toBe(401);

  await open(page, '/account');
  await expect(page.getByText(/last used/)).toBeVisible();
  await press(page, 'Take back');
  await press(page, 'Take it back');
  await expect(page.getByText('“The example” does not hold any more.')).toBeVisible();
  expect(await statusOf('/api/questions', headers)).toBe(401);
  await stranger.dispose();
});

test('sign-ins are listed, and ended everywhere', async ({ page, browser }) => {
  await signIn(page, 'fennel');
  const other = await (await browser.newContext()).newPage();
  await signIn(other, 'fennel');
  await open(page, '/account');
  await press(page, 'Sign out everywhere else');
  await expect(page.getByText('You are signed out everywhere else.')).toBeVisible();
  await open(other, '/sit');
  await expect(other).toHaveURL(/sign-in/);
});

test('a learner is asked into a course by a teacher who does not know them, and says yes', async ({
  page,
  browser,
}) => {
  await signIn(page, 'odile');
  const [course, mark] = [randomUUID(), Date.now() % 1e6];
  expect((await call(page.context(), 'POST', '/api/courses', { id: course, title: `Cold room ${mark}` })).status).toBe(
    200,
  );
  const teacher = await (await browser.newContext()).newPage();
  await signIn(teacher, 'tamsin');
  const hers = randomUUID();
  await call(teacher.context(), 'POST', '/api/courses', { id: hers, title: `Asked ${mark}` });
  const made = await call<{ ok: boolean }>(page.context(), 'POST', `/api/courses/${course}/learners`, {
    name: 'Moss Ings',
    username: `asked.${mark}`,
    password: 'seedlings-26',
  });
  expect(made.status).toBe(200);
  await open(teacher, `/courses/${hers}/learners`);
  await press(teacher, 'From a list…');
  await teacher.getByLabel(/^Name, user name/).fill(`Somebody,asked.${mark}`);
  await press(teacher, 'See what will change');
  await expect(teacher.getByText('is invited, and says yes or no')).toBeVisible();
  await expect(teacher.getByText('Moss Ings')).toHaveCount(0);
  await press(teacher, 'Take it');
  const moss = await (await browser.newContext()).newPage();
  await signIn(moss, `asked.${mark}`);
  await expect(moss.getByText(`asks you into the course Asked ${mark}`)).toBeVisible();
  await accessible(moss);
  await press(moss, 'Join');
  await expect(moss.getByText('asks you into')).toHaveCount(0);
  await open(teacher, `/courses/${hers}/learners`);
  await expect(teacher.getByText('Moss Ings')).toBeVisible();
});

test('a teacher has Today by e-mail: asked for, confirmed by its link, sent, and turned off', async ({ page }) => {
  const { username, password } = await newTeacher();
  await signIn(page, username, password);
  await open(page, '/account');
  const section = page.locator('#mail');
  await section.getByRole('button', { name: 'Send me Today' }).click();
  await expect(section.getByText('Type an e-mail address')).toBeVisible();
  await section.getByLabel('Your e-mail address').fill('not an address');
  await expect(section.getByText('This is no e-mail address')).toBeVisible();
  const address = `${username}@people.invalid`;
  await section.getByLabel('Your e-mail address').fill(address);
  await section.getByLabel('On').selectOption('Monday to Friday');
  await section.getByLabel('At').selectOption('07:00');
  await section.getByRole('button', { name: 'Send me Today' }).click();
  await expect(section.getByText(`A link was sent to ${address}`)).toBeVisible();
  await expect(section.getByRole('button', { name: 'Send it now' })).toHaveCount(0);
  await accessible(page);

  const letters = page.getByRole('article').filter({ hasText: `to ${address}` });
  const written = (count: number) =>
    expect(async () => {
      await open(page, '/stand-in/mail');
      await expect(letters).toHaveCount(count, { timeout: 500 });
    }).toPass();
  await written(1);
  await accessible(page);
  await letters.getByRole('link', { name: /account\/mail/ }).click();
  await expect(page.getByText(`Is ${address} yours?`)).toBeVisible();
  await ready(page);
  await accessible(page);
  await press(page, 'It is mine');
  await expect(page.getByText(`Today is sent to ${address}`)).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'Your account' }).click();
  await expect(section.getByText(`To ${address}, Monday to Friday at 07:00`)).toBeVisible();
  await ready(page);
  await section.getByRole('button', { name: 'Send it now' }).click();
  await expect(section.getByText('It is on its way.')).toBeVisible();
  await written(2);
  await expect(letters.first()).toContainText('Today: nothing new');
  await expect(letters.first()).toContainText('Good morning');

  await open(page, '/account');
  await section.getByRole('button', { name: 'Change…' }).click();
  await section.getByLabel('On').selectOption('on Mondays');
  await section.getByRole('button', { name: 'Save' }).click();
  await expect(section.getByText(`To ${address}, on Mondays at 07:00`)).toBeVisible();
  await section.getByRole('button', { name: 'Turn it off' }).click();
  await expect(section.getByText('It is off, and your address is forgotten.')).toBeVisible();
  await expect(section.getByLabel('Your e-mail address')).toHaveValue('');
});
