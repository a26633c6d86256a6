import type { RetraceFrame } from '../../core';

/** No pause lasts longer than this when attempts are played together, in milliseconds. */
const LONGEST_MS = 20_000;
/** The first move comes so long after the start, in milliseconds: when somebody began to think is not known. */
const LEAD_MS = 1000;

/** When each frame comes, in milliseconds from the first, with long pauses shortened. */
export function timesOf(frames: readonly Pick<RetraceFrame, 'at'>[]): number[] {
  let time = 0;
  return frames.map(({ at }, i) => {
    const before = frames[i - 1]?.at ?? at;
    time += i === 1 ? LEAD_MS : Math.min(LONGEST_MS, Math.max(0, at - before));
    return time;
  });
}

/** The last frame that has come at a time: its index. */
export function frameAt(times: readonly number[], time: number): number {
  let [low, high] = [0, times.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((times[middle] ?? 0) <= time) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** The nearest time, before or after another, at which a frame of any attempt comes. */
export function nextTime(all: readonly (readonly number[])[], time: number, way: 1 | -1): number {
  const others = all.flat().filter((one) => (way === 1 ? one > time : one < time));
  return others.reduce((best, one) => (way * one < way * best ? one : best), others[0] ?? time);
}
