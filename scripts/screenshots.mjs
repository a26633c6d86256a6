// `npm run screenshots`: takes every picture of docs/screenshots/ anew, over what is built, from fresh demo data.
import { join } from 'node:path';
import { demoServed, root } from './demoServed.mjs';

const ID = '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b';
const only = new Set(process.argv.slice(2));
const { pageOf, open, end } = await demoServed(4480);

async function take(page, name) {
  await page.evaluate(() =>
    Promise.allSettled(document.getAnimations().map(({ finished }) => finished)).then(() => null),
  );
  await page.waitForLoadState('networkidle');
  await page.screenshot({ path: join(root, 'docs/screenshots', `${name}.png`) });
  console.log(name);
}
const station = (page, name) =>
  page.getByRole('navigation', { name: 'Stations' }).getByRole('button', { name }).click();
const press = (page, name) => page.getByRole('button', { name, exact: true }).first().click();
const thing = (page, label) => page.locator('[data-bench-scene]').getByText(label, { exact: true }).first();
/** Puts an item into a zone, press and press. */
async function put(page, item, zone) {
  await page.locator('.movable', { hasText: item }).last().click();
  await press(page, `Put ${item} into ${zone}`);
}
/** The id of the first question of the Vault that is found so. */
async function found(page, query) {
  const answer = await page.request.get(`/api/questions?${query}`);
  return (await answer.json()).value.rows[0].id;
}

const TEACHER = {
  today: (page) => open(page, '/'),
  board: async (page) => {
    await open(page, `/board?from=release&id=${ID}0201`);
    await press(page, 'Call up');
    await page.getByRole('button', { name: /^Viability testing/ }).click();
    await press(page, 'Everybody');
    await press(page, 'Close');
    for (let i = 0; i < 9; i++) await press(page, 'Call up');
    for (const [item, zone] of [
      ['Barley', 'Stands drying'],
      ['Poppy', 'Stands drying'],
      ['Acorn', 'Must stay moist'],
    ])
      await put(page, item, zone);
  },
  live: (page) => open(page, `/releases/${ID}0203/live`),
  vault: async (page) => {
    await open(page, '/vault');
    await page.getByRole('navigation', { name: 'Shelves' }).getByRole('button').nth(1).click();
  },
  bench: async (page) => {
    await open(page, `/bench/${ID}0001`);
    await station(page, 'Key');
    await thing(page, 'Barley').click();
  },
  'lay-out': async (page) => {
    await open(page, `/bench/${ID}0004`);
    await station(page, 'Lay out');
    await page.locator('[data-bench-scene] .bed').first().click();
  },
  kind: async (page) => {
    await open(page, `/bench/${await found(page, 'kind=gaps')}`);
  },
  proof: async (page) => {
    await open(page, `/bench/${await found(page, 'findings=error')}`);
    await station(page, 'Proof');
    await page.getByText('Working it out…').waitFor({ state: 'detached' });
  },
  rehearse: async (page) => {
    await open(page, `/bench/${ID}0001`);
    await press(page, 'Rehearse');
    await press(page, 'All but one');
  },
  set: (page) => open(page, `/sets/${ID}0303`),
  'on-paper': (page) => open(page, `/sets/${ID}0303/print`),
  course: (page) => open(page, `/courses/${ID}0101`),
  gradebook: (page) => open(page, `/courses/${ID}0101/gradebook`),
  corrections: async (page) => {
    await open(page, `/releases/${ID}0206/editions`);
    await page.getByLabel('Item of How a seed is banked that is right too').selectOption({ label: 'watered' });
    await page.getByLabel('Zone of How a seed is banked it is right in').selectOption({ index: 2 });
    await press(page, 'Widen the key');
    await press(page, 'See what it would do');
    await page.getByRole('dialog').getByTestId('would-change').waitFor();
  },
  results: async (page) => {
    await open(page, `/releases/${ID}0202/results`);
    await page.getByText('reliability').waitFor();
  },
  compare: async (page) => {
    await open(page, `/releases/${ID}0202/compare`);
    await page.getByRole('table').first().waitFor();
    await page.locator('.recharts-surface').first().waitFor();
  },
  retrace: async (page) => {
    await open(page, `/releases/${ID}0202/results`);
    await page
      .getByRole('link', { name: /Retrace/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'To the end' }).click();
  },
};
const LEARNER = {
  'your-work': (page) => open(page, '/'),
  sit: async (page) => {
    await open(page, `/sit/${ID}0201`);
    for (const [item, zone] of [
      ['Barley', 'Stands drying'],
      ['Poppy', 'Stands drying'],
      ['Acorn', 'Must stay moist'],
      ['Gravel', 'Must stay moist'],
    ])
      await put(page, item, zone);
    await press(page, 'Check');
    await page.getByText(/in a wrong place/).waitFor();
  },
};

try {
  const wanted = (scenes) => Object.entries(scenes).filter(([name]) => only.size === 0 || only.has(name));
  for (const [name, scene] of wanted(TEACHER)) {
    const page = await pageOf('odile');
    await scene(page);
    await take(page, name);
    await page.context().close();
  }
  const wren = await pageOf('wren');
  for (const [name, scene] of wanted(LEARNER)) {
    await scene(wren);
    await take(wren, name);
  }
} finally {
  await end();
}
