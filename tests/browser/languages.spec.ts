import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { DEFAULT_SETTINGS } from '../../src/contract';
import { catalogues } from '../../src/words/catalogues';
import { directionOf, LANGUAGES, type Language } from '../../src/words/languages';
import { begun, station } from './making';
import { byMouse, give, keepQuestion, signedIn, sitDown, tag } from './player';
import { accessible, call, dragTo, expect, newTeacher, open, publishing, signIn, test, watch, zone } from './support';

// The learner's pages in each of their languages.

const say = (language: Language, id: string) => catalogues[language].phrases[id] ?? id;

/** English words on a page that speaks another language: what stands or is said there, as it stands in the catalogue. */
async function englishOn(page: Page, language: Language): Promise<string[]> {
  const found = await page.evaluate(() => {
    const texts: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      if (!node.parentElement?.closest('script, style, select')) texts.push(node.textContent?.trim() ?? '');
    for (const element of document.querySelectorAll('[aria-label], [title]'))
      texts.push(element.getAttribute('aria-label') ?? '', element.getAttribute('title') ?? '');
    return texts;
  });
  const english = new Set(
    Object.entries(catalogues.en.phrases).flatMap(([id, text]) => (text === say(language, id) ? [] : [text])),
  );
  return found.filter((text) => english.has(text));
}

const BARLEY = { id: 'barley', label: 'Hordeum', size: { w: 120, h: 44 } };
const others = (Object.keys(LANGUAGES) as Language[]).filter((language) => language !== 'en');

test('an attempt in each language: no English, the right direction, and the same answer', async ({ browser }) => {
  test.setTimeout(240_000);
  const release = await give(browser, { tries: 3 });
  for (const language of others) {
    const { page, context, said } = await sitDown(browser, 'sorrel', release);
    await context.addCookies([{ name: 'vault-drop.language', value: language, url: new URL(page.url()).origin }]);
    for (const path of ['/sit', '/join', `/sit/${release}`]) {
      await open(page, path);
      const html = page.locator('html');
      await expect(html).toHaveAttribute('lang', language);
      await expect(html).toHaveAttribute('dir', directionOf(language));
      expect(await englishOn(page, language), `${language} ${path}`).toEqual([]);
    }
    await byMouse(page, 'barley', 'dry');
    await expect(tag(page, 'barley')).toHaveAttribute('data-state', 'settled');
    expect(await englishOn(page, language), language).toEqual([]);
    await page.getByRole('button', { name: say(language, 'player.asList'), exact: true }).click();
    await expect(page.getByRole('heading', { name: say(language, 'player.asListHeading') })).toBeAttached();
    expect(await englishOn(page, language), `${language} list`).toEqual([]);
    if (language === 'he') await accessible(page);
    await page.getByRole('button', { name: say(language, 'player.onScene'), exact: true }).click();
    await page.getByRole('button', { name: say(language, 'player.reset'), exact: true }).click();
    await context.close();
    expect(said).toEqual([]);
  }
});

test('right to left the page is mirrored, and what is dragged lands where it is let go', async ({ browser }) => {
  const release = await give(browser, {
    lang: 'he',
    title: 'איפה הזרעים?',
    items: [
      { id: 'barley', label: 'שעורה', size: { w: 120, h: 44 } },
      { id: 'poppy', label: 'פרג', size: { w: 120, h: 44 } },
    ],
    key: [{ zone: 'dry', belongs: ['barley'], need: { rule: 'all' } }],
  });
  const { page, said } = await sitDown(browser, 'sorrel', release, { viewport: { width: 390, height: 844 } });
  // Neither was chosen, and the course says English: the course's comes first.
  await expect(page.locator('html')).toHaveAttribute('lang', 'en');
  await expect(page.getByRole('heading', { level: 1 })).toHaveAttribute('lang', 'he');
  await page.getByLabel('Language').selectOption('he');
  await expect(page.locator('html')).toHaveAttribute('dir', 'rtl');
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  const back = await page.getByRole('link', { name: say('he', 'player.allAssignments') }).boundingBox();
  const title = await page.locator('.frame-title').boundingBox();
  expect(back?.x ?? 0).toBeGreaterThan(title?.x ?? Infinity);
  await page.setViewportSize({ width: 1280, height: 800 });
  await dragTo(page, tag(page, 'שעורה'), zone(page, 'dry').first());
  await expect(tag(page, 'שעורה')).toHaveAttribute('data-state', 'settled');
  await expect(tag(page, 'שעורה')).toHaveAccessibleName(/שעורה, ב: dry/);
  await page.getByRole('button', { name: say('he', 'player.check'), exact: true }).click();
  await expect(page.getByRole('status').getByText(say('he', 'player.allRight'))).toBeVisible();
  await accessible(page);
  expect(said).toEqual([]);
});

