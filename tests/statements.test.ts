import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { Statement } from '../src/formats/xapi';
import { isAdmin } from '../src/server/accounts/installation';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { user } from '../src/server/database/accountTables';
import { outbox, recordStore, sitting } from '../src/server/database/tables';
import { goesOutside } from '../src/server/lti/outside';
import { sendDue } from '../src/server/outboxRunner';
import { changeSettings, openSettings } from '../src/server/releases/settings';
import { applyEdition, makeEdition } from '../src/server/results/corrections';
import { setMark } from '../src/server/results/handMarks';
import { eraseLearner } from '../src/server/results/personal';
import { finish } from '../src/server/sittings/finish';
import { reopen } from '../src/server/sittings/reopen';
import { keepHomePage } from '../src/server/xapi/identity';
import { nameRecordStore, openRecordStore, removeRecordStore, sendToStoreAgain } from '../src/server/xapi/recordStore';
import { statementsFile } from '../src/server/xapi/statementsFile';
import { KEY, noStatements, RecordStore, SECRET } from '../src/stand-ins/recordStore/recordStore';
import { course, learner, must, release, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';
import { problemsOf } from './support/statements';

let app: App;
let done: () => void;
let as: As<Teacher>;
let courseId: string;
let server: Server;
let address: string;
let kept = noStatements();
/** What the store answers instead of itself. */
let instead: ((sent: unknown[], headers: Record<string, unknown>) => Response | null) | null = null;
let posts = 0;
let people = 0;

beforeAll(async () => {
  ({ app, done } = await testApp({ LTI_LOOPBACK: '1' }));
  await keepHomePage(app, 'https://questions.tarnhollow.example');
  as = await teacher(app, 'odile');
  await app.db.update(user).set({ isAdmin: true }).where(eq(user.id, as.person.id));
  expect(await isAdmin(as)).toBe(true);
  courseId = await course(as);
  server = createServer((incoming, outgoing) => {
    void (async () => {
      const parts: Buffer[] = [];
      for await (const part of incoming) parts.push(part as Buffer);
      const body = Buffer.concat(parts).toString();
      posts++;
      const store = new RecordStore(kept);
      const answer =
        instead?.(JSON.parse(body) as unknown[], incoming.headers) ??
        (await store.answer(
          new Request(`http://store${incoming.url}`, {
            method: incoming.method ?? 'GET',
            headers: incoming.headers as Record<string, string>,
            body,
          }),
          (incoming.url ?? '').replace('/store/', ''),
          '',
        ));
      outgoing.writeHead(answer.status, Object.fromEntries(answer.headers)).end(await answer.text());
    })();
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/store/`;
});
afterAll(async () => {
  await new Promise((closed) => server.close(closed));
  done();
});
beforeEach(async () => {
  kept = noStatements();
  instead = null;
  posts = 0;
  must(await removeRecordStore(as));
});

const someone = () => learner(as, courseId, `learner${++people}`);
const published = () => release(as, courseId, { ...seeds(), id: `q-${randomUUID()}` as never });
const name = async (names = false) => must(await nameRecordStore(as, { address, key: KEY, secret: SECRET, names }));
const lines = async (releaseId: string): Promise<Statement[]> => {
  const all: Statement[] = [];
  for await (const line of must(await statementsFile(as, releaseId)).lines) all.push(JSON.parse(line) as Statement);
  return all;
};
const verbsOf = (statements: readonly { readonly verb: { readonly id: string } }[]) =>
  statements.map(({ verb }) => verb.id.split('/').at(-1));
const hurry = () => app.db.update(outbox).set({ dueAt: new Date(0) });

/** A wrong try, then a right one, then the end. */
async function worked(who: As<Learner>, releaseId: string): Promise<string> {
  const at = await sitter(who, releaseId);
  await at.take(at.put('acorn', 'dry'));
  await at.take(at.move({ kind: 'check' }));
  for (const [item, zone] of [
    ['barley', 'dry'],
    ['poppy', 'dry'],
    ['acorn', 'moist'],
  ] as const)
    await at.take(at.put(item, zone));
  await at.take(at.move({ kind: 'check' }));
  must(await finish(who, at.view.id));
  return at.view.id;
}

describe('the statements of a release', () => {
  it('tell an attempt from its beginning to its end, and a validator finds no fault', async () => {
    const [releaseId, who] = [await published(), await someone()];
    expect(await lines(releaseId)).toEqual([]);
    const sittingId = await worked(who, releaseId);
    const all = await lines(releaseId);
    expect(verbsOf(all)).toEqual(['initialized', 'answered', 'answered', 'completed']);
    expect(all.flatMap(problemsOf)).toEqual([]);
    const [, first, second, end] = all;
    const base = 'https://questions.tarnhollow.example';
    expect(first).toMatchObject({
      actor: { objectType: 'Agent', account: { homePage: base, name: who.person.id } },
      object: { id: expect.stringMatching(/\/questions\/[^?]+\?edition=1$/) },
      result: {
        ...{ success: false, response: 'acorn[.]dry' },
        extensions: { [`${base}/xapi/attempt`]: 1 },
      },
      context: {
        registration: sittingId,
        contextActivities: {
          parent: [{ id: `${base}/releases/${releaseId}` }],
          grouping: [{ id: `${base}/courses/${courseId}` }],
        },
      },
    });
    expect(second?.result).toMatchObject({ success: true, response: 'barley[.]dry[,]poppy[.]dry[,]acorn[.]moist' });
    expect(second?.object.definition).toMatchObject({
      correctResponsesPattern: ['barley[.]dry[,]poppy[.]dry[,]acorn[.]moist'],
    });
    expect(end?.result).toMatchObject({ completion: true, score: second?.result?.score });
    expect(JSON.stringify(all)).not.toMatch(/learner\d/);
    expect(await lines(releaseId)).toEqual(all);
  });

  it('say who passed, where a release has a pass mark', async () => {
    const [releaseId, good, other] = [await published(), await someone(), await someone()];
    const { settings, revision } = must(await openSettings(as, releaseId));
    must(await changeSettings(as, releaseId, { ...settings, passMark: 60 }, revision));
    await worked(good, releaseId);
    const at = await sitter(other, releaseId);
    await at.take(at.put('acorn', 'dry'));
    must(await finish(other, at.view.id));
    const all = await lines(releaseId);
    const of = (who: As<Learner>) => all.filter(({ actor }) => actor.account.name === who.person.id);
    expect(verbsOf(of(good)).slice(-2)).toEqual(['completed', 'passed']);
    // What lay there unchecked is one try, at the end.
    expect(verbsOf(of(other))).toEqual(['initialized', 'answered', 'completed', 'failed']);
    expect(of(other)[1]?.timestamp).toBe(of(other)[2]?.timestamp);
    expect(of(other)[3]?.result).toMatchObject({ success: false });
    expect(all.flatMap(problemsOf)).toEqual([]);
  });

  it('never change: a correction and a mark by hand are further ones, about what was answered', async () => {
    const [releaseId, who] = [await published(), await someone()];
    const at = await sitter(who, releaseId);
    await at.take(at.put('gravel', 'dry'));
    await at.take(at.move({ kind: 'check' }));
    must(await finish(who, at.view.id));
    const before = await lines(releaseId);
    const change = { question: 0, accept: [{ item: 'gravel', zone: 'dry' }], strike: false, marks: null };
    must(await makeEdition(as, releaseId, 2, { reason: '', changes: [change as never] }));
    must(await applyEdition(as, releaseId, 2));
    const after = await lines(releaseId);
    expect(after).toEqual(expect.arrayContaining(before));
    const added = after.filter(({ id }) => !before.some((known) => known.id === id));
    expect(verbsOf(added)).toEqual(['scored', 'scored']);
    expect(added.map(({ context }) => context.statement?.id)).toEqual([
      before.find(({ verb }) => verb.id.endsWith('answered'))?.id,
      before.find(({ verb }) => verb.id.endsWith('completed'))?.id,
    ]);
    expect(added[0]?.object.id).toMatch(/\?edition=2$/);
    must(await setMark(as, releaseId, who.person.id, { points: 1, reason: 'Said it aloud' }));
    const byHand = await lines(releaseId);
    expect(byHand).toEqual(expect.arrayContaining(after));
    expect(byHand.at(-1)).toMatchObject({ verb: { display: { en: 'scored' } }, result: { score: { raw: 1 } } });
    expect(byHand.flatMap(problemsOf)).toEqual([]);
    expect(JSON.stringify(byHand)).not.toContain('aloud');
  });

  it('of an attempt that was reopened are others than those of its first end', async () => {
    const [releaseId, who] = [await published(), await someone()];
    const at = await sitter(who, releaseId);
    await at.take(at.put('acorn', 'dry'));
    must(await finish(who, at.view.id));
    const first = await lines(releaseId);
    must(await reopen(as, releaseId, at.view.id, null));
    expect(verbsOf(await lines(releaseId))).toEqual(['initialized']);
    const again = await sitter(who, releaseId);
    await again.take(again.put('acorn', 'moist'));
    must(await finish(who, at.view.id));
    const second = await lines(releaseId);
    expect(verbsOf(second)).toEqual(verbsOf(first));
    expect(second.slice(1).map(({ id }) => id)).not.toEqual(expect.arrayContaining([first[1]?.id]));
    expect(second.slice(1).map(({ id }) => id)).not.toEqual(expect.arrayContaining([first[2]?.id]));
  });

  it('are not for a teacher of another course', async () => {
    const releaseId = await published();
    const other = await teacher(app, `other${++people}`);
    expect(await statementsFile(other, releaseId)).toMatchObject({ ok: false, code: 'notFound' });
  });
});

describe('a record store', () => {
  it('gets what comes about from then on, each once, and all when it is asked for', async () => {
    const [releaseId, early, late] = [await published(), await someone(), await someone()];
    await worked(early, releaseId);
    await name();
    await sendDue(app);
    expect(kept.statements).toEqual([]);
    await worked(late, releaseId);
    await sendDue(app);
    const mine = (await lines(releaseId)).filter(({ actor }) => actor.account.name === late.person.id);
    expect(kept.statements.map(({ stored: _, ...statement }) => statement)).toEqual(mine);
    const sent = posts;
    await sendDue(app);
    expect(posts).toBe(sent);
    expect(must(await sendToStoreAgain(as, true)).waiting).toBeGreaterThanOrEqual(2);
    await sendDue(app);
    expect(kept.statements.map(({ id }) => id)).toEqual(
      expect.arrayContaining((await lines(releaseId)).map(({ id }) => id)),
    );
    expect(new Set(kept.statements.map(({ id }) => id)).size).toBe(kept.statements.length);
    expect(must(await openRecordStore(as))).toMatchObject({ waiting: 0, failed: 0, reason: '' });
  });

  it('that is down gets it later, and its secret is never shown', async () => {
    await name(true);
    const [releaseId, who] = [await published(), await someone()];
    kept.down = true;
    await worked(who, releaseId);
    await sendDue(app);
    const view = must(await openRecordStore(as));
    expect(view).toMatchObject({ waiting: 1, reason: 'The record store answers with status 503.' });
    expect(JSON.stringify(view)).not.toContain(SECRET);
    const [row] = await app.db.select().from(recordStore);
    expect(row?.secret).not.toContain(SECRET);
    kept.down = false;
    await hurry();
    await sendDue(app);
    expect(verbsOf(kept.statements)).toEqual(['initialized', 'answered', 'answered', 'completed']);
    expect(kept.statements[0]?.actor.name).toBe(who.person.name);
    expect(must(await openRecordStore(as))).toMatchObject({ waiting: 0, arrived: 1 });
  });

  it('that takes less at once gets it in halves; one that has another statement of ours keeps it', async () => {
    await name();
    const [releaseId, who] = [await published(), await someone()];
    await worked(who, releaseId);
    instead = (sent) => (sent.length > 1 ? new Response('', { status: 413 }) : null);
    await sendDue(app);
    expect(kept.statements).toHaveLength(4);
    instead = null;
    const other = await someone();
    await worked(other, releaseId);
    const mine = (await lines(releaseId)).filter(({ actor }) => actor.account.name === other.person.id);
    kept.statements.push({ ...(mine[1] as Statement), timestamp: '2020-01-01T00:00:00.000Z', stored: '' } as never);
    await sendDue(app);
    expect(kept.statements).toHaveLength(8);
    expect(must(await openRecordStore(as))).toMatchObject({
      failed: 1,
      reason: 'The record store has a statement of ours in another form.',
    });
    const sent = posts;
    await hurry();
    await sendDue(app);
    expect(posts).toBe(sent);
  });

  it('that takes version 2.0 alone is spoken to as that', async () => {
    await name();
    const versions: unknown[] = [];
    instead = (_, headers) => {
      const version = headers['x-experience-api-version'];
      versions.push(version);
      return version === '2.0.0'
        ? Response.json([])
        : new Response('', { status: 400, headers: { 'x-experience-api-version': '2.0.0' } });
    };
    const [releaseId, who] = [await published(), await someone()];
    await worked(who, releaseId);
    await sendDue(app);
    await worked(await someone(), releaseId);
    await sendDue(app);
    expect(versions).toEqual(['1.0.3', '2.0.0', '2.0.0']);
  });

  it('is the administrator’s to name, by https or on this machine', async () => {
    const other = await teacher(app, `plain${++people}`);
    expect(await openRecordStore(other)).toMatchObject({ ok: false, code: 'notAllowed' });
    const given = { address, key: KEY, secret: SECRET, names: false };
    expect(await nameRecordStore(other, given)).toMatchObject({ ok: false, code: 'notAllowed' });
    expect(await nameRecordStore(as, { ...given, address: 'http://store.example/' })).toMatchObject({
      code: 'invalid',
      problems: [{ path: 'address' }],
    });
    expect(await nameRecordStore(as, { ...given, secret: '' })).toMatchObject({ problems: [{ path: 'secret' }] });
    await name();
    // The same address keeps its secret, and what waits.
    must(await nameRecordStore(as, { ...given, secret: '', names: true }));
    expect(must(await openRecordStore(as)).store).toMatchObject({ names: true, key: KEY });
  });

  it('is named to whoever erases a learner, and nothing more goes to it', async () => {
    await name();
    const [releaseId, who] = [await published(), await someone()];
    await worked(who, releaseId);
    await sendDue(app);
    expect(must(await goesOutside(as, courseId)).store).toMatchObject({ address, learners: 1 });
    const erased = must(await eraseLearner(as, courseId, who.person.id));
    expect(erased.elsewhere).toEqual([`the record store ${address}`]);
    expect(await app.db.select().from(sitting).where(eq(sitting.learnerId, who.person.id))).toEqual([]);
    expect((await app.db.select().from(outbox)).filter(({ subject }) => subject.startsWith(who.person.id))).toEqual([]);
  });
});
