/**
 * Every list of whole numbers from 0, the i-th at most `most[i]`, that add up to at most `room`. The list handed out is
 * used again: copy what you keep.
 */
export function* compositions(most: readonly number[], room: number): Generator<readonly number[]> {
  const now = most.map(() => 0);
  let sum = 0;
  for (;;) {
    yield now;
    let i = 0;
    while (i < now.length && ((now[i] as number) >= (most[i] as number) || sum >= room)) {
      sum -= now[i] as number;
      now[i++] = 0;
    }
    if (i === now.length) return;
    now[i] = (now[i] as number) + 1;
    sum++;
  }
}
