// What the application does when what it stands on fails: a restore cut short, a disk that is full, a database another
// process holds, a clock that jumps.
import { randomUUID } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { rename } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { type App, makeApp } from '../src/server/app';
import { backUp } from '../src/server/backup/backup';
import { finishRestore, restore, takeBackRestore } from '../src/server/backup/restore';
import { readConfig, readConfigForRestore, StartProblem } from '../src/server/config';
import { move } from '../src/server/database/tables';
import { errorForLog } from '../src/server/log';
import { incomingFolder } from '../src/server/media/incoming';
import { endOf, steadyClock, usedBy } from '../src/server/releases/time';
import { canStore, isOfStorage } from '../src/server/storage';
import { course, learner, release, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

/** How many renames still go well; the next one is where the power fails. */
const power = { renames: Number.POSITIVE_INFINITY };
const failing: typeof rename = async (...where) => {
  if (power.renames-- <= 0) throw new Error('The power failed');
  return rename(...where);
};

let app: App;
let folder: string;
let done: () => void;
beforeAll(async () => {
  ({ app, folder, done } = await testApp());
});
afterAll(() => done());

const startOf = (env: Record<string, string>) => () => readConfig({ VAULT_DROP_ROOT: process.cwd(), ...env });
const moveOnce = async (name: string) => {
  const odile = await teacher(app, `odile.${name}`);
  const courseId = await course(odile);
  return sitter(await learner(odile, courseId, name), await release(odile, courseId, seeds({ tries: null })));
};

describe('a start', () => {
  const at = (name: string) => {
    const data = join(folder, name);
    mkdirSync(data);
    return data;
  };
  it('is refused with a sentence where the secret is empty or short, however it came', () => {
    const data = at('empty-secret');
    writeFileSync(join(data, 'secret'), '\n');
    expect(startOf({ VAULT_DROP_DATA: data })).toThrow(/secret in .* is empty\. Delete that file/);
    writeFileSync(join(data, 'secret'), 'short');
    expect(startOf({ VAULT_DROP_DATA: data })).toThrow(/shorter than 32/);
    expect(startOf({ VAULT_DROP_DATA: data, VAULT_DROP_SECRET: 'short' })).toThrow(
      'VAULT_DROP_SECRET has to have 32 characters or more.',
    );
    expect(startOf({ VAULT_DROP_DATA: data, VAULT_DROP_SECRET: 'x'.repeat(32) })()).toMatchObject({
      secret: 'x'.repeat(32),
    });
  });

  it('is refused where data cannot be written, or a number is none', () => {
    expect(startOf({ VAULT_DROP_DATA: '/proc/none' })).toThrow(
      /The folder for data, \/proc\/none, cannot be used: .*Set VAULT_DROP_DATA/,
    );
    const file = join(folder, 'a file');
    writeFileSync(file, '');
    expect(startOf({ VAULT_DROP_DATA: join(file, 'data') })).toThrow(StartProblem);
    for (const name of ['MEDIA_QUOTA_MB', 'KEEP_BIN_DAYS', 'KEEP_LOG_DAYS', 'KEEP_ATTEMPT_DAYS'])
      for (const value of ['many', '0', '-1', 'NaN'])
        expect(startOf({ VAULT_DROP_DATA: at(`${name}${value}`), [name]: value })).toThrow(
          `${name} has to be a number`,
        );
  });

  it('makes a secret once, for its owner alone', () => {
    const data = join(folder, 'first/start');
    const { secret } = startOf({ VAULT_DROP_DATA: data })();
    expect(secret).toHaveLength(43);
    expect(startOf({ VAULT_DROP_DATA: data })().secret).toBe(secret);
    expect(statSync(join(data, 'secret')).mode & 0o077).toBe(0);
    expect(statSync(data).mode & 0o077).toBe(0);
  });
});

describe('a restore that is cut short', () => {
  const shelf = mkdtempSync(join(tmpdir(), 'vault-drop-cut-'));
  afterAll(() => rmSync(shelf, { recursive: true, force: true }));
  const envOf = (name: string) => ({ VAULT_DROP_DATA: join(shelf, name), VAULT_DROP_ROOT: process.cwd() });
  /** The people there are, and the secret: what tells one installation from another. */
  const standsIn = async (name: string) => {
    const config = readConfig(envOf(name));
    const client = createClient({ url: config.databaseUrl });
    const { rows } = await client.execute('select username from user');
    client.close();
    return { people: rows.map(({ username }) => username), secret: config.secret };
  };
  /** A backup of an installation with one teacher, which is all that an installation is. */
  const backupWith = async (username: string) => {
    const made = await makeApp(readConfig(envOf(`of ${username}`)));
    await teacher(made, username);
    await backUp(made.config, join(shelf, username), '0.1.0', new Date());
    return { people: [username], secret: made.config.secret };
  };

  it('keeps the application from starting until it is finished or taken back, wherever it was', async () => {
    const [backedUp, before] = [await backupWith('odile'), await backupWith('tamsin')];
    const from = join(shelf, 'odile');
    const stages: string[] = [];
    for (const way of ['finish', 'take back'] as const)
      for (let renames = 0; ; renames++) {
        const name = `${way} ${renames}`;
        cpSync(join(shelf, 'tamsin'), join(shelf, name), { recursive: true });
        expect(await standsIn(name)).toEqual(before);
        const kept = readConfigForRestore(envOf(name));
        power.renames = renames;
        const cut = await restore(from, kept, new Date(), failing).then(
          () => null,
          (error: Error) => error.message,
        );
        power.renames = Infinity;
        if (cut === null) {
          expect(await standsIn(name)).toEqual(backedUp);
          break;
        }
        expect(cut).toBe('The power failed');
        expect(startOf(envOf(name))).toThrow(/A restore was interrupted.*--finish.*--take-back/);
        await expect(restore(from, kept, new Date())).rejects.toThrow('a restore was interrupted');
        const isCopied = existsSync(join(kept.data, 'restoring', 'swap.json'));
        stages.push(`${way} ${isCopied}`);
        if (way === 'finish' && !isCopied) await expect(finishRestore(kept)).rejects.toThrow('take it back');
        else if (way === 'finish') await finishRestore(kept);
        if (way === 'take back' || !isCopied) await takeBackRestore(kept);
        expect(existsSync(join(kept.data, 'restoring'))).toBe(false);
        expect(await standsIn(name)).toEqual(way === 'finish' && isCopied ? backedUp : before);
      }
    // It was cut short both before everything was copied and at several places afterwards.
    expect(new Set(stages)).toEqual(new Set(['finish false', 'finish true', 'take back false', 'take back true']));
    expect(stages.length).toBeGreaterThan(8);
    await expect(finishRestore(readConfigForRestore(envOf('finish 0')))).rejects.toThrow('No restore was interrupted.');
  }, 60_000);
});

describe('a fault of the storage', () => {
  it('is told from faults of the program: a full disk loses nothing that was answered for', async () => {
    const sat = await moveOnce('wren');
    await sat.take(sat.put('barley', 'dry'));
    const before = await app.db.$count(move);
    const pages = Object.values((await app.db.all<Record<string, number>>(sql.raw('PRAGMA page_count')))[0] ?? {})[0];
    await app.db.run(sql.raw(`PRAGMA max_page_count=${pages}`));
    const failed = await (async () => {
      for (let i = 0; i < 500; i++) await sat.take(sat.put('barley', i % 2 ? 'dry' : 'moist'));
    })().then(
      () => null,
      (error: Error) => error,
    );
    expect(failed && isOfStorage(failed)).toBe(true);
    expect(`${failed} ${failed?.cause}`).toContain('SQLITE_FULL');
    const during = await app.db.$count(move);
    expect(during).toBeGreaterThanOrEqual(before);
    await app.db.run(sql.raw('PRAGMA max_page_count=1073741823'));
    await sat.take(sat.put('barley', 'dry'));
    expect(await app.db.$count(move)).toBe(during + 1);
  });

  it('is found by writing: a folder of media that takes no file is one', async () => {
    expect(await canStore(app)).toBe(true);
    const incoming = incomingFolder(app.config);
    expect(readdirSync(incoming)).toEqual([]);
    rmSync(incoming, { recursive: true });
    writeFileSync(incoming, 'not a folder');
    expect(await canStore(app)).toBe(false);
    rmSync(incoming);
    mkdirSync(incoming);
    expect(await canStore(app)).toBe(true);
  });

  it('a database held by another process is waited for, and nothing else stands still meanwhile', async () => {
    const sat = await moveOnce('ines');
    const other = createClient({ url: app.config.databaseUrl });
    const holding = await other.transaction('write');
    const stored = sat.take(sat.put('barley', 'dry')).then(() => 'stored');
    // The event loop turns while the write waits: each of these is a turn of it.
    for (let i = 0; i < 20; i++)
      expect(await Promise.race([stored, new Promise((resolve) => setTimeout(resolve, 10, 'waits'))])).toBe('waits');
    await holding.rollback();
    expect(await stored).toBe('stored');
    other.close();
  }, 30_000);
});

describe('the log', () => {
  it('has no value of a statement that failed, nor what hangs on an error', async () => {
    const secret = `token-${randomUUID()}`;
    const failed = await app.db.run(sql`insert into nowhere (token) values (${secret})`).then(
      () => null,
      (error: Error) => error,
    );
    expect(JSON.stringify([failed?.message, failed?.stack])).toContain(secret);
    const logged = JSON.stringify(errorForLog(Object.assign(failed ?? {}, { request: { cookie: secret } })));
    expect(logged).toContain('nowhere');
    expect(logged).not.toContain(secret);
  });

  it('says what was thrown that is no error', () => {
    expect(errorForLog('words')).toEqual({ message: 'words' });
    expect(errorForLog(Object.assign(new Error('x'), { code: 'SQLITE_FULL', cause: new Error('y') }))).toMatchObject({
      code: 'SQLITE_FULL',
      cause: { message: 'y' },
    });
  });
});

describe('time used', () => {
  const HOUR = 3_600_000;
  const started = new Date('2026-11-26T10:00:00Z');
  const time = { closesAt: null, minutes: 30 };
  it('is what went by, whatever the clock of the machine is set to', () => {
    for (const jump of [-HOUR, 0, HOUR]) {
      const clocks = {
        now: () => new Date(started.getTime() + 5 * 60_000 + jump),
        steady: () => started.getTime() + 5 * 60_000,
      };
      const used = usedBy({ startedAt: started, usedMs: 0, usedAt: started.getTime() }, clocks);
      expect(used).toBe(5 * 60_000);
      const left = (endOf(used, time, clocks.now())?.getTime() ?? 0) - clocks.now().getTime();
      expect(left).toBe(25 * 60_000);
    }
  });

  it('is never given back by a clock that was set back while nothing ran', () => {
    const clocks = { now: () => new Date(started.getTime() - HOUR) };
    expect(usedBy({ startedAt: started, usedMs: 10 * 60_000, usedAt: started.getTime() }, clocks)).toBe(10 * 60_000);
  });

  it('goes on from the latest time on record, and evenly', () => {
    vi.useFakeTimers({ toFake: ['Date', 'performance'] });
    try {
      vi.setSystemTime(started);
      const clock = steadyClock(started.getTime() + HOUR);
      expect(clock()).toBe(started.getTime() + HOUR);
      vi.setSystemTime(new Date(started.getTime() - 5 * HOUR));
      const at = clock();
      vi.advanceTimersByTime(60_000);
      expect(clock() - at).toBe(60_000);
      expect(at - started.getTime()).toBe(HOUR);
    } finally {
      vi.useRealTimers();
    }
  });
});
