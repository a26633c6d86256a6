import { useMemo } from 'react';
import { type Finding, findings, questionModel } from '../../core';
import type { BenchStore } from './store';

/** What Proof finds in the question as it stands, worked out once for an edit. */
export function useFindings(store: BenchStore): readonly Finding[] {
  const question = store((s) => s.question);
  return useMemo(() => findings(questionModel(question)), [question]);
}
