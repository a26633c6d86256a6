import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { eq } from 'drizzle-orm';
import { afterEach, describe, expect, it } from 'vitest';
import { type App, makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import type { As, Learner, Teacher } from '../src/server/context';
import { listCourses } from '../src/server/courses/courses';
import { user } from '../src/server/database/accountTables';
import { release } from '../src/server/database/tables';
import { assignedReleases } from '../src/server/results/assignedReleases';
import { openGradebook } from '../src/server/results/gradebook';
import { listSets, openSet } from '../src/server/vault/sets';
import { must } from './support/app';
import { expectScoresKept } from './support/scores';
import { sitter } from './support/sitting';

const FIXTURES = join(import.meta.dirname, 'fixtures/databases');
const tags = (
  JSON.parse(
    readFileSync(join(import.meta.dirname, '../src/server/database/migrations/meta/_journal.json'), 'utf8'),
  ) as { entries: { tag: string }[] }
).entries.map(({ tag }) => tag);
const names = readdirSync(FIXTURES).map((name) => name.replace('.db.gz', ''));

let folder = '';
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** The application over a database that an earlier version has left. */
async function opened(name: string): Promise<App> {
  folder = mkdtempSync(join(tmpdir(), 'vault-drop-unit-'));
  writeFileSync(join(folder, 'vault-drop.db'), gunzipSync(readFileSync(join(FIXTURES, `${name}.db.gz`))));
  return makeApp(readConfig({ VAULT_DROP_DATA: folder, VAULT_DROP_ROOT: process.cwd() }));
}
async function asOf<Person extends Teacher | Learner>(app: App, username: string): Promise<As<Person>> {
  const found = await app.db.query.user.findFirst({ where: eq(user.username, username) });
  if (!found) throw new Error(`There is no ${username} in the fixture`);
  return { ...app, person: { id: found.id, name: username, username, role: found.role } as Person };
}

describe('a database of an earlier schema version', () => {
  it('is there of the newest: `npm run fixture` makes one after a migration', () => {
    expect(names).toContain(tags.at(-1));
  });

  it.each(names)('%s opens, with all that was in it', async (name) => {
    const app = await opened(name);
    const odile = await asOf<Teacher>(app, 'odile');
    const [course] = await listCourses(odile);
    expect(course?.title).toBe('Tarn Hollow induction');
    const [set] = await listSets(odile);
    expect(set).toMatchObject({ title: 'Drying and storing', questions: 1 });
    expect(must(await openSet(odile, set?.id ?? ''))).toMatchObject({ sections: [{ questions: [{}] }], gone: 0 });
    expect(await app.db.select({ level: release.feedbackLevel, time: release.feedbackTime }).from(release)).toEqual([
      { level: 'modelAnswer', time: 'atOnce' },
    ]);
    expect(await expectScoresKept(app.db)).toBe(1);
    const { rows } = must(await openGradebook(odile, course?.id ?? '', { words: '', sort: 'name' }));
    expect(rows.map(({ username, cells }) => [username, cells[0]?.points, cells[0]?.state])).toEqual([
      ['ash', 2, 'done'],
      ['wren', 1, 'running'],
    ]);
  });

  it.each(names)('%s lets a learner go on in the middle of an attempt', async (name) => {
    const app = await opened(name);
    const wren = await asOf<Learner>(app, 'wren');
    const [assigned] = await assignedReleases(wren);
    const sat = await sitter(wren, assigned?.id ?? '');
    expect(sat.view).toMatchObject({ last: 4, tries: 1, best: { mark: 1, max: 3 } });
    await sat.take(sat.put('acorn', 'moist'));
    expect(await sat.take(sat.move({ kind: 'check' }))).toMatchObject({ tries: 2, ended: true, best: { mark: 3 } });
  });
});
