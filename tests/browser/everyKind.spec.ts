import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { chooseKind, saved, storedQuestion } from './bench';
import { begun, dropFiles, pasted, published, station } from './making';
import { bed, byKeys, byList, byMouse, type Mover, press, type Seat, signedIn, sitDown, tag } from './player';
import { accessible, centre, dragTo, expect, pageTimer, settled, test } from './support';

type Placing = readonly (readonly [item: string, zone: string])[];

/** A kind of question as it is made through the interface, and an answer that is wrong, and one that mends it. */
interface Kind {
  readonly make: (page: Page) => Promise<void>;
  readonly answers: (page: Page) => Promise<Answers>;
}

interface Answers {
  readonly wrong: Placing;
  readonly right: Placing;
}
const answers = (wrong: Placing, right: Placing) => async () => ({ wrong, right });

/** The places of pieces are known by their order, and the names of pieces are drawn. */
async function answersOfBuild(page: Page): Promise<Answers> {
  await saved(page);
  const { items, key } = await storedQuestion(page, new URL(page.url()).pathname.slice('/bench/'.length));
  const right = key.map(({ belongs }, zone): readonly [string, string] => [
    items.find(({ id }) => id === belongs?.[0])?.label ?? '',
    `zone ${zone + 1}`,
  ]);
  return { wrong: [[right[0]?.[0] ?? '', right[1]?.[1] ?? '']], right };
}

const KINDS: Readonly<Record<string, Kind>> = {
  Sort: {
    make: (page) => pasted(page, 'Sort', 'Barley\tDry room\nPoppy\tDry room\nAcorn\tMoist sand', 'Two rooms'),
    answers: answers(
      [['Acorn', 'Dry room']],
      [
        ['Acorn', 'Moist sand'],
        ['Barley', 'Dry room'],
        ['Poppy', 'Dry room'],
      ],
    ),
  },
  Label: {
    make: (page) => pasted(page, 'Label', 'First root\tRadicle\nHalf of the seed\tCotyledon', 'Names of parts'),
    answers: answers(
      [['Radicle', 'Half of the seed']],
      [
        ['Radicle', 'First root'],
        ['Cotyledon', 'Half of the seed'],
      ],
    ),
  },
  Count: {
    async make(page) {
      await begun(page, 'Three sachets');
      await press(page, 'Add a zone');
      await page.getByLabel('Add items').fill('Sachet');
      await press(page, 'Add them');
      await station(page, 'Kind');
      await page.getByLabel('Kind of question').selectOption('count');
      await page.getByLabel('How many of Sachet there are').fill('5');
      await page.keyboard.press('Enter');
      await page.getByLabel('What Zone 1 needs').selectOption('exactly');
      await page.getByLabel('Zone 1: how many').fill('2');
      await page.keyboard.press('Enter');
    },
    answers: answers([['Sachet', 'Zone 1']], [['Sachet', 'Zone 1']]),
  },
  Build: {
    async make(page) {
      await begun(page, 'A rack in two pieces');
      await dropFiles(page, [{ name: 'rack.svg', type: 'image/svg+xml', bytes: readFileSync('demo/media/rack.svg') }]);
      const picture = page.locator('.stage [data-ref^="fixture:"]');
      await expect(picture.locator('img')).toBeVisible();
      await station(page, 'Kind');
      await chooseKind(page, 'Build');
      const make = page.getByRole('button', { name: 'Make it Build' });
      await make
        .or(page.getByRole('button', { name: 'Draw lines to cut along' }))
        .first()
        .waitFor();
      if (await make.isVisible()) await make.click();
      await press(page, 'Draw lines to cut along');
      const box = await picture.boundingBox();
      const at = (x: number, y: number) =>
        page.mouse.click((box?.x ?? 0) + (box?.width ?? 0) * x, (box?.y ?? 0) + (box?.height ?? 0) * y);
      await at(0.4, 0.1);
      await at(0.6, 0.9);
      await expect(page.getByText('The line makes 2 pieces.')).toBeVisible();
      await page.keyboard.press('Escape');
      await press(page, 'Cut along the lines');
      await expect(page.getByText('2 items · 2 zones')).toBeVisible();
      await expect(page.getByRole('button', { name: 'Item Piece 2' }).locator('img')).toBeVisible();
    },
    answers: answersOfBuild,
  },
};