test('who comes without an account reads their browser’s language, and may choose another', async ({ browser }) => {
  const context = await browser.newContext({ locale: 'pl-PL' });
  const page = await context.newPage();
  const { said } = watch(page);
  await open(page, '/sign-in');
  await expect(page.getByRole('heading', { name: say('pl', 'page.signIn') })).toBeVisible();
  await page.getByRole('button', { name: say('pl', 'account.signIn') }).click();
  await expect(page.getByText(say('pl', 'account.typePassword'))).toBeVisible();
  await page.getByRole('combobox', { name: say('pl', 'shared.language') }).selectOption('fr');
  await expect(page.getByRole('heading', { name: say('fr', 'page.signIn') })).toBeVisible();
  await open(page, '/join');
  await page.getByLabel(say('fr', 'account.code')).fill('NONESUCH');
  await page.getByLabel(say('fr', 'account.name'), { exact: true }).fill('Io Marl');
  await page.getByLabel(say('fr', 'account.username')).fill('io marl');
  await page.getByLabel(say('fr', 'account.password')).fill('seedlings-27');
  await page.getByRole('button', { name: say('fr', 'account.makeAndJoin') }).click();
  await expect(page.getByText(say('fr', 'account.usernameRule'))).toBeVisible();
  await page.getByLabel(say('fr', 'account.username')).fill('io.marl');
  await page.getByRole('button', { name: say('fr', 'account.makeAndJoin') }).click();
  await expect(page.getByText(say('fr', 'account.noSuchCode'))).toBeVisible();
  await page.goto('/nothing-here');
  await expect(page.getByRole('heading', { name: say('fr', 'errors.notFound') })).toBeVisible();
  // That the page is not found is said by the browser too.
  expect(said.filter((line) => !/404|422/.test(line))).toEqual([]);
});

test('a teacher says what a course and a question speak', async ({ page, browser }) => {
  const { username, password } = await newTeacher();
  await signIn(page, username, password);
  const teacher = page.context();
  const course = randomUUID();
  expect((await call(teacher, 'POST', '/api/courses', { id: course, title: 'Samenkunde' })).status).toBe(200);
  await open(page, `/courses/${course}/settings`);
  await Promise.all([page.waitForEvent('load'), page.getByLabel('Language of the course').selectOption('Deutsch')]);
  await expect(page.getByLabel('Language of the course')).toHaveValue('de');
  await Promise.all([page.waitForEvent('load'), page.getByRole('radio', { name: 'Slate' }).check()]);
  await expect(page.getByRole('radio', { name: 'Slate' })).toBeChecked();
  await begun(page, 'Le séchage');
  await station(page, 'Words');
  await page.getByText('Language', { exact: true }).click();
  await page.getByLabel('Language of the question').fill('fr');
  await page.keyboard.press('Enter');
  await expect(page.locator('span', { hasText: /^French$/ })).toBeVisible();
  await page.getByLabel('Language of the title').fill('not a language');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Type a language tag, as en or pt-BR. Language of the title stays empty.')).toBeVisible();
  await expect(page.getByText(/^saved at/)).toBeVisible();

  const joined = await call<{ value: { join: { code: string } } }>(teacher, 'PATCH', `/api/courses/${course}`, {
    from: 3,
    join: { until: null },
  });
  const questionId = await keepQuestion(teacher, {
    lang: 'fr',
    items: [{ ...BARLEY, lang: 'la' }],
    key: [{ zone: 'dry', belongs: ['barley'], need: { rule: 'all' } }],
  });
  const release = randomUUID();
  await publishing(teacher, { id: release, courseId: course, questionId, revision: 1, settings: DEFAULT_SETTINGS });
  const learner = await signedIn(browser, 'sorrel');
  const { code } = joined.body.value.join;
  expect((await call(learner, 'POST', '/api/joining', { code })).status).toBe(200);
  const seat = await learner.newPage();
  await open(seat, `/sit/${release}`);
  await expect(seat.locator('html')).toHaveAttribute('lang', 'de');
  await expect(seat.getByRole('button', { name: say('de', 'player.check'), exact: true })).toBeVisible();
  await expect(seat.locator('html')).toHaveAttribute('data-appearance', 'slate');
  // Slate's paper, which no other appearance has.
  await expect(seat.locator('body')).toHaveCSS('background-color', 'rgb(233, 238, 241)');
  await accessible(seat);
  await expect(seat.getByRole('heading', { level: 1 })).toHaveAttribute('lang', 'fr');
  await expect(tag(seat, 'Hordeum').locator('.tag-words')).toHaveAttribute('lang', 'la');

  const set = randomUUID();
  await call(teacher, 'POST', '/api/sets', { id: set, title: 'Le séchage' });
  const sections = [{ title: '', draw: null, questions: [{ id: questionId, points: null }] }];
  const kept = await call(teacher, 'PUT', `/api/sets/${set}`, { from: 1, title: 'Le séchage', goBack: true, sections });
  expect(kept.status).toBe(200);
  await open(page, `/sets/${set}/print?sheet=answers`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Le séchage : réponses');
  await page.getByLabel('Language of the paper').selectOption('Deutsch');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Le séchage: Lösungen');
});
