import type { FindingCode } from '../../../core';
import type { Station } from '../store';

/** The station at which each finding is fixed. */
const STATIONS: Readonly<Record<FindingCode, Station>> = {
  nothingKeyed: 'key',
  unsolvable: 'key',
  needMoreThanExist: 'key',
  needMoreThanRoom: 'behaviour',
  familyMismatch: 'key',
  keyedButTurnedAway: 'layOut',
  reachImpossible: 'behaviour',
  neverWins: 'layOut',
  cannotBePickedUp: 'layOut',
  overflow: 'layOut',
  unclearWinner: 'layOut',
  emptyEarns: 'words',
  allInEarns: 'words',
  lookalikesKeyedApart: 'key',
  lastByElimination: 'key',
  orderGivesAway: 'behaviour',
  tryingWins: 'behaviour',
  labelDoesNotFit: 'layOut',
  targetSmall: 'layOut',
  contrastLow: 'behaviour',
  noDescription: 'layOut',
  cannotBeMissed: 'key',
  wrongIsFree: 'words',
  nothingWelcome: 'key',
  noZoneAdmits: 'behaviour',
  sameName: 'layOut',
  worthNothing: 'words',
  unnamed: 'words',
  listGivesAway: 'layOut',
  coversWords: 'layOut',
  noListForm: 'layOut',
  gapWidthsDiffer: 'kind',
};

export const stationOf = (code: string): Station => STATIONS[code as FindingCode] ?? 'proof';
