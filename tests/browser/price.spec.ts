import { Priced } from './price';
import { accessible, centre, dragTo, expect, newTeacher, open, signIn, test } from './support';

// What making a question costs, in seconds of the keystroke-level model, from the first page after sign-in.

const SVG = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" width="640" height="400"><title>A seed</title><ellipse cx="320" cy="200" rx="280" ry="160" fill="#e8dcb8" stroke="#333"/></svg>',
);
const PICTURE = { name: 'seed.svg', mimeType: 'image/svg+xml', buffer: SVG };
const TWELVE = 'Husk Coat Germ Root Shoot Scar Pore Stem Bran Food Wing Hair'.split(' ');

test.use({ permissions: ['clipboard-read', 'clipboard-write'] });
test.beforeEach(async ({ page }) => {
  const { username, password } = await newTeacher();
  await signIn(page, username, password);
  await open(page, '/vault');
  await expect(page.getByLabel('Paste a list, a table or a text')).toBeVisible();
});

/** Rehearse is open with so many items. */
async function rehearsed(by: Priced, items: number): Promise<void> {
  await by.press(by.page.getByRole('button', { name: 'Rehearse', exact: true }));
  await expect(by.page.locator('.playing .movable')).toHaveCount(items);
}

function costs(by: Priced, what: string, most: number): void {
  console.log(`${what}: ${by.seconds} s of at most ${most}`);
  expect(by.seconds).toBeLessThanOrEqual(most);
}

test('six items are sorted by hand', async ({ page }) => {
  const by = new Priced(page);
  await by.press(page.getByRole('link', { name: 'New question' }));
  await expect(page.getByLabel('Group 1', { exact: true })).toBeFocused();
  for (const [group, items] of [
    ['Dry', 'Barley\nPoppy\nRye'],
    ['Moist', 'Acorn\nWillow\nOak'],
  ] as const) {
    await by.write(group);
    await by.key('Tab');
    await by.write(items);
    await by.key('Tab');
  }
  await by.press(page.getByRole('button', { name: 'Make it' }));
  await rehearsed(by, 6);
  await expect(page).toHaveTitle(/Vault Drop/);
  costs(by, 'a Sort of six items by hand', 45);
});

test('six items are sorted from a list that is pasted', async ({ page }) => {
  const by = new Priced(page);
  await by.press(page.getByLabel('Paste a list, a table or a text'));
  await by.paste('Dry:\nBarley\nPoppy\nRye\nMoist:\nAcorn\nWillow\nOak');
  await by.press(page.getByRole('button', { name: 'Make it' }));
  await page.waitForURL(/\/bench\/[0-9a-f-]{36}$/);
  await rehearsed(by, 6);
  costs(by, 'a Sort of six items by paste', 15);
});

test('twelve places of a picture are named', async ({ page }) => {
  const by = new Priced(page);
  await by.press(page.getByRole('link', { name: /^Label/ }));
  await by.press(page.getByRole('button', { name: 'Choose a picture…' }));
  await by.file(page.getByRole('button', { name: 'Choose a file…' }), PICTURE);
  const picture = page.locator('[data-bench-scene] .fixture');
  await expect(picture).toBeVisible();
  for (const [i, name] of TWELVE.entries()) {
    await by.pressAt(picture, 0.14 + 0.24 * (i % 4), 0.2 + 0.3 * Math.floor(i / 4));
    await expect(page.getByLabel('What belongs here')).toBeFocused();
    await by.write(name);
    await by.key('Enter');
  }
  await rehearsed(by, 12);
  costs(by, 'a picture with twelve names', 90);
});

