import { useMemo } from 'react';
import { type Finding, findings, questionModel } from '../../core';
import type { BenchStore } from './store';

/** What Proof finds in the question as it stands: at once what is quick to see, and all of it as soon as the worker has been through. */
export function useFindings(store: BenchStore): readonly Finding[] {
  const question = store((s) => s.question);
  const proved = store((s) => s.proved);
  const quick = useMemo(() => findings(questionModel(question)), [question]);
  return proved?.of === question ? proved.proof.findings : quick;
}
