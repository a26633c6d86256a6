/** A source of numbers in [0, 1), the same for the same seed on every machine. */
export type Random = () => number;

/** FNV-1a over UTF-16 units, 32 bits: a seed for {@link random} from a text. */
export function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}

/** sfc32 (Chris Doty-Humphrey, PractRand), seeded by one 32-bit number and warmed up. */
export function random(seed: number): Random {
  let a = 0x9e3779b9;
  let b = 0x243f6a88;
  let c = seed >>> 0;
  let counter = 1;
  const next = () => {
    const t = (a + b + counter++) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = ((c << 21) | (c >>> 11)) + t;
    return (t >>> 0) / 4294967296;
  };
  for (let i = 0; i < 15; i++) next();
  return next;
}

/** A permutation of 0…n−1 (Fisher and Yates). */
export function shuffled(n: number, next: Random): number[] {
  const order = Array.from({ length: n }, (_, i) => i);
  for (let i = n - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1));
    [order[i], order[j]] = [order[j] as number, order[i] as number];
  }
  return order;
}
