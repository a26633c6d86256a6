import { randomUUID } from 'node:crypto';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { newStockList, stockListContent } from '../src/contract';
import { drawnFrom } from '../src/core/kinds';
import type { As, Teacher } from '../src/server/context';
import { storeMedium } from '../src/server/media/media';
import { listLists, makeList, removeList, saveList } from '../src/server/vault/lists';
import { must, teacher, testApp } from './support/app';

let done: () => void;
let odile: As<Teacher>;
let other: As<Teacher>;
beforeEach(async () => {
  const at = await testApp();
  done = at.done;
  odile = await teacher(at.app, 'odile');
  other = await teacher(at.app, 'other');
});
afterEach(() => done());

const ROWS = [
  ['Barley', 'dry'],
  ['Acorn', 'moist'],
];

it('a stock list is made once, kept as it is changed, and taken away; it is its owner’s alone', async () => {
  const id = randomUUID();
  for (let i = 0; i < 2; i++) must(await makeList(odile, { id, title: 'Seeds', rows: ROWS }));
  expect(await listLists(odile)).toMatchObject([{ id, title: 'Seeds', rows: ROWS }]);
  expect(await makeList(other, { id, title: 'Mine', rows: [['x']] })).toMatchObject({ ok: false, code: 'notFound' });
  expect(await saveList(other, id, { title: 'Mine', rows: [['x']] })).toMatchObject({ ok: false, code: 'notFound' });
  must(await removeList(other, id));
  must(await saveList(odile, id, { title: 'Seeds again', rows: [...ROWS, ['Oat', 'dry']] }));
  expect((await listLists(odile))[0]).toMatchObject({ title: 'Seeds again', rows: { length: 3 } });
  expect(await listLists(other)).toEqual([]);
  must(await removeList(odile, id));
  expect(await listLists(odile)).toEqual([]);
});

it('what is no list of lines of texts is refused', () => {
  const refused = (body: unknown) =>
    !stockListContent.isValidSync(typeof body === 'object' ? { from: 1, ...body } : body, { strict: true });
  expect(refused({ title: 'Seeds', rows: ROWS })).toBe(false);
  for (const rows of [
    [],
    [[]],
    ['Barley'],
    [[1]],
    [[null]],
    [['x'.repeat(2001)]],
    Array.from({ length: 2001 }, () => ['x']),
    [Array.from({ length: 13 }, () => 'x')],
  ])
    expect(refused({ title: 'Seeds', rows }), JSON.stringify(rows).slice(0, 40)).toBe(true);
  expect(refused({ title: ' ', rows: ROWS })).toBe(true);
  expect(newStockList.isValidSync({ id: 'no id', title: 'Seeds', rows: ROWS }, { strict: true })).toBe(false);
});

it('lines are drawn by a seed: the same again for the same, each once, in the list’s order', () => {
  const lines = Array.from({ length: 30 }, (_, i) => i);
  const drawn = drawnFrom(lines, 8, 'first');
  expect(drawn).toEqual(drawnFrom(lines, 8, 'first'));
  expect(drawn).not.toEqual(drawnFrom(lines, 8, 'second'));
  expect(drawn).toEqual([...new Set(drawn)].sort((a, b) => a - b));
  expect(drawn).toHaveLength(8);
  expect(drawnFrom(lines, 99, 'first')).toEqual(lines);
});

it('a list’s pictures are its owner’s own', async () => {
  const svg = Buffer.from(
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><rect width="10" height="10"/></svg>',
  );
  const { hash, weight } = must(
    await storeMedium(odile, {
      name: 'ear.svg',
      claimed: 'image/svg+xml',
      bytes: svg,
      room: { width: 100, height: 100 },
    }),
  );
  const pictures = [{ word: 'Barley', hash, weight, description: 'An ear' }];
  const id = randomUUID();
  must(await makeList(odile, { id, title: 'Seeds', rows: ROWS, pictures }));
  expect(await listLists(odile)).toMatchObject([{ pictures }]);
  for (const refused of [
    await makeList(other, { id: randomUUID(), title: 'Seeds', rows: ROWS, pictures }),
    await saveList(odile, id, {
      title: 'Seeds',
      rows: ROWS,
      pictures: [{ ...pictures[0], hash: 'b'.repeat(64) } as never],
    }),
  ])
    expect(refused).toMatchObject({ ok: false, code: 'invalid', problems: [{ path: 'pictures[0]' }] });
});
