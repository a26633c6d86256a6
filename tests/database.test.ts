import { randomUUID } from 'node:crypto';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { App } from '../src/server/app';
import { requestCount } from '../src/server/database/accountTables';
import { canWrite, openDatabase } from '../src/server/database/open';
import { edition, move } from '../src/server/database/tables';
import { vocabularyTriggers } from '../src/server/database/vocabularies';
import { receiveMoves } from '../src/server/sittings/moves';
import { openRelease } from '../src/server/sittings/openRelease';
import { course, learner, must, release, seeds, teacher, testApp } from './support/app';

let app: App;
let done: () => void;
beforeAll(async () => {
  ({ app, done } = await testApp());
});
afterAll(() => done());

const pragma = async (db: Pick<App['db'], 'all'>, name: string) =>
  Object.values((await db.all<Record<string, unknown>>(sql.raw(`PRAGMA ${name}`)))[0] ?? {})[0];

describe('a database from before', () => {
  it('is copied before its tables are changed, for its owner only, and opens', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'vault-drop-before-'));
    const migrations = 'src/server/database/migrations';
    cpSync(join(process.cwd(), migrations), join(folder, migrations), { recursive: true });
    const journal = join(folder, migrations, 'meta/_journal.json');
    const all = JSON.parse(readFileSync(journal, 'utf8')) as { entries: { tag: string }[] };
    const last = all.entries.at(-1)?.tag ?? '';
    writeFileSync(journal, JSON.stringify({ ...all, entries: all.entries.slice(0, -1) }));
    const file = join(folder, 'old.db');
    const config = { databaseUrl: `file:${file}`, databaseAuthToken: undefined };
    const copy = `${file}.before-${last}`;

    const old = await openDatabase({ ...config, root: folder });
    await old.insert(requestCount).values({ key: 'from before', count: 1, since: 0 });
    expect(existsSync(copy)).toBe(false);
    const now = await openDatabase({ ...config, root: process.cwd() });
    expect(await now.select().from(requestCount)).toMatchObject([{ key: 'from before' }]);
    expect(statSync(copy).mode & 0o777).toBe(0o600);
    const copied = await openDatabase({ ...config, databaseUrl: `file:${copy}`, root: folder });
    expect(await copied.select().from(requestCount)).toMatchObject([{ key: 'from before' }]);
    // What is up to date is not copied again.
    const { mtimeMs } = statSync(copy);
    await openDatabase({ ...config, root: process.cwd() });
    expect([statSync(copy).mtimeMs, existsSync(`${file}.before-undefined`)]).toEqual([mtimeMs, false]);
    rmSync(folder, { recursive: true });
  });
});

describe('the tables', () => {
  it('refuse a word that is not in the vocabulary of its column', async () => {
    const rows = await app.db.all<{ name: string; sql: string }>(
      sql`select name, sql from sqlite_master where type = 'trigger' and sql like '%not in the vocabulary%'`,
    );
    expect(new Map(rows.map(({ name, sql }) => [name, sql]))).toEqual(vocabularyTriggers());
    const odile = await teacher(app, 'odile-words');
    const releaseId = await release(odile, await course(odile), seeds());
    const setCounts = (counts: string) =>
      app.db
        .run(sql`update release set counts = ${counts} where id = ${releaseId}`)
        .catch((error: Error) => String(error.cause));
    expect(await setCounts('worst')).toContain('not in the vocabulary of release.counts');
    expect(await setCounts('last')).toMatchObject({ rowsAffected: 1 });
  });

  it('find by an index what refers to what can be deleted', async () => {
    const rows = <Row>(query: string) => app.db.all<Row>(sql.raw(query));
    // Teachers are not deleted: columns that name who did something are looked through by nobody.
    const whoDid = /^(by|author_id|owner_id|released_by)$/;
    const without: string[] = [];
    for (const { name: table } of await rows<{ name: string }>(
      "select name from sqlite_master where type = 'table' and name not like 'sqlite_%'",
    )) {
      const keys = await rows<{ from: string; seq: number }>(`pragma foreign_key_list('${table}')`);
      const columns = await rows<{ name: string; pk: number }>(`pragma table_info('${table}')`);
      const indexed = new Set(columns.filter(({ pk }) => pk === 1).map(({ name }) => name));
      for (const { name } of await rows<{ name: string }>(`pragma index_list('${table}')`))
        indexed.add((await rows<{ name: string }>(`pragma index_info('${name}')`))[0]?.name ?? '');
      without.push(
        ...keys
          .filter(({ from, seq }) => seq === 0 && !whoDid.test(from) && !indexed.has(from))
          .map(({ from }) => `${table}.${from}`),
      );
    }
    expect(without).toEqual([]);
  });
});

