import type { Browser, BrowserContext, Page } from '@playwright/test';
import { byMouse, keepQuestion, press, signedIn } from './player';
import { origin } from './server';
import { accessible, expect, open, ready, test } from './support';

// A school's platform and the application, as two sites to a browser: the platform links a question, launches people, and
// its gradebook gets their marks.

const school = (): string => `${origin().replace('127.0.0.1', 'localhost')}/stand-in/platform`;

/** The school's course in a browser of somebody's own. */
async function atSchool(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`${origin()}/stand-in/platform`);
  await expect(page).toHaveURL(school());
  return page;
}

/** Follows a link of the school's, which opens a window of its own. */
async function opens(page: Page, name: string, within = page.locator('main')): Promise<Page> {
  const window = page.waitForEvent('popup');
  await within.getByRole('link', { name, exact: true }).click();
  const opened = await window;
  await opened.waitForURL(`${origin()}/**`);
  await ready(opened);
  return opened;
}

/** What is linked under a title. */
const linked = (page: Page, title: string) => page.locator(`h3:has-text("${title}") + p`);

async function links(browser: Browser, title: string): Promise<{ teacher: BrowserContext; desk: Page }> {
  const teacher = await signedIn(browser, 'odile');
  await keepQuestion(teacher, { title, tries: 1 });
  const desk = await atSchool(teacher);
  const choosing = await opens(desk, 'Link a question as Maren Holt');
  if (new URL(choosing.url()).pathname === '/lti/same-person') {
    await accessible(choosing);
    await choosing.getByLabel('Password of Odile Marsh').fill('seedlings-26');
    await press(choosing, 'Yes, that is me');
  }
  await choosing.waitForURL(/\/lti\/deep-link\?launch=/);
  await ready(choosing);
  await accessible(choosing);
  await press(choosing, 'Choose a question…');
  await choosing.getByLabel('Find in titles and words').fill(title);
  await choosing.getByRole('button', { name: new RegExp(title) }).click();
  await choosing.waitForURL(school());
  await expect(linked(choosing, title)).toBeVisible();
  await choosing.close();
  return { teacher, desk };
}

async function answers(page: Page): Promise<void> {
  await byMouse(page, 'barley', 'dry');
  await press(page, 'Check');
  await expect(page.getByText('1 of 3').first()).toBeVisible();
}

/** A learner's cell of what is linked under a title, in the school's gradebook. */
const mark = (desk: Page, title: string, learner: string) =>
  desk.getByRole('row', { name: new RegExp(`^${learner}`) }).locator(`[data-label^="${title}"]`);

test('a question is linked, learners are launched, and their marks arrive, after the services were down too', async ({
  browser,
}) => {
  test.slow();
  const title = 'Linked by the school';
  const { teacher, desk } = await links(browser, title);
  const pupils = await browser.newContext({ baseURL: origin() });
  const class_ = await atSchool(pupils);

  const pippa = await opens(class_, 'Pippa Lorne', linked(class_, title));
  await expect(pippa).toHaveURL(/\/sit\//);
  await answers(pippa);
  await expect(async () => {
    await desk.goto(school());
    await expect(mark(desk, title, 'Pippa Lorne')).toHaveText(/1 of 3/, { timeout: 1000 });
  }).toPass();

  await press(desk, 'Take the services down');
  await expect(desk.getByText('The services of the school are down')).toBeVisible();
  const jory = await opens(class_, 'Jory Whin', linked(class_, title));
  await answers(jory);
  const course = await opens(desk, 'Open as Maren Holt');
  await open(course, `${new URL(course.url()).pathname}/gradebook`);
  const cell = course.getByRole('button', { name: new RegExp(`Jory Whin, ${title}.*: 1 of 3`) });
  await expect(cell).toHaveAccessibleName(/not at the platform yet/);
  await cell.click();
  await expect(course.getByRole('dialog')).toContainText('status 503');
  await accessible(course);
  await press(desk, 'Bring the services back');
  await course.getByRole('button', { name: 'Send again' }).click();
  await expect(course.getByRole('dialog')).toContainText('The platform has what it should have.');
  await desk.goto(school());
  await expect(mark(desk, title, 'Jory Whin')).toHaveText(/1 of 3/);
  await teacher.close();
});

test('in a frame of the school’s a learner goes on in a window of their own', async ({ browser }) => {
  const title = 'Linked in a frame';
  await links(browser, title);
  const pupils = await browser.newContext({ baseURL: origin() });
  const page = await atSchool(pupils);
  await linked(page, title).getByRole('link', { name: 'Ilse Quarry, in a frame' }).click();
  const frame = page.frameLocator('iframe');
  await expect(frame.getByText('says that you are Ilse Quarry')).toBeVisible();
  const window = page.waitForEvent('popup');
  await frame.getByRole('button', { name: 'Open it' }).click();
  const opened = await window;
  await expect(opened).toHaveURL(/\/sit\//);
  await ready(opened);
  await expect(opened.getByText(title).first()).toBeVisible();
});

test('a teacher takes the roster of the school after seeing what it would change', async ({ browser }) => {
  const { desk } = await links(browser, 'Linked for the roster');
  const course = await opens(desk, 'Open as Maren Holt');
  await open(course, `${new URL(course.url()).pathname}/learners`);
  await press(course, 'From Tarn Hollow School…');
  await press(course, 'See what will change');
  await expect(course.getByRole('dialog').getByRole('row', { name: /Teasel Brand/ })).toBeVisible();
  await accessible(course);
  await press(course, 'Take it');
  await press(course, 'Done');
  await expect(course.getByRole('cell', { name: 'Teasel Brand', exact: true })).toBeVisible();
});