/** Four seeds, and four places for them by name, in one group, as a drawing program writes it. */
const DRAWING = {
  name: 'seeds.svg',
  mimeType: 'image/svg+xml',
  buffer: Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 800 400"><g id="layer1" transform="translate(10 10)">
      <rect id="ground" x="0" y="0" width="780" height="380" fill="#f4f0e6"/>
      ${['Barley', 'Acorn', 'Poppy', 'Oat']
        .map(
          (name, i) =>
            `<g id="part${i}"><title>${name}</title><ellipse cx="${90 + 190 * i}" cy="320" rx="50" ry="26" fill="#8a6d3b"/><path d="M${60 + 190 * i} 320h60" stroke="#333"/></g>
             <path id="${name.toLowerCase()}_place" d="M${40 + 190 * i} 60h100l20 60l-20 60h-100z" fill="#fff" stroke="#333"/>`,
        )
        .join('')}</g></svg>`,
  ),
};

test('a drawing of eight parts is taken apart: what it names becomes items, zones and their key', async ({ page }) => {
  const by = new Priced(page);
  await by.press(page.getByRole('link', { name: /^Label/ }));
  await by.press(page.getByRole('button', { name: 'Choose a picture…' }));
  await by.file(page.getByRole('button', { name: 'Choose a file…' }), DRAWING);
  await by.press(page.getByRole('button', { name: 'Take it apart…' }));
  const dialog = page.getByRole('dialog', { name: 'Take the drawing apart' });
  await expect(dialog.getByRole('listitem')).toHaveCount(9);
  await expect(dialog.getByLabel('What ground becomes')).toHaveValue('fixture');
  await accessible(page);
  await by.press(dialog.getByRole('button', { name: 'Take it apart', exact: true }));
  await expect(page.locator('[data-bench-scene] .bed')).toHaveCount(4);
  await rehearsed(by, 4);
  costs(by, 'a drawing of eight parts', 60);
  await dragTo(page, page.locator('.playing .movable').first(), await centre(page.locator('.playing .bed').first()));
  await page.getByRole('dialog', { name: 'Rehearse' }).getByRole('button', { name: 'Check' }).click();
  await expect(page.getByText('0.25').or(page.getByText('1 of 4')).first()).toBeVisible();
});

test('each kind comes from nothing to a rehearsal', async ({ page }) => {
  const kind = async (name: string): Promise<Priced> => {
    await open(page, '/bench/new');
    const by = new Priced(page);
    await by.press(page.locator('label', { hasText: new RegExp(`^${name}`) }));
    return by;
  };
  const make = (by: Priced) => by.press(page.getByRole('button', { name: 'Make it' }));

  const order = await kind('Order');
  await order.press(page.getByLabel('The entries in the right order'));
  await order.write('Dry it\nWeigh it\nSeal it\nFreeze it');
  await make(order);
  await rehearsed(order, 4);
  costs(order, 'Order', 120);

  const pick = await kind('Pick');
  await pick.press(page.getByLabel('Choice 1', { exact: true }));
  for (const choice of ['Silica gel', 'Wet sand', 'Peat']) {
    await pick.write(choice);
    await pick.key('Tab');
    await pick.key('Tab');
  }
  await make(pick);
  await rehearsed(pick, 3);
  costs(pick, 'Pick', 120);

  const count = await kind('Count');
  await count.press(page.getByLabel('What is counted'));
  await count.write('Sachet');
  await count.key('Tab');
  await count.write('8');
  await count.key('Tab');
  await count.write('Jar');
  await count.key('Tab');
  await count.write('3');
  await make(count);
  await rehearsed(count, 1);
  costs(count, 'Count', 120);

  const gaps = await kind('Gaps');
  await gaps.press(page.getByLabel('Text of the question'));
  await gaps.write('Seed is dried before it is sealed.');
  await gaps.press(page.getByRole('button', { name: 'Use this text' }));
  await gaps.press(page.getByRole('button', { name: 'Lift “dried” out' }));
  await gaps.press(page.getByRole('button', { name: 'Lift “sealed” out' }));
  await rehearsed(gaps, 2);
  costs(gaps, 'Gaps', 120);

  const mark = await kind('Mark');
  await mark.press(page.getByRole('button', { name: 'Choose a picture…' }));
  await mark.file(page.getByRole('button', { name: 'Choose a file…' }), PICTURE);
  const picture = page.locator('[data-bench-scene] .fixture');
  await expect(picture).toBeVisible();
  for (const x of [0.2, 0.5, 0.8]) await mark.pressAt(picture, x, 0.5);
  await rehearsed(mark, 1);
  costs(mark, 'Mark', 120);

  const build = await kind('Build');
  await build.press(page.getByRole('button', { name: 'begin with the finished example' }));
  await build.press(page.getByRole('button', { name: 'Rehearse', exact: true }));
  await expect(page.locator('.playing .movable').first()).toBeVisible();
  costs(build, 'Build', 120);

  const free = await kind('Free');
  await free.press(page.getByRole('button', { name: 'begin with the finished example' }));
  await free.press(page.getByRole('button', { name: 'Rehearse', exact: true }));
  await expect(page.locator('.playing .movable').first()).toBeVisible();
  costs(free, 'Free', 120);
});
