import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { LiveChange, LiveView } from '../src/contract';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { sitting } from '../src/server/database/tables';
import { liveEvents, liveOf } from '../src/server/live/live';
import { watchOf } from '../src/server/live/watch';
import { finish } from '../src/server/sittings/finish';
import { course, learner, must, release, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let clover: As<Learner>;
let sorrel: As<Learner>;
let courseId = '';
let releaseId = '';

beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
  courseId = await course(odile);
  clover = await learner(odile, courseId, 'clover');
  sorrel = await learner(odile, courseId, 'sorrel');
  releaseId = await release(odile, courseId, seeds({ tries: null }));
});
afterAll(() => done());

const of = ({ learners }: LiveChange, who: As<Learner>) =>
  learners.find(({ learnerId }) => learnerId === who.person.id);

/** The next events of a stream, as a browser reads them, until one tells of something. */
async function told(reader: ReadableStreamDefaultReader<Uint8Array>): Promise<{ id: string; change: LiveChange }> {
  const decoder = new TextDecoder();
  let text = '';
  for (;;) {
    const { value, done: ended } = await reader.read();
    if (ended) throw new Error(`The stream has ended: ${text}`);
    text += decoder.decode(value, { stream: true });
    const id = /^id: (.+)$/m.exec(text)?.[1];
    const data = /^data: (.+)$/m.exec(text)?.[1];
    if (id && data && text.endsWith('\n\n')) return { id, change: JSON.parse(data) as LiveChange };
  }
}

async function stream(last: string | null, gone = new AbortController()) {
  const answer = await liveEvents(odile, releaseId, { last, session: 'none', gone: gone.signal });
  if (!(answer instanceof Response) || !answer.body) throw new Error('There is no stream');
  return { answer, reader: answer.body.getReader(), gone };
}

describe('Live', () => {
  it('knows who has not begun, what is placed, tries, and which item is where', async () => {
    const before = must(await liveOf(odile, releaseId));
    expect(before.learners.map(({ name, sittingId }) => [name, sittingId])).toEqual([
      ['clover', null],
      ['sorrel', null],
    ]);
    const seat = await sitter(clover, releaseId);
    await seat.take(seat.put('barley', 'dry'));
    await seat.take(seat.put('acorn', 'dry'));
    await seat.take(seat.move({ kind: 'check' }));
    const now = must(await liveOf(odile, releaseId));
    expect(of(now, clover)).toMatchObject({ place: 1, question: 0, tries: 1, placed: 2, of: 4, finishedAt: null });
    expect(of(now, sorrel)?.sittingId).toBeNull();
    const { items, zones, keyed } = now.questions[0] as LiveView['questions'][number];
    expect([items, zones]).toEqual([
      ['barley', 'poppy', 'acorn', 'gravel'],
      ['dry', 'moist'],
    ]);
    expect(keyed[0]).toEqual([true, false]);
    expect(now.counts[0]).toEqual([
      [1, 0],
      [0, 0],
      [1, 0],
      [0, 0],
    ]);
  });

  it('tells each change once, to everybody who watches, and goes on from the last event', async () => {
    const first = must(await liveOf(odile, releaseId));
    const [one, two] = [await stream(first.last), await stream(first.last)];
    expect(one.answer.headers.get('content-type')).toBe('text/event-stream');
    const seat = await sitter(sorrel, releaseId);
    await seat.take(seat.put('poppy', 'dry'));
    const [seen, same] = await Promise.all([told(one.reader), told(two.reader)]);
    expect(seen).toEqual(same);
    expect(seen.change.learners.map(({ name }) => name)).toEqual(['sorrel']);
    expect(seen.change.counts[0]?.[1]).toEqual([1, 0]);
    // The line of one is cut; what happens meanwhile comes first when it is back.
    await one.reader.cancel();
    await seat.take(seat.put('acorn', 'moist'));
    await told(two.reader);
    const back = await stream(seen.id);
    const missed = await told(back.reader);
    expect(of(missed.change, sorrel)).toMatchObject({ placed: 2 });
    expect(missed.change.learners).toHaveLength(1);
    for (const { reader } of [two, back]) await reader.cancel();
    // An event of another process is answered by: look at everything anew.
    const other = await stream('another-process-12');
    const { value } = await other.reader.read();
    const { value: second } = await other.reader.read();
    expect(new TextDecoder().decode(value) + new TextDecoder().decode(second)).toContain('event: anew');
    await other.reader.cancel();
  });

  it('follows an attempt that ends', async () => {
    const [row] = await app.db.select().from(sitting).where(eq(sitting.learnerId, clover.person.id));
    must(await finish(clover, row?.id ?? ''));
    expect(of(must(await liveOf(odile, releaseId)), clover)?.finishedAt).not.toBeNull();
  });

  it('sees what another process has stored', async () => {
    const other = { ...app, db: (await testApp({ VAULT_DROP_DATA: app.config.data })).app.db };
    const before = must(await liveOf(odile, releaseId));
    const seat = await sitter({ ...sorrel, db: other.db }, releaseId);
    await seat.take(seat.put('gravel', 'moist'));
    const { last } = must(await liveOf(odile, releaseId));
    expect(last).not.toBe(before.last);
    const change = watchOf(app, releaseId).since(before.last)?.change;
    expect(change && of(change, sorrel)).toMatchObject({ placed: 3 });
  });

  it('has a limit of streams for a teacher, who gets them back as windows close', async () => {
    const gone = new AbortController();
    const streams = [];
    for (let i = 0; i < 6; i++) streams.push(await stream(null, gone));
    expect(await liveEvents(odile, releaseId, { last: null, session: '', gone: gone.signal })).toMatchObject({
      ok: false,
      code: 'tooMany',
    });
    gone.abort();
    for (const { reader } of streams) {
      await reader.read();
      expect((await reader.read()).done).toBe(true);
    }
    const again = await stream(null);
    await again.reader.cancel();
  });

  it('is for nobody else, learners least of all', async () => {
    const elsewhere = await teacher(app, 'elsewhere');
    expect(await liveOf(elsewhere, releaseId)).toMatchObject({ ok: false, code: 'notFound' });
    expect(
      await liveEvents(elsewhere, releaseId, { last: null, session: '', gone: new AbortController().signal }),
    ).toMatchObject({ ok: false, code: 'notFound' });
  });
});
