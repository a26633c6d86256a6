import { strToU8, zipSync } from 'fflate';
import { begun, sought, station } from './making';
import { press } from './player';
import { origin } from './server';
import { accessible, call, expect, newTeacher, open, signIn, test } from './support';

// What comes from other systems and goes to them, beside platforms (platforms.spec.ts).

test('an administrator names the record store, which gets what comes about; its secret is not shown again', async ({
  page,
}) => {
  const { username, password } = await newTeacher('--admin');
  await signIn(page, username, password);
  await open(page, '/account/record-store');
  await accessible(page);
  await page.getByLabel('Key').fill('tarn-hollow');
  await page.getByLabel('Secret').fill('sachets-at-minus-twenty');
  await page.getByLabel('Address').fill(`${origin()}/stand-in/record-store`);
  await press(page, 'Send statements there');
  await expect(page.getByText('From now on statements are sent there.')).toBeVisible();
  await expect(page.getByLabel('Secret')).toHaveValue('');
  await accessible(page);
  await press(page, 'Send nothing any more…');
  await press(page, 'Send nothing');
  await expect(page.getByText('Statements are sent nowhere any more.')).toBeVisible();
  await page.goto('/stand-in/record-store');
  await accessible(page);
});

const csv = (...lines: readonly string[]) => strToU8(lines.join('\r\n'));
const schoolOf = (system: string, name: string) =>
  zipSync({
    'manifest.csv': csv(
      ...['propertyName,value', 'manifest.version,1.0', 'oneroster.version,1.2', `source.systemCode,${system}`],
      ...['file.classes,bulk', 'file.users,bulk', 'file.enrollments,bulk'],
    ),
    'classes.csv': csv(
      'sourcedId,status,dateLastModified,title,courseSourcedId,classType,schoolSourcedId,termSourcedIds',
      'k1,,,Seeds 7a,c1,scheduled,s1,t1',
    ),
    'users.csv': csv(
      'sourcedId,status,dateLastModified,enabledUser,username,givenName,familyName',
      `u1,,,true,${system}.wren,${name},Tallow`,
      'u2,,,perhaps,x,Linden,Marsh',
    ),
    'enrollments.csv': csv(
      'sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role',
      'e1,,,k1,s1,u1,student',
    ),
  });

test('classes of a school’s system come in after a preview; faulty lines are named, and left out on request', async ({
  page,
}) => {
  const { username, password } = await newTeacher('--admin');
  await signIn(page, username, password);
  await open(page, '/account/oneroster');
  const buffer = Buffer.from(schoolOf(username, 'Wren'));
  await page.locator('input[type="file"]').setInputFiles({ name: 'school.zip', mimeType: 'application/zip', buffer });
  await expect(page.getByTestId('oneroster-plan')).toHaveText(/^3 changes/);
  await expect(page.getByText('users.csv, line 3, enabledUser')).toBeVisible();
  await expect(page.getByRole('cell', { name: 'Wren Tallow learns in “Seeds 7a”' })).toBeVisible();
  await accessible(page);
  await expect(page.getByRole('button', { name: 'Take it' })).toBeDisabled();
  await page.getByLabel('Take the rest without the faulty lines').check();
  await press(page, 'Take it');
  await expect(page.getByRole('heading', { name: 'It is taken' })).toBeVisible();
  await expect(page.getByRole('cell', { name: `${username}.wren` })).toBeVisible();
  await page.getByRole('link', { name: 'Seeds 7a' }).click();
  await expect(page.getByRole('heading', { name: 'Seeds 7a' })).toBeVisible();
  await page.getByRole('link', { name: 'Gradebook' }).click();
  await press(page, 'For the school’s system…');
  const dialog = page.getByRole('dialog', { name: 'Marks for the school’s system' });
  await expect(dialog.getByRole('link', { name: 'Save the package' })).toBeVisible();
  await expect(dialog.getByText('left out')).toBeHidden();
  await accessible(page);
});

test('outcomes come in as a list, and are put on questions in the Vault and at the Bench', async ({ page }) => {
  const { username, password } = await newTeacher();
  await signIn(page, username, password);
  await open(page, '/outcomes');
  await press(page, 'Bring outcomes in…');
  const dialog = page.getByRole('dialog', { name: 'Bring outcomes in' });
  await dialog.getByLabel('A package of CASE 1.0').fill('K,Keeps seeds\nK.1,Dries them,K\nK.1,Twice,K');
  await dialog.getByLabel('Title of the list').fill(`Keeping ${username}`);
  await press(page, 'See what will change');
  await expect(dialog.getByText('The code “K.1” stands on line 2 too.')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Bring them in' })).toBeDisabled();
  await press(page, 'Back');
  await dialog.getByLabel('A package of CASE 1.0').fill('K,Keeps seeds\nK.1,Dries them,K');
  await press(page, 'See what will change');
  await expect(page.getByTestId('outcomes-plan')).toHaveText(/2 new outcomes/);
  await press(page, 'Bring them in');
  const section = page.locator('section', { has: page.getByRole('heading', { name: `Keeping ${username}` }) });
  await expect(section.getByText('Dries them')).toBeVisible();
  await accessible(page);

  await begun(page, 'To be dried');
  await expect(page.getByText(/^saved at \d\d:\d\d$/)).toBeVisible();
  await station(page, 'Behaviour');
  await press(page, 'Outcomes…');
  const picker = page.getByRole('dialog', { name: 'Outcomes of To be dried' });
  await picker.getByLabel('Find an outcome').fill('dries');
  await picker
    .getByRole('group', { name: `Keeping ${username}` })
    .getByLabel('K.1 Dries them')
    .check();
  await accessible(page);
  await press(page, 'Save them');
  await expect(picker).toBeHidden();

  await open(page, '/vault');
  await sought(page, 'To be dried');
  await page.getByRole('checkbox', { name: /To be dried/ }).check();
  await press(page, 'Outcomes…');
  const many = page.getByRole('dialog', { name: 'Outcomes of 1 question' });
  await many
    .getByRole('group', { name: `Keeping ${username}` })
    .getByLabel('K Keeps seeds')
    .check();
  await press(page, 'Put on');
  await expect(many).toBeHidden();
  const { body } = await call<{ value: { title: string; outcomes: { questions: number }[] }[] }>(
    page.context(),
    'GET',
    '/api/outcomes',
  );
  expect(body.value.find(({ title }) => title === `Keeping ${username}`)?.outcomes).toMatchObject([
    { questions: 1 },
    { questions: 1 },
  ]);
});
