import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ApiError } from '../../ui/api';
import { type OutboxOptions, outbox, type Send } from './outbox';
import type { MovesAnswer, SentMove } from './types';
import type { Unsent } from './unsent';

const put = (item: string) => ({ kind: 'put', item, copy: 0, zone: 'dry' }) as const;
const answer = (last: number) => ({ ok: true, value: { last } as MovesAnswer }) as const;
const refusal = (code: ApiError['code']) =>
  ({ ok: false, error: { code, message: 'It was refused', nextStep: '' } }) as const;

/** An outbox after move 4, with what it did: batches sent, what is stored, what it told. */
function box(send: Send, options: Partial<OutboxOptions> = {}) {
  const batches: [after: number, items: string[]][] = [];
  const told: string[] = [];
  let stored: Unsent = { after: 4, moves: [] };
  const made = outbox({
    after: 4,
    send: (after, moves) => {
      batches.push([after, moves.map((move) => ('item' in move ? move.item : move.kind))]);
      return send(after, moves);
    },
    stopped: () => false,
    store: (unsent) => {
      stored = unsent;
    },
    onSending: () => told.push('sending'),
    onSent: (_, batch, more) => told.push(`sent ${batch.length}${more ? ', more' : ''}`),
    onRefused: (why) => told.push(why),
    ...options,
  });
  return { made, batches, told, stored: () => stored };
}

describe('the outbox', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('requestAnimationFrame', (work: () => void) => setTimeout(work, 16));
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('stores a move at once and sends it after a painted frame, under an id of its own', async () => {
    const { made, batches, told, stored } = box(async (after, moves) => answer(after + moves.length));
    made.add(put('barley'));
    made.add(put('poppy'));
    expect(batches).toEqual([]);
    expect(stored()).toMatchObject({ after: 4, moves: [put('barley'), put('poppy')] });
    expect(new Set(stored().moves.map(({ id }) => id)).size).toBe(2);
    await vi.runAllTimersAsync();
    expect(batches).toEqual([[4, ['barley', 'poppy']]]);
    expect(told).toEqual(['sending', 'sent 2']);
    expect(stored()).toEqual({ after: 6, moves: [] });
  });

  it('sends without a frame on a hidden page, which paints none', async () => {
    vi.stubGlobal('requestAnimationFrame', () => 0);
    const { made, batches } = box(async () => answer(5));
    made.add(put('barley'));
    await vi.runAllTimersAsync();
    expect(batches).toHaveLength(1);
  });

  it('has one batch on its way at a time: what is added meanwhile goes after it', async () => {
    let arrive: () => void = () => undefined;
    const { made, batches, told } = box(
      (after, moves) =>
        new Promise((resolve) => {
          arrive = () => resolve(answer(after + moves.length));
        }),
    );
    made.add(put('barley'));
    await vi.advanceTimersByTimeAsync(200);
    made.add(put('poppy'));
    await vi.advanceTimersByTimeAsync(200);
    expect(batches).toEqual([[4, ['barley']]]);
    arrive();
    await vi.advanceTimersByTimeAsync(0);
    expect(batches).toEqual([
      [4, ['barley']],
      [5, ['poppy']],
    ]);
    expect(told).toEqual(['sending', 'sent 1, more', 'sending']);
  });

  it('sends at most 200 moves at once', async () => {
    const { made, batches } = box(async (after, moves) => answer(after + moves.length));
    for (let i = 0; i < 201; i++) made.add(put(`seed ${i}`));
    await vi.runAllTimersAsync();
    expect(batches.map(([after, items]) => [after, items.length])).toEqual([
      [4, 200],
      [204, 1],
    ]);
  });

  it.each([
    ['offline', 'offline'],
    ['unavailable', 'offline'],
    ['unexpected', 'failed'],
  ] as const)('after %s keeps the moves, says %s, and sends the same again', async (code, why) => {
    let down = true;
    const { made, batches, told, stored } = box(async () => (down ? refusal(code) : answer(5)));
    made.add(put('barley'));
    await vi.advanceTimersByTimeAsync(200);
    expect(told).toEqual(['sending', why]);
    const [first] = stored().moves;
    down = false;
    await vi.runAllTimersAsync();
    expect(batches).toHaveLength(2);
    expect(first?.id).toBeDefined();
    expect(told.at(-1)).toBe('sent 1');
    expect(stored().moves).toEqual([]);
  });

  it.each(['notSignedIn', 'notAllowed'] as const)('after %s keeps the moves and waits', async (code) => {
    const { made, batches, told, stored } = box(async () => refusal(code));
    made.add(put('barley'));
    await vi.runAllTimersAsync();
    expect([batches.length, told.at(-1), stored().moves.length]).toEqual([1, 'signedOut', 1]);
  });

  it.each(['sittingMovedOn', 'alreadyEnded', 'invalid', 'sittingFinished', 'notFound'] as const)(
    'after %s drops the moves: the server knows better',
    async (code) => {
      const { made, batches, told, stored } = box(async () => refusal(code));
      made.add(put('barley'));
      await vi.runAllTimersAsync();
      expect([batches.length, told.at(-1), stored().moves.length]).toEqual([1, 'outdated', 0]);
    },
  );

  it('goes on after another move once it is restarted', async () => {
    const { made, batches } = box(async (after, moves) => answer(after + moves.length));
    made.add(put('barley'));
    made.restart(9);
    made.add(put('poppy'));
    await vi.runAllTimersAsync();
    expect(batches).toEqual([[9, ['poppy']]]);
  });

  it('sends what an earlier page left, from where that page was', async () => {
    const left: SentMove[] = [{ ...put('barley'), id: 'a' }];
    const { made, batches } = box(async (after, moves) => answer(after + moves.length));
    made.resume({ after: 2, moves: left });
    expect(await made.flush()).toBe(true);
    expect(batches).toEqual([[2, ['barley']]]);
  });

  it('sends nothing, and believes no answer, once another window has the attempt', async () => {
    let stopped = false;
    const { made, batches, told, stored } = box(
      async () => {
        stopped = true;
        return answer(5);
      },
      { stopped: () => stopped },
    );
    made.add(put('barley'));
    await vi.runAllTimersAsync();
    expect(told).toEqual(['sending']);
    expect(stored().moves).toHaveLength(1);
    expect(await made.flush()).toBe(false);
    expect(batches).toHaveLength(1);
  });
});
