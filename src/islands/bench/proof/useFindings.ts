import { type Finding, findings, type Question, questionModel } from '../../../core';
import type { BenchStore } from '../store';

/** Worked out once for an edit, however many parts of the Bench ask. */
const known = new WeakMap<Question, readonly Finding[]>();
function quickFindings(question: Question): readonly Finding[] {
  const found = known.get(question) ?? findings(questionModel(question));
  known.set(question, found);
  return found;
}

/**
 * Things on a scene up to which the quick findings are worked out with each edit, beside the page; of more, those of a
 * moment ago stand until the worker has been through.
 */
const FEW = 80;

/** The findings of the present question: the quick ones at once, all of them when the worker is done. */
export function useFindings(store: BenchStore): readonly Finding[] {
  const question = store((s) => s.question);
  const proved = store((s) => s.proved);
  if (proved?.of === question) return proved.proof.findings;
  return question.items.length + question.zones.length <= FEW
    ? quickFindings(question)
    : (proved?.proof.findings ?? []);
}