const HANDS: readonly (readonly [name: string, learner: string, move: Mover])[] = [
  ['a mouse', 'sorrel', byMouse],
  ['the keys', 'tansy', byKeys],
  ['lists', 'yarrow', byList],
];

const checked = async ({ page }: Seat, words: string) => {
  await press(page, 'Check');
  await expect(page.getByText(words)).toBeVisible();
};

for (const [kind, { make, answers: answersOf }] of Object.entries(KINDS))
  test(`${kind} is made, published, and answered wrongly and rightly by mouse, keys and lists`, async ({ browser }) => {
    test.slow();
    const teacher = await signedIn(browser, 'odile');
    const page = await teacher.newPage();
    await make(page);
    await accessible(page);
    const { wrong, right } = await answersOf(page);
    const release = await published(page);
    for (const [hand, learner, move] of HANDS)
      await test.step(hand, async () => {
        const seat = await sitDown(browser, learner, release);
        if (hand === 'lists') await press(seat.page, 'As a list');
        for (const [item, zone] of wrong) await move(seat.page, item, zone);
        await checked(seat, kind === 'Count' ? 'Nothing is in a wrong place' : 'One is in a wrong place.');
        if (kind !== 'Count') await press(seat.page, 'Try again');
        for (const [item, zone] of right) await move(seat.page, item, zone);
        await checked(seat, 'All of it is right.');
        expect(seat.said).toEqual([]);
        await seat.context.close();
      });
  });

test('Order with its first entry in place from the start: wrong as it begins, put right by mouse, keys and lists', async ({
  browser,
}) => {
  test.slow();
  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  await pasted(page, 'Order', 'Take in\nWeigh\nDry\nSeal', 'Three steps after the first');
  await press(page, 'Show the first one in its place');
  await expect(page.getByText('Take in stands there from the start')).toBeVisible();
  await expect(page.getByText('3 items · 1 zone')).toBeVisible();
  await accessible(page);
  const release = await published(page);
  const steps = ['Weigh', 'Dry', 'Seal'];

  const mouse = await sitDown(browser, 'sorrel', release);
  await expect(mouse.page.locator('.stage').getByText('Take in')).toBeVisible();
  await checked(mouse, 'Mark 0 of 3');
  for (const name of steps) {
    const zone = await bed(mouse.page, 'In order').boundingBox();
    await dragTo(mouse.page, tag(mouse.page, name), {
      x: (zone?.x ?? 0) + (zone?.width ?? 0) / 2,
      y: (zone?.y ?? 0) + (zone?.height ?? 0) - 6,
    });
  }
  await checked(mouse, 'All of it is right.');

  const keys = await sitDown(browser, 'tansy', release);
  await checked(keys, 'Mark 0 of 3');
  for (const name of steps) await byKeys(keys.page, name, 'In order');
  await checked(keys, 'All of it is right.');

  const lists = await sitDown(browser, 'yarrow', release);
  await press(lists.page, 'As a list');
  await checked(lists, 'Mark 0 of 3');
  // Each in turn to the end: the last that is moved is the last.
  for (const name of steps)
    for (let i = 0; i < 2; i++) {
      const menu = lists.page.getByLabel(`Move ${name}`, { exact: true });
      await menu.click();
      const later = lists.page
        .getByRole('list', { name: `Where ${name} may go` })
        .getByRole('button', { name: 'Later here' });
      if (!(await later.isVisible())) {
        await menu.click();
        break;
      }
      await later.click();
    }
  await checked(lists, 'All of it is right.');
  for (const { said } of [mouse, keys, lists]) expect(said).toEqual([]);
});

