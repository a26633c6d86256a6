/** Exact whole numbers for counting: they outgrow doubles at some twenty copies. */
const factorials: bigint[] = [1n];
export function factorial(n: number): bigint {
  for (let i = factorials.length; i <= n; i++) factorials.push((factorials[i - 1] as bigint) * BigInt(i));
  return factorials[n] as bigint;
}

const rows: bigint[][] = [[1n]];
/** n over k; 0 outside 0 ≤ k ≤ n. */
export function choose(n: number, k: number): bigint {
  if (k < 0 || k > n) return 0n;
  for (let i = rows.length; i <= n; i++) {
    const above = rows[i - 1] as bigint[];
    rows.push(Array.from({ length: i + 1 }, (_, j) => (above[j - 1] ?? 0n) + (above[j] ?? 0n)));
  }
  return (rows[n] as bigint[])[k] as bigint;
}

/** a/b as the nearest double or its neighbour; both not negative, b more than 0. */
export function ratio(a: bigint, b: bigint): number {
  if (a === 0n) return 0;
  // Sixty-four bits of quotient are more than a double keeps.
  const shift = Math.max(0, 64 - (bits(a) - bits(b)));
  return scaled((a << BigInt(shift)) / b, -shift);
}

function bits(n: bigint): number {
  return n.toString(16).length * 4;
}

function scaled(n: bigint, exponent: number): number {
  const surplus = Math.max(0, bits(n) - 64);
  return Number(n >> BigInt(surplus)) * 2 ** (exponent + surplus);
}
