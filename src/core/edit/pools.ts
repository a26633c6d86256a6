import type { ItemId } from '../document/ids';
import type { Pool, Question } from '../document/schema';
import type { Step } from './edit';
import { poolsWithout, setQuestion } from './steps';

/** Half of them, and at least one. */
const half = (n: number) => Math.max(1, Math.ceil(n / 2));

/** Items that carry a zone are always there. */
const poolable = ({ items, zones }: Question, ids: readonly ItemId[]): ItemId[] => {
  const carriers = new Set<string | null>(zones.map(({ ridesOn }) => ridesOn));
  return items.flatMap(({ id }) => (ids.includes(id) && !carriers.has(id) ? [id] : []));
};

/** Of these items each learner gets some: half of them, until the author says how many. */
export function makePool(question: Question, ids: readonly ItemId[]): Step {
  const items = poolable(question, ids);
  if (items.length === 0) return [];
  const others = poolsWithout(question, (id) => (items as string[]).includes(id));
  return setQuestion(question, 'pools', [...others, { items, take: half(items.length) }]);
}

/** A pool for what belongs in each zone, in place of those there are. */
export function poolByZone(question: Question): Step {
  const groups = [...question.key, ...question.either].map(({ belongs }) => poolable(question, belongs ?? []));
  const taken = new Set<string>();
  const pools = groups.flatMap((group): Pool[] => {
    const items = group.filter((id) => !taken.has(id));
    for (const id of items) taken.add(id);
    return items.length > 1 ? [{ items, take: half(items.length) }] : [];
  });
  return setQuestion(question, 'pools', pools);
}

export const setTake = (question: Question, index: number, take: number): Step => {
  const pool = question.pools[index];
  return pool ? setQuestion(question, 'pools', question.pools.with(index, { ...pool, take })) : [];
};

/** The pool's items are all asked again. */
export const dropPool = (question: Question, index: number): Step =>
  setQuestion(question, 'pools', question.pools.toSpliced(index, 1));
