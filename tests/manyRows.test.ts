import { asc } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { App } from '../src/server/app';
import { user } from '../src/server/database/accountTables';
import { isAmong, manyRows } from '../src/server/database/manyRows';
import { course, learner, teacher, testApp } from './support/app';

let app: App;
let done: () => void;
beforeAll(async () => {
  ({ app, done } = await testApp());
  const odile = await teacher(app, 'odile');
  const courseId = await course(odile);
  for (const name of ['wren', 'ash', 'linden']) await learner(odile, courseId, name);
});
afterAll(() => done());

describe('many rows', () => {
  it('are those of the query, in its order', async () => {
    const query = app.db.select({ name: user.name, at: user.createdAt }).from(user).orderBy(asc(user.name));
    const rows = await query;
    expect(rows.length).toBe(4);
    expect(await manyRows(app.db, query, ['name', 'at'])).toEqual(
      rows.map(({ name, at }) => ({ name, at: at.getTime() })),
    );
  });

  it('may be none', async () => {
    const query = app.db.select({ name: user.name }).from(user).where(isAmong(user.name, []));
    expect(await manyRows(app.db, query, ['name'])).toEqual([]);
  });

  it('are found among any number of values, whatever is in them', async () => {
    const values = Array.from({ length: 40_000 }, (_, i) => `nobody "${i}'`);
    const found = await app.db
      .select({ name: user.name })
      .from(user)
      .where(isAmong(user.name, [...values, 'wren', 'ash']));
    expect(found.map(({ name }) => name).toSorted()).toEqual(['ash', 'wren']);
  });
});
