/** The names of what things can look like, apart from the schema so that no page loads Yup for them. */
export const COLOURS = [
  'ink',
  'paper',
  'sheet',
  'rule',
  'mute',
  'brass',
  'brassWash',
  'verdigris',
  'verdigrisWash',
  'brick',
  'brickWash',
] as const;
export const ITEM_STATES = [
  'rest',
  'inHand',
  'overZone',
  'settled',
  'waiting',
  'turnedAway',
  'right',
  'wrong',
  'putAway',
] as const;
export const ZONE_STATES = ['rest', 'calling', 'underItem', 'taking', 'refusing', 'full', 'right', 'wrong'] as const;
