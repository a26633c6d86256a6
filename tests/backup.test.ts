import { spawnSync } from 'node:child_process';
import {
  appendFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { asc, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type App, makeApp } from '../src/server/app';
import { backUp } from '../src/server/backup/backup';
import { restore } from '../src/server/backup/restore';
import { readConfig } from '../src/server/config';
import { move, sitting } from '../src/server/database/tables';
import { publicKeys } from '../src/server/lti/keys';
import { readMedium, storeMedium } from '../src/server/media/media';
import { resultsOf } from '../src/server/results/results';
import { course, learner, must, release, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let folder: string;
let done: () => void;
let shelf: string;
beforeAll(async () => {
  ({ app, folder, done } = await testApp());
  shelf = mkdtempSync(join(tmpdir(), 'vault-drop-backup-'));
});
afterAll(() => {
  done();
  rmSync(shelf, { recursive: true, force: true });
});

const into = (name: string) => readConfig({ VAULT_DROP_DATA: join(shelf, name), VAULT_DROP_ROOT: process.cwd() });
const now = new Date('2026-11-26T10:00:00Z');

describe('a backup', () => {
  it('is made while learners answer, and restored it is the application as it was at one moment', async () => {
    const odile = await teacher(app, 'odile');
    const courseId = await course(odile);
    const releaseId = await release(odile, courseId, seeds({ tries: null }));
    const picture = must(
      await storeMedium(odile, {
        name: 'leaf.svg',
        claimed: 'image/svg+xml',
        bytes: Buffer.from(
          '<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><path d="M0 0h9v9z"/></svg>',
        ),
        room: { width: 100, height: 100 },
      }),
    );
    const sitters = await Promise.all(
      ['ines', 'tam', 'wren'].map(async (name) => sitter(await learner(odile, courseId, name), releaseId)),
    );
    let stop = false;
    const answering = sitters.map(async (sat) => {
      for (let i = 0; !stop; i++) {
        await sat.take(sat.put('barley', i % 2 ? 'moist' : 'dry'));
        await sat.take(sat.move({ kind: 'check' }));
      }
    });
    const atLeast = async (n: number) => {
      while ((await app.db.$count(move)) < n) await new Promise((resolve) => setTimeout(resolve, 5));
    };
    await atLeast(30);
    const manifest = await backUp(app.config, join(shelf, 'backup'), '0.1.0', now);
    const during = await app.db.$count(move);
    await atLeast(during + 30);
    stop = true;
    await Promise.all(answering);
    expect(manifest.media).toEqual([picture.hash]);

    const config = into('restored');
    expect(await restore(join(shelf, 'backup'), config, now)).toMatchObject({
      setAside: null,
      manifest: { madeAt: now.toISOString() },
    });
    const restored = await makeApp(readConfig({ VAULT_DROP_DATA: config.data, VAULT_DROP_ROOT: process.cwd() }));
    expect(await restored.db.all('pragma integrity_check')).toEqual([{ integrity_check: 'ok' }]);
    expect(await restored.db.all('pragma foreign_key_check')).toEqual([]);
    const kept = await restored.db.$count(move);
    expect(kept).toBeGreaterThanOrEqual(30);
    expect(kept).toBeLessThan(await app.db.$count(move));
    // Of each sitting it is a beginning without a gap, and the marks are those that beginning comes to.
    for (const { id } of await app.db.select().from(sitting)) {
      const [here, there] = await Promise.all(
        [app, restored].map(({ db }) => db.select().from(move).where(eq(move.sittingId, id)).orderBy(asc(move.n))),
      );
      expect(there).toEqual(here?.slice(0, there?.length));
      expect(there?.map(({ n }) => n)).toEqual(there?.map((_, i) => i + 1));
    }
    const again = { ...odile, ...restored };
    const checks = await restored.db.select().from(move);
    for (const row of must(await resultsOf(again, releaseId)).rows) {
      const sat = await restored.db.query.sitting.findFirst({ where: eq(sitting.learnerId, row.learnerId) });
      expect(row.tries).toBe(
        checks.filter((check) => check.sittingId === sat?.id && check.body.kind === 'check').length,
      );
    }
    expect(must(await readMedium(again, picture.hash)).bytes.length).toBeGreaterThan(0);
    expect(config.secret).not.toBe(app.config.secret);
    expect(readFileSync(join(config.data, 'secret'), 'utf8')).toBe(app.config.secret);
    expect(statSync(join(config.data, 'secret')).mode & 0o077).toBe(0);
  });

  it('brings back the keys by which platforms know us, for their owner alone', async () => {
    const keys = await publicKeys(app.config, now);
    await backUp(app.config, join(shelf, 'with keys'), '0.1.0', now);
    const config = into('keys');
    await restore(join(shelf, 'with keys'), config, now);
    expect(await publicKeys(config, now)).toEqual(keys);
    expect(statSync(join(config.data, 'lti-keys.json')).mode & 0o077).toBe(0);
    writeFileSync(join(shelf, 'with keys', 'lti-keys.json'), '[]');
    await expect(restore(join(shelf, 'with keys'), into('wrong keys'), now)).rejects.toThrow('The keys in');
  });

  it('takes the place of what is there only while nothing runs, and sets that aside', async () => {
    await expect(restore(join(shelf, 'backup'), app.config, now)).rejects.toThrow(
      'The application is running. Stop it first.',
    );
    expect(await app.db.$count(move)).toBeGreaterThan(0);
    const config = into('second');
    await restore(join(shelf, 'backup'), config, now);
    const { setAside } = await restore(join(shelf, 'backup'), config, now);
    expect(readdirSync(setAside ?? '').sort()).toEqual(['media', 'secret', 'vault-drop.db']);
    expect(existsSync(join(config.data, 'vault-drop.db'))).toBe(true);
    expect(existsSync(join(config.data, 'restoring'))).toBe(false);
  });

  it('is refused where it is not whole, and nothing is touched', async () => {
    const config = into('third');
    await restore(join(shelf, 'backup'), config, now);
    const before = readFileSync(join(config.data, 'vault-drop.db'));
    await expect(restore(join(shelf, 'nothing'), config, now)).rejects.toThrow('no backup');
    for (const [name, spoil, words] of [
      ['database', (at: string) => appendFileSync(join(at, 'vault-drop.db'), ' '), 'database'],
      ['medium', (at: string) => rmSync(join(at, 'media'), { recursive: true }), 'medium'],
      [
        'manifest',
        (at: string) =>
          writeFileSync(join(at, 'backup.json'), '{"format": "vault-drop/backup", "media": ["../../etc/passwd"]}'),
        'no backup',
      ],
    ] as const) {
      const at = join(shelf, `spoilt-${name}`);
      await backUp(app.config, at, '0.1.0', now);
      spoil(at);
      await expect(restore(at, config, now)).rejects.toThrow(words);
    }
    await expect(backUp(app.config, join(shelf, 'backup'), '0.1.0', now)).rejects.toThrow('there already');
    await expect(
      backUp({ ...app.config, databaseUrl: 'http://127.0.0.1:1' }, join(shelf, 'server'), '0.1.0', now),
    ).rejects.toThrow('libSQL server');
    expect(readFileSync(join(config.data, 'vault-drop.db'))).toEqual(before);
  });

  it('is a command', { timeout: 120_000 }, () => {
    const run = (...args: string[]) =>
      spawnSync(process.execPath, ['--import', 'tsx', 'scripts/backup.ts', ...args], {
        encoding: 'utf8',
        env: { ...process.env, VAULT_DROP_DATA: folder, VAULT_DROP_ROOT: process.cwd() },
      });
    const at = join(shelf, 'by command');
    expect(run('backup', at)).toMatchObject({
      status: 0,
      stdout: expect.stringMatching(/Backed up into .*by command: a database of \d+ KB, 1 media\./),
    });
    expect(run('backup', at)).toMatchObject({ status: 1, stderr: expect.stringContaining('there already') });
    expect(run('restore', at)).toMatchObject({ status: 1, stderr: expect.stringContaining('Stop it first') });
    expect(run('restore')).toMatchObject({ status: 2, stderr: expect.stringContaining('Usage') });
  });
});
