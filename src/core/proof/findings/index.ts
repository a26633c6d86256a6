import { type QuestionModel, questionModel } from '../../judge/model';
import { drawnQuestion } from '../../pools/draw';
import { drawsOf, overDraws } from '../../pools/look';
import { reachability } from '../reachable';
import { allInEarns } from './allInEarns';
import { cannotBeMissed } from './cannotBeMissed';
import { cannotBePickedUp } from './cannotBePickedUp';
import { contrastLow } from './contrastLow';
import { coversWords } from './coversWords';
import { emptyEarns } from './emptyEarns';
import { familyMismatch } from './familyMismatch';
import type { Evidence, Finding, FindingRule, Severity } from './finding';
import { gapWidthsDiffer } from './gapWidthsDiffer';
import { keyedButTurnedAway } from './keyedButTurnedAway';
import { labelDoesNotFit } from './labelDoesNotFit';
import { lastByElimination } from './lastByElimination';
import { listGivesAway } from './listGivesAway';
import { lookalikesKeyedApart } from './lookalikesKeyedApart';
import { needMoreThanExist } from './needMoreThanExist';
import { needMoreThanRoom } from './needMoreThanRoom';
import { neverWins } from './neverWins';
import { noDescription } from './noDescription';
import { noListForm } from './noListForm';
import { nothingKeyed } from './nothingKeyed';
import { nothingWelcome } from './nothingWelcome';
import { noZoneAdmits } from './noZoneAdmits';
import { orderGivesAway } from './orderGivesAway';
import { overflow } from './overflow';
import { reachImpossible } from './reachImpossible';
import { sameName } from './sameName';
import { targetSmall } from './targetSmall';
import { tryingWins } from './tryingWins';
import { unclearWinner } from './unclearWinner';
import { unnamed } from './unnamed';
import { unsolvable } from './unsolvable';
import { worthNothing } from './worthNothing';
import { wrongIsFree } from './wrongIsFree';

export type { Evidence, Finding, Severity } from './finding';

/** Every finding, one file each; adding one is adding a file and a line. */
const rules = {
  nothingKeyed: ['error', nothingKeyed],
  unsolvable: ['error', unsolvable],
  needMoreThanExist: ['error', needMoreThanExist],
  needMoreThanRoom: ['error', needMoreThanRoom],
  familyMismatch: ['error', familyMismatch],
  keyedButTurnedAway: ['error', keyedButTurnedAway],
  reachImpossible: ['error', reachImpossible],
  neverWins: ['error', neverWins],
  cannotBePickedUp: ['error', cannotBePickedUp],
  overflow: ['warning', overflow],
  unclearWinner: ['warning', unclearWinner],
  emptyEarns: ['warning', emptyEarns],
  allInEarns: ['warning', allInEarns],
  lookalikesKeyedApart: ['error', lookalikesKeyedApart],
  lastByElimination: ['note', lastByElimination],
  orderGivesAway: ['warning', orderGivesAway],
  tryingWins: ['warning', tryingWins],
  labelDoesNotFit: ['warning', labelDoesNotFit],
  targetSmall: ['warning', targetSmall],
  contrastLow: ['warning', contrastLow],
  noDescription: ['warning', noDescription],
  cannotBeMissed: ['warning', cannotBeMissed],
  wrongIsFree: ['warning', wrongIsFree],
  nothingWelcome: ['error', nothingWelcome],
  noZoneAdmits: ['warning', noZoneAdmits],
  sameName: ['warning', sameName],
  worthNothing: ['warning', worthNothing],
  unnamed: ['note', unnamed],
  listGivesAway: ['warning', listGivesAway],
  coversWords: ['error', coversWords],
  noListForm: ['warning', noListForm],
  gapWidthsDiffer: ['warning', gapWidthsDiffer],
} as const satisfies Record<string, readonly [Severity, FindingRule]>;

export type FindingCode = keyof typeof rules;
export const FINDING_CODES = Object.keys(rules) as readonly FindingCode[];

/** All findings that the evidence bears out. */
export function findingsFrom(evidence: Evidence): Finding[] {
  return Object.entries(rules).flatMap(([code, [severity, rule]]) =>
    rule(evidence).map((found) => ({ code, severity, ...found })),
  );
}

/** As many draws are looked at after every edit. */
const QUICK_DRAWS = 12;

/** The findings that need neither counting nor solving: quick enough to be asked after every edit. */
export function findings(model: QuestionModel): Finding[] {
  const { question } = model;
  if (question.pools.length === 0) return quickly(model);
  const { draws } = drawsOf(question, QUICK_DRAWS);
  return overDraws(draws.map((drawn) => quickly(questionModel(drawnQuestion(question, drawn)))));
}

const quickly = (model: QuestionModel): Finding[] =>
  findingsFrom({
    model,
    reachable: reachability(model),
    guessing: null,
    solvable: null,
    modelAnswer: null,
    contradiction: null,
  });

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
