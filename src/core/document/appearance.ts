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

/** The faces that ship with the application, by what they are good for. */
export const FACES = ['school', 'joined', 'steady', 'book', 'round', 'narrow', 'hand', 'code'] as const;
export type Face = (typeof FACES)[number];
/** What the ground of a scene can be made of, and what can be drawn around it. */
export const TEXTURES = ['linen', 'squared', 'lined', 'dotted', 'wood', 'stone', 'leaves', 'weave'] as const;
export const FRAMES = ['line', 'double', 'corners', 'stitched'] as const;
/** The size of an item's words without letters of their own, in scene units: other sizes are in proportion to it. */
export const ITEM_SIZE = 15;
