import type { QuestionModel } from '../../judge/model';
import type { Guessing } from '../guess/guess';
import type { Reachable } from '../reachable';
import type { Rule } from '../solve/rules';
import type { ModelPlacement } from '../solve/solve';

export type Severity = 'error' | 'warning' | 'note';

/**
 * One line of Proof: what is in the way, where (ids of items, zones, fixtures, looks, media), and how it could be
 * mended.
 */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly where: readonly string[];
  readonly message: string;
  readonly mend: string;
}

/**
 * What findings are drawn from. What was not worked out, or not in the time given, is null, and findings that rest on
 * it say nothing.
 */
export interface Evidence {
  readonly model: QuestionModel;
  readonly reachable: (item: number, zone: number) => Reachable;
  readonly guessing: Guessing | null;
  readonly solvable: boolean | null;
  /** One arrangement with full marks. */
  readonly modelAnswer: readonly ModelPlacement[] | null;
  /** Of a question that cannot be solved: the rules that contradict one another. */
  readonly contradiction: readonly Rule[] | null;
}

export type Found = Pick<Finding, 'where' | 'message' | 'mend'>;
/** A finding's own arithmetic: the places it holds at, each with a sentence and a way to mend it. */
export type FindingRule = (evidence: Evidence) => readonly Found[];
