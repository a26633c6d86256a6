import { randomUUID } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDatabase } from '../src/server/database/open';
import { receiveMoves } from '../src/server/sittings/moves';
import { openRelease } from '../src/server/sittings/openRelease';
import { editQuestion, openQuestion } from '../src/server/vault/questions';
import { type LibsqlServer, libsqlServer } from './standins/libsqlServer';
import { course, learner, must, release, seeds, teacher, testApp } from './support/app';

describe('over a libSQL server', () => {
  let server: LibsqlServer;
  beforeAll(async () => {
    server = await libsqlServer(join(mkdtempSync(join(tmpdir(), 'vault-drop-libsql-')), 'remote.db'), 'token-1');
  });
  afterAll(() => server.close());

  it('migrates, keeps and judges by the same code', async () => {
    const { app, done } = await testApp({ DATABASE_URL: server.url, DATABASE_AUTH_TOKEN: 'token-1' });
    const odile = await teacher(app, 'odile');
    const courseId = await course(odile);
    const wren = await learner(odile, courseId, 'wren');
    const question = seeds();
    const releaseId = await release(odile, courseId, question);
    must(
      await editQuestion(odile, question.id, {
        id: randomUUID(),
        from: 1,
        edits: [{ type: 'setQuestion', field: 'title', to: 'Changed', from: question.title }],
      }),
    );
    expect(must(await openQuestion(odile, question.id)).question.title).toBe('Changed');

    const { open } = must(await openRelease(wren, releaseId));
    const sitting = open as NonNullable<typeof open>;
    const answer = must(
      await receiveMoves(wren, sitting.id, wren.person.id, {
        question: 0,
        after: 0,
        moves: [{ id: randomUUID(), kind: 'check' }],
      }),
    );
    expect(answer.told?.try).toMatchObject({ mark: { mark: 0, max: 3 }, fullMarks: false });
    expect(server.requests()).toBeGreaterThan(10);
    done();
  });

  it('is refused without the token', async () => {
    await expect(
      openDatabase({ databaseUrl: server.url, databaseAuthToken: 'another', root: process.cwd() }),
    ).rejects.toSatisfy((error: Error) => /401/.test(String(error.cause)));
  });
});
