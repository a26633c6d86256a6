import type { QuestionModel } from '../../judge/model';
import type { Budget } from '../budget';
import type { Reachable } from '../reachable';
import { nameOf, puzzleOf, type Rule, rulesOf } from './rules';
import { solveUpright } from './solve';

/** So many sets of one size are looked through for a smaller one than the first that was found. */
const MAX_SETS = 4000;

/**
 * The smallest set of rules that contradict one another, of a question that has no answer. First rules are left out one
 * by one as long as what stays has no answer; then smaller sets are looked through, as far as there are not too many of
 * them.
 */
export function conflict(
  model: QuestionModel,
  reachable: (item: number, zone: number) => Reachable,
  budget: Budget,
): Rule[] {
  const all = rulesOf(model);
  const contradict = (rules: readonly Rule[]) => {
    const names = new Set(rules.map(nameOf));
    return (
      solveUpright(
        puzzleOf(model, reachable, (rule) => names.has(nameOf(rule))),
        budget,
      ) === null
    );
  };
  let core = all;
  for (const rule of all) {
    const fewer = core.filter((other) => other !== rule);
    if (contradict(fewer)) core = fewer;
  }
  for (let size = 1; size < core.length && sets(all.length, size) <= MAX_SETS; size++)
    for (const some of subsets(all, size)) if (contradict(some)) return some;
  return core;
}

function sets(n: number, k: number): number {
  let count = 1;
  for (let i = 0; i < k; i++) count = (count * (n - i)) / (i + 1);
  return count;
}

function* subsets<T>(values: readonly T[], size: number, from = 0): Generator<T[]> {
  if (size === 0) {
    yield [];
    return;
  }
  for (let i = from; i <= values.length - size; i++)
    for (const rest of subsets(values, size - 1, i + 1)) yield [values[i] as T, ...rest];
}