test('Mark in a text: words are spots of two kinds, found by mouse, by the keys among all words by name, and as a list', async ({
  browser,
}) => {
  test.slow();
  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  await pasted(page, 'Gaps', 'A seed that was dried keeps for years.', 'Words for drying');
  await page.getByRole('button', { name: /back into the text/ }).click();
  await chooseKind(page, 'Mark');
  const make = page.getByRole('button', { name: 'Make it Mark' });
  await make
    .or(page.getByRole('heading', { name: /^Mark/ }))
    .first()
    .waitFor();
  if (await make.isVisible()) await make.click();
  await press(page, 'dried');
  await press(page, 'seed');
  await expect(page.getByRole('button', { name: 'seed', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await press(page, 'years');
  await press(page, 'years');
  await expect(page.getByRole('button', { name: 'years', exact: true })).toHaveAttribute('aria-pressed', 'false');
  await page.getByLabel('Another kind of marker').fill('Noun');
  await page.keyboard.press('Enter');
  await page.getByLabel('What finds seed').selectOption({ label: 'Noun' });
  await press(page, 'Name every word as a place');
  await expect(page.getByLabel('Name of place 5')).toHaveValue('dried');
  await accessible(page);
  const release = await published(page);

  const mouse = await sitDown(browser, 'sorrel', release);
  await expect(mouse.page.locator('.stage .bed')).toHaveCount(0);
  /** The middle of a word as it is drawn. */
  const word = (words: string) =>
    mouse.page.evaluate(`(() => {
      const walker = document.createTreeWalker(document.querySelector('.stage .fixture'), NodeFilter.SHOW_TEXT);
      for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        const at = node.textContent.indexOf('${words}');
        if (at < 0) continue;
        const range = document.createRange();
        range.setStart(node, at);
        range.setEnd(node, at + ${words.length});
        const box = range.getBoundingClientRect();
        return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
      }
    })()`) as Promise<{ x: number; y: number }>;
  const onto = async (marker: string, words: string) => {
    const from = tag(mouse.page, marker).last();
    const [box, middle, to] = [await from.boundingBox(), await centre(from), await word(words)];
    expect(box).not.toBeNull();
    await dragTo(mouse.page, from, { x: to.x, y: to.y });
    expect(middle.y).toBeGreaterThan(to.y);
  };
  await onto('Marker', 'dried');
  await onto('Marker', 'seed');
  await checked(mouse, 'One is in a wrong place.');
  await press(mouse.page, 'Try again');
  await onto('Noun', 'seed');
  await checked(mouse, 'All of it is right.');

  for (const [learner, asList] of [
    ['tansy', false],
    ['yarrow', true],
  ] as const) {
    const { page: other, said } = await sitDown(browser, learner, release);
    if (asList) await press(other, 'As a list');
    for (const [marker, place] of [
      ['Marker', 'dried'],
      ['Noun', 'seed'],
    ] as const) {
      if (asList) {
        await byList(other, marker, place);
        continue;
      }
      await tag(other, marker).last().focus();
      await other.keyboard.press('Space');
      await expect(tag(other, marker).last()).toHaveAttribute('aria-pressed', 'true');
      await pageTimer(other);
      const heard = other.locator('[aria-live="assertive"]').last();
      for (let i = 0; i < 10 && (await heard.textContent()) !== place; i++) await other.keyboard.press('ArrowRight');
      await other.keyboard.press('Space');
      await settled(other);
    }
    await press(other, 'Check');
    await expect(other.getByText('All of it is right.')).toBeVisible();
    expect(said).toEqual([]);
  }
});

test('Label: leader lines are drawn from zone to place with two presses, and end with Escape', async ({ browser }) => {
  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  await pasted(page, 'Label', 'First root\tRadicle\nHalf of the seed\tCotyledon', 'Lines to places');
  await dropFiles(page, [{ name: 'bean.svg', type: 'image/svg+xml', bytes: readFileSync('demo/media/bean.svg') }]);
  await expect(page.locator('.stage [data-ref^="fixture:"] img')).toBeVisible();
  await press(page, 'Draw leader lines');
  const from = await centre(page.getByRole('button', { name: 'Zone First root' }));
  const stage = await page.locator('.stage').boundingBox();
  await page.mouse.click(from.x, from.y);
  await page.mouse.click((stage?.x ?? 0) + (stage?.width ?? 0) / 2, (stage?.y ?? 0) + (stage?.height ?? 0) * 0.8);
  await expect(page.getByRole('button', { name: 'Fixture Line of First root' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Select', exact: true })).toHaveAttribute('aria-pressed', 'true');
});
