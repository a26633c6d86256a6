import type { QuestionModel } from '../../judge/model';
import { familyMismatch } from './familyMismatch';
import type { Finding, FindingRule, Severity } from './finding';
import { needMoreThanExist } from './needMoreThanExist';
import { needMoreThanRoom } from './needMoreThanRoom';
import { nothingKeyed } from './nothingKeyed';

export type { Finding, Severity } from './finding';

/** Every finding, one file each; adding one is adding a file and a line. */
const rules = {
  nothingKeyed: ['error', nothingKeyed],
  needMoreThanExist: ['error', needMoreThanExist],
  needMoreThanRoom: ['error', needMoreThanRoom],
  familyMismatch: ['error', familyMismatch],
} as const satisfies Record<string, readonly [Severity, FindingRule]>;

export function findings(model: QuestionModel): Finding[] {
  return Object.entries(rules).flatMap(([code, [severity, rule]]) => rule(model).map((found) => ({ code, severity, ...found })));
}

/** How many findings of each severity: what the Vault shows beside a question. */
export interface FindingCounts {
  error: number;
  warning: number;
  note: number;
}
export function countFindings(found: readonly Finding[]): FindingCounts {
  const counts: FindingCounts = { error: 0, warning: 0, note: 0 };
  for (const { severity } of found) counts[severity]++;
  return counts;
}
