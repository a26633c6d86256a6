// `npm run fixture`: writes a small database of the present schema version to tests/fixtures/databases/, under the tag
// of the newest migration. Later versions have to open it (tests/schemaVersions.test.ts).
import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { sql } from 'drizzle-orm';
import { setMark } from '../src/server/results/handMarks';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { course, inOrder, learner, must, release, seeds, teacher, testApp } from '../tests/support/app';
import { sitter } from '../tests/support/sitting';

const root = join(import.meta.dirname, '..');
const journal = JSON.parse(readFileSync(join(root, 'src/server/database/migrations/meta/_journal.json'), 'utf8')) as {
  entries: { tag: string }[];
};
const tag = journal.entries.at(-1)?.tag ?? '';

const { app, folder, done } = await testApp();
const odile = await teacher(app, 'odile');
const courseId = await course(odile);
const question = seeds({ id: randomUUID() });
const releaseId = await release(odile, courseId, question);
const setId = randomUUID();
must(await makeSet(odile, setId, 'Drying and storing'));
must(await saveSet(odile, setId, { title: 'Drying and storing', goBack: true, sections: inOrder([question.id]) }));
const [wren, ash] = [await learner(odile, courseId, 'wren'), await learner(odile, courseId, 'ash')];
// One who is in the middle of an attempt, after a try; one with a mark by hand.
const sat = await sitter(wren, releaseId);
for (const [item, zone] of [
  ['barley', 'dry'],
  ['acorn', 'dry'],
] as const)
  await sat.take(sat.put(item, zone));
await sat.take(sat.move({ kind: 'check' }));
await sat.take(sat.put('poppy', 'dry'));
must(await setMark(odile, releaseId, ash.person.id, { points: 2, reason: 'Answered aloud' }));
await app.db.run(sql`vacuum into ${join(folder, 'fixture.db')}`);
const file = join(root, 'tests/fixtures/databases', `${tag}.db.gz`);
writeFileSync(file, gzipSync(readFileSync(join(folder, 'fixture.db')), { level: 9 }));
done();
console.log(file);
process.exit(0);