describe('the connection', () => {
  it('keeps its PRAGMAs on every call and in every transaction, under parallel load', async () => {
    const expected = { foreign_keys: 1, synchronous: 2, busy_timeout: 100, journal_mode: 'wal' };
    const readAll = async (db: Pick<App['db'], 'all'>) =>
      Object.fromEntries(await Promise.all(Object.keys(expected).map(async (name) => [name, await pragma(db, name)])));
    const results = await Promise.all(
      Array.from({ length: 60 }, (_, i) =>
        i % 3 === 0
          ? app.db.transaction(async (tx) => {
              await tx.insert(requestCount).values({ key: `load-${i}`, count: 1, since: 0 });
              return readAll(tx);
            })
          : readAll(app.db),
      ),
    );
    for (const result of results) expect(result).toEqual(expected);
    expect(await app.db.select().from(requestCount)).toHaveLength(20);
  });

  it('rolls back what throws, and goes on', async () => {
    await expect(
      app.db.transaction(async (tx) => {
        await tx.insert(requestCount).values({ key: 'gone', count: 1, since: 0 });
        throw new Error('on purpose');
      }),
    ).rejects.toThrow('on purpose');
    expect((await app.db.select().from(requestCount)).some(({ key }) => key === 'gone')).toBe(false);
  });

  it('refuses a call on itself inside a transaction, which would wait for ever', async () => {
    await expect(app.db.transaction(async () => app.db.select().from(requestCount))).rejects.toSatisfy((error: Error) =>
      /inside a transaction/.test(`${error.message} ${error.cause}`),
    );
  });

  it('says that it cannot be written while another process holds it, and is well again afterwards', async () => {
    const other = createClient({ url: app.config.databaseUrl });
    const holding = await other.transaction('write');
    expect(await canWrite(app.db)).toBe(false);
    await holding.rollback();
    expect(await canWrite(app.db)).toBe(true);
    other.close();
  }, 30_000);

  it('holds foreign keys', async () => {
    await expect(
      app.db
        .insert(edition)
        .values({ releaseId: 'nowhere', number: 1, content: { questions: [] }, createdAt: new Date() }),
    ).rejects.toSatisfy((error: Error) => /FOREIGN KEY/.test(String(error.cause)));
  });
});

describe('the record', () => {
  it('cannot be altered: neither an edition nor a move', async () => {
    const odile = await teacher(app, 'odile');
    const courseId = await course(odile);
    const wren = await learner(odile, courseId, 'wren');
    const releaseId = await release(odile, courseId, seeds());
    const { open } = must(await openRelease(wren, releaseId));
    const sitting = open as NonNullable<typeof open>;
    must(
      await receiveMoves(wren, sitting.id, wren.person.id, {
        question: 0,
        after: 0,
        moves: [{ id: randomUUID(), kind: 'reset' }],
      }),
    );
    const refused = (words: string) => (error: Error) => String(error.cause).includes(words);
    await expect(app.db.update(edition).set({ number: 2 })).rejects.toSatisfy(refused('an edition cannot be changed'));
    await expect(app.db.delete(edition)).rejects.toSatisfy(refused('an edition cannot be deleted'));
    await expect(app.db.update(move).set({ n: 2 })).rejects.toSatisfy(refused('a move cannot be changed'));
    await expect(app.db.delete(move)).rejects.toSatisfy(refused('a move cannot be deleted'));
  });
});
