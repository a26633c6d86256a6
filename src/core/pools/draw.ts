import type { Either, KeyEntry, Need, Question } from '../document/schema';
import { withoutEvents } from '../edit/events';
import { belongsIn } from '../judge/keyed';
import { choose } from '../proof/guess/numbers';
import { type Random, shuffled } from '../random/random';

/** The items drawn from the pools, each choice as likely as any other; in the order of the document. */
export function drawFrom({ items, pools }: Pick<Question, 'items' | 'pools'>, next: Random): string[] {
  const drawn = new Set<string>();
  for (const pool of pools)
    for (const i of shuffled(pool.items.length, next).slice(0, pool.take)) drawn.add(pool.items[i] as string);
  return items.flatMap(({ id }) => (drawn.has(id) ? [id as string] : []));
}

/** How many draws there are; Infinity: too many to count. */
export const drawCount = ({ pools }: Pick<Question, 'pools'>): number =>
  pools.reduce((all, { items, take }) => all * Number(choose(items.length, take)), 1);

/** Every draw, one after another. */
export function* allDraws({ pools }: Pick<Question, 'pools'>, at = 0): Generator<string[]> {
  const pool = pools[at];
  if (!pool) {
    yield [];
    return;
  }
  for (const some of choices(pool.items, pool.take))
    for (const rest of allDraws({ pools }, at + 1)) yield [...some, ...rest];
}

function* choices(ids: readonly string[], take: number, from = 0): Generator<string[]> {
  if (take === 0) {
    yield [];
    return;
  }
  for (let i = from; i <= ids.length - take; i++)
    for (const rest of choices(ids, take - 1, i + 1)) yield [ids[i] as string, ...rest];
}

/** What is wrong with a list of drawn items: where in it, and a sentence; null: it can be drawn so. */
export function drawFault(
  { pools }: Pick<Question, 'pools'>,
  drawn: unknown,
): readonly [path: string, message: string] | null {
  if (pools.length === 0) return drawn === undefined ? null : ['drawn', 'is given, but there are no pools'];
  if (drawn === undefined) return ['drawn', 'is missing'];
  if (!Array.isArray(drawn)) return ['drawn', 'has to be a list'];
  const poolOf = new Map<unknown, number>(pools.flatMap(({ items }, i) => items.map((id) => [id, i] as const)));
  const taken = pools.map(() => 0);
  const seen = new Set<unknown>();
  for (const [i, id] of drawn.entries()) {
    const pool = poolOf.get(id);
    if (pool === undefined) return [`drawn[${i}]`, 'is not an item of a pool'];
    if (seen.has(id)) return [`drawn[${i}]`, 'is named twice'];
    seen.add(id);
    taken[pool] = (taken[pool] as number) + 1;
  }
  const wrong = pools.findIndex(({ take }, i) => taken[i] !== take);
  return wrong < 0
    ? null
    : ['drawn', `has ${taken[wrong]} items of pools[${wrong}], which takes ${pools[wrong]?.take}`];
}

/** The question with these items of its pools, read as if the others were not there. */
export function drawnQuestion(question: Question, drawn: readonly string[]): Question {
  if (question.pools.length === 0) return question;
  const stay = new Set(drawn);
  const gone = new Set<string>(question.pools.flatMap(({ items }) => items.filter((id) => !stay.has(id))));
  const here = (id: string) => !gone.has(id);
  const copies = new Map(
    question.items.map((item) => [item.id as string, item.copies === 'endless' ? Infinity : item.copies]),
  );
  const left = (ids: readonly string[]) => ids.reduce((sum, id) => sum + (copies.get(id) ?? 0), 0);
  const either = question.either.flatMap((entry): Either[] => {
    const belongs = entry.belongs.filter(here);
    if (belongs.length === entry.belongs.length) return [entry];
    return belongs.length > 0 ? [{ ...entry, belongs, need: held(entry.need, left(belongs)) }] : [];
  });
  return {
    ...question,
    pools: [],
    items: question.items.filter(({ id }) => here(id)),
    zones: question.zones.map((zone) =>
      zone.typed
        ? {
            ...zone,
            typed: {
              ...zone.typed,
              accept: Object.fromEntries(Object.entries(zone.typed.accept).filter(([id]) => here(id))),
            },
          }
        : zone,
    ),
    key: [...question.key.map((entry) => drawnEntry(question, entry, here, left)), ...judgedAsEmpty(question, either)],
    either,
    fixtures: question.fixtures.map((fixture) =>
      withoutEvents(fixture, ({ item }) => item === undefined || here(item)),
    ),
    start: question.start && { placements: question.start.placements.filter(({ item }) => here(item)) },
  };
}

function drawnEntry(
  question: Question,
  entry: KeyEntry,
  here: (id: string) => boolean,
  left: (ids: readonly string[]) => number,
): KeyEntry {
  const says = entry.says && {
    ...entry.says,
    items: Object.fromEntries(Object.entries(entry.says.items).filter(([id]) => here(id))),
  };
  const before = belongsIn(question, entry);
  const belongs = before.filter(here);
  if (belongs.length === before.length) return { ...entry, says };
  if (belongs.length === 0)
    return { ...entry, says, belongs: [], need: { rule: 'exactly', n: 0 }, sum: null, sequence: false };
  return {
    ...entry,
    says,
    belongs: entry.belongs && [...belongs],
    need: entry.need && held(entry.need, left(belongs)),
  };
}

/** A need after items have gone: no more than there are left. */
function held(need: Need, left: number): Need {
  switch (need.rule) {
    case 'all':
      return need;
    case 'exactly':
    case 'atLeast':
      return { ...need, n: Math.min(need.n, left) };
    case 'between':
      return { ...need, min: Math.min(need.min, left), max: Math.min(need.max, left) };
  }
}

/** Zones of either entries that have dropped out are judged as before: nothing belongs in them. */
function judgedAsEmpty(question: Question, either: readonly Either[]): KeyEntry[] {
  const named = new Set([...question.key.map(({ zone }) => zone), ...either.flatMap(({ zones }) => zones)]);
  return [...new Set(question.either.flatMap(({ zones }) => zones))]
    .filter((zone) => !named.has(zone))
    .map((zone) => ({
      zone,
      belongs: [],
      need: { rule: 'exactly', n: 0 },
      sum: null,
      sequence: false,
      weight: 0,
      says: null,
    }));
}
