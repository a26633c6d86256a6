import { setTimeout as after } from 'node:timers/promises';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { type Turn, turns } from './turns';

beforeEach(() => vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }));
afterEach(() => vi.useRealTimers());

/** A task of so many ms that ends at once when its deadline passes, in a thread that takes so many to start. */
const lasting =
  (ms: number, startMs = 0) =>
  ({ deadline, begun }: Turn) =>
    new Promise<number>((resolve, reject) => {
      if (startMs === 0) begun();
      else setTimeout(begun, startMs);
      setTimeout(() => resolve(ms), startMs + ms);
      deadline.addEventListener('abort', () => reject(new Error('ended')));
    });

it('a deadline runs from when a task’s turn comes: those that wait are not cut short', async () => {
  const { take } = turns(2, 100);
  const worked = Promise.all(Array.from({ length: 6 }, () => take(lasting(3000), 4000)));
  await vi.advanceTimersByTimeAsync(9000);
  expect((await worked).map(({ ok }) => ok)).toEqual([true, true, true, true, true, true]);
});

it('the start of a thread is not counted, unless it never ends', async () => {
  const { take } = turns(2, 100);
  const [slow, stuck] = [take(lasting(3000, 30_000), 4000), take(lasting(1000, 90_000), 4000)];
  await vi.advanceTimersByTimeAsync(95_000);
  expect([await slow, await stuck]).toEqual([
    { ok: true, value: 3000 },
    { ok: false, reason: 'tooLong' },
  ]);
});

it('what lasts longer than it may is ended, and the next has its turn', async () => {
  const { take } = turns(1, 100);
  const [long, short] = [take(lasting(5000), 4000), take(lasting(1000), 4000)];
  await vi.advanceTimersByTimeAsync(5000);
  expect([await long, await short]).toEqual([
    { ok: false, reason: 'tooLong' },
    { ok: true, value: 1000 },
  ]);
});

it('says so when too many wait, and what a thread had no memory for', async () => {
  vi.useRealTimers();
  const { take } = turns(1, 2);
  const all = await Promise.all(Array.from({ length: 5 }, () => take(() => after(5, null), 4000)));
  expect(all.map((worked) => (worked.ok ? 'ok' : worked.reason))).toEqual(['ok', 'ok', 'ok', 'busy', 'busy']);
  expect(
    await take(() => Promise.reject(Object.assign(new Error('heap'), { code: 'ERR_WORKER_OUT_OF_MEMORY' })), 4000),
  ).toEqual({ ok: false, reason: 'tooMuch' });
  await expect(take(() => Promise.reject(new Error('a fault')), 4000)).rejects.toThrow('a fault');
});
