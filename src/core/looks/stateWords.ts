/** The states as they are called on screen (glossary.md). */
export const STATE_WORDS: Readonly<Record<string, string>> = {
  rest: 'at rest',
  inHand: 'in hand',
  overZone: 'over a zone',
  settled: 'settled',
  waiting: 'waiting',
  turnedAway: 'turned away',
  right: 'judged right',
  wrong: 'judged wrong',
  putAway: 'put away',
  calling: 'calling',
  underItem: 'under an item',
  taking: 'taking',
  refusing: 'refusing',
  full: 'full',
};
