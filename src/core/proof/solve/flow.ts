/**
 * The largest flow from the first node to the last (Dinic, 1970). `edges` are [from, to, capacity]; the flow on each is
 * handed back in their order, Infinity being no capacity to speak of.
 */
export function largestFlow(
  nodes: number,
  edges: readonly (readonly [from: number, to: number, capacity: number])[],
): { total: number; flow: number[] } {
  const target: number[] = [];
  const left: number[] = [];
  const out: number[][] = Array.from({ length: nodes }, () => []);
  for (const [from, to, capacity] of edges) {
    (out[from] as number[]).push(target.length);
    target.push(to);
    left.push(Math.min(capacity, 1e9));
    (out[to] as number[]).push(target.length);
    target.push(from);
    left.push(0);
  }
  const sink = nodes - 1;
  let total = 0;
  let level: number[];
  let at: number[];

  const layers = (): boolean => {
    level = new Array<number>(nodes).fill(-1);
    level[0] = 0;
    const queue = [0];
    for (let i = 0; i < queue.length; i++)
      for (const edge of out[queue[i] as number] as number[]) {
        const to = target[edge] as number;
        if ((left[edge] as number) <= 0 || (level[to] as number) >= 0) continue;
        level[to] = (level[queue[i] as number] as number) + 1;
        queue.push(to);
      }
    return (level[sink] as number) >= 0;
  };
  const push = (node: number, most: number): number => {
    if (node === sink) return most;
    const edgesHere = out[node] as number[];
    for (; (at[node] as number) < edgesHere.length; at[node] = (at[node] as number) + 1) {
      const edge = edgesHere[at[node] as number] as number;
      const to = target[edge] as number;
      if ((left[edge] as number) <= 0 || level[to] !== (level[node] as number) + 1) continue;
      const pushed = push(to, Math.min(most, left[edge] as number));
      if (pushed > 0) {
        left[edge] = (left[edge] as number) - pushed;
        left[edge ^ 1] = (left[edge ^ 1] as number) + pushed;
        return pushed;
      }
    }
    return 0;
  };
  while (layers()) {
    at = new Array<number>(nodes).fill(0);
    for (let pushed = push(0, Infinity); pushed > 0; pushed = push(0, Infinity)) total += pushed;
  }
  return { total, flow: edges.map((_, i) => left[2 * i + 1] as number) };
}
