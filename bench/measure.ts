import { readFileSync } from 'node:fs';

/** One line of a bench: a number measured against another in the same run, or against a bound. */
export interface Measured {
  readonly name: string;
  readonly value: string;
  readonly goal: string;
  readonly met: boolean;
  readonly [detail: string]: unknown;
}

export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

export const p95 = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)] ?? 0;

/**
 * Nanoseconds a call, of both, measured by turns so that a slow moment of the machine meets both: medians of the
 * rounds.
 */
export function byTurns(
  one: () => unknown,
  other: () => unknown,
  rounds = 15,
  milliseconds = 60,
): readonly [number, number] {
  const time = (work: () => unknown) => {
    const until = performance.now() + milliseconds;
    let calls = 0;
    const began = performance.now();
    do {
      for (let i = 0; i < 20; i++) work();
      calls += 20;
    } while (performance.now() < until);
    return ((performance.now() - began) * 1e6) / calls;
  };
  time(one);
  time(other);
  const [a, b]: [number[], number[]] = [[], []];
  for (let round = 0; round < rounds; round++) {
    a.push(time(one));
    b.push(time(other));
  }
  return [median(a), median(b)];
}

export const shown = (n: number, unit = ''): string =>
  `${n < 10 ? n.toFixed(2) : n < 100 ? n.toFixed(1) : Math.round(n)}${unit}`;

/** Processor time of a process so far, in milliseconds (proc(5): fields 14 and 15, in hundredths of a second). */
export function processorMs(pid: number): number {
  const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
  const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
  return (Number(fields[11]) + Number(fields[12])) * 10;
}

export function report(results: readonly Measured[]): void {
  console.table(results.map(({ name, value, goal, met }) => ({ name, value, goal, met })));
  console.log(JSON.stringify(results, null, 2));
}
