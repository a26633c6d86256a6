/** A place at which two people changed the same thing, each in their own way. */
export interface Collision {
  /** Where: names of fields and ids of entries, from the outside in. */
  readonly path: readonly string[];
  readonly base: unknown;
  readonly mine: unknown;
  readonly theirs: unknown;
}
export interface Merged<Value> {
  /** With what does not collide from both; where something does, as `choose` says. */
  readonly value: Value;
  readonly collisions: readonly Collision[];
}
/** Whose change is taken where two collide. */
export type Choose = (collision: Collision) => 'mine' | 'theirs';

type Entry = { readonly id: string };
const GONE = Symbol('gone');

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isEntries = (value: unknown): value is readonly Entry[] =>
  Array.isArray(value) && value.every((candidate) => isRecord(candidate) && typeof candidate.id === 'string');
const isSame = (a: unknown, b: unknown): boolean => {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((candidate, i) => isSame(candidate, b[i]));
  if (!isRecord(a) || !isRecord(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((name) => isSame(a[name], b[name]));
};

/**
 * Three-way merge of plain values: what only one side changed is taken from that side. Objects are merged field by
 * field, lists of things with ids entry by entry; what both changed, each in their own way, collides.
 */
export function merge<Value>(base: Value, mine: Value, theirs: Value, choose: Choose = () => 'theirs'): Merged<Value> {
  const collisions: Collision[] = [];
  const value = merged(base, mine, theirs, [], (collision) => {
    collisions.push(collision);
    return choose(collision);
  });
  return { value: value as Value, collisions };
}

function merged(base: unknown, mine: unknown, theirs: unknown, path: readonly string[], choose: Choose): unknown {
  if (isSame(mine, theirs) || isSame(theirs, base)) return mine;
  if (isSame(mine, base)) return theirs;
  if (isEntries(base) && isEntries(mine) && isEntries(theirs)) return mergedEntries(base, mine, theirs, path, choose);
  if (isRecord(base) && isRecord(mine) && isRecord(theirs)) {
    const names = new Set([...Object.keys(theirs), ...Object.keys(mine)]);
    return Object.fromEntries(
      [...names].map((name) => [name, merged(base[name], mine[name], theirs[name], [...path, name], choose)]),
    );
  }
  return choose({ path, base, mine, theirs }) === 'mine' ? mine : theirs;
}

function mergedEntries(
  base: readonly Entry[],
  mine: readonly Entry[],
  theirs: readonly Entry[],
  path: readonly string[],
  choose: Choose,
): Entry[] {
  const find = (list: readonly Entry[], id: string): unknown => list.find((entry) => entry.id === id) ?? GONE;
  const result = new Map<string, Entry>();
  for (const id of new Set([...theirs, ...mine].map((entry) => entry.id))) {
    const one = merged(find(base, id), find(mine, id), find(theirs, id), [...path, id], choose);
    if (one !== GONE) result.set(id, one as Entry);
  }
  const kept = (list: readonly Entry[]) => list.map(({ id }) => id).filter((id) => result.has(id));
  const before = base.map(({ id }) => id);
  // Who put things into another order has theirs kept; both: the order that is stored.
  const reordered = !isSame(
    before.filter((id) => mine.some((entry) => entry.id === id)),
    mine.map(({ id }) => id).filter((id) => before.includes(id)),
  );
  const theirsReordered = !isSame(
    before.filter((id) => theirs.some((entry) => entry.id === id)),
    theirs.map(({ id }) => id).filter((id) => before.includes(id)),
  );
  const [first, second] = reordered && !theirsReordered ? [mine, theirs] : [theirs, mine];
  const order = kept(first);
  for (const id of kept(second)) if (!order.includes(id)) order.splice(placeAfter(order, kept(second), id), 0, id);
  return order.map((id) => result.get(id) as Entry);
}

/** Behind the one it stood behind. */
function placeAfter(order: readonly string[], from: readonly string[], id: string): number {
  for (let i = from.indexOf(id) - 1; i >= 0; i--) {
    const at = order.indexOf(from[i] as string);
    if (at !== -1) return at + 1;
  }
  return 0;
}
