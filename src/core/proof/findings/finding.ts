import type { QuestionModel } from '../../judge/model';

export type Severity = 'error' | 'warning' | 'note';

/** One line of Proof: what is in the way, where (ids of items and zones), and how it could be mended. */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly where: readonly string[];
  readonly message: string;
  readonly mend: string;
}

/** A finding's own arithmetic: the places it holds at, each with a sentence and a way to mend it. */
export type FindingRule = (model: QuestionModel) => readonly Pick<Finding, 'where' | 'message' | 'mend'>[];
