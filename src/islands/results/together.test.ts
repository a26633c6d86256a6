import { describe, expect, it } from 'vitest';
import { frameAt, nextTime, timesOf } from './together';

describe('attempts played together', () => {
  it('come in their own time, with long pauses shortened', () => {
    const began = Date.UTC(2026, 10, 2, 9);
    const at = (...seconds: number[]) => seconds.map((second) => ({ at: began + 1000 * second }));
    expect(timesOf(at(0, 0, 3, 19, 3600, 3601))).toEqual([0, 1000, 4000, 20_000, 40_000, 41_000]);
    // A clock that was put back holds nothing up.
    expect(timesOf(at(5, 4, 6))).toEqual([0, 1000, 3000]);
    expect(timesOf([])).toEqual([]);
  });

  it('stand at the last frame that has come', () => {
    const times = [0, 0, 3000, 19_000];
    expect([0, 2999, 3000, 18_999, 1e9].map((time) => frameAt(times, time))).toEqual([1, 1, 2, 2, 3]);
    expect(frameAt([0], 500)).toBe(0);
  });

  it('go on by the next that moves, whoever it is', () => {
    const all = [
      [0, 3000, 9000],
      [0, 2000],
    ];
    expect([0, 2000, 3000, 9000].map((time) => nextTime(all, time, 1))).toEqual([2000, 3000, 9000, 9000]);
    expect([9000, 3000, 2000, 0].map((time) => nextTime(all, time, -1))).toEqual([3000, 2000, 0, 0]);
  });
});
