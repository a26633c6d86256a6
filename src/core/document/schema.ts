import { type InferType, mixed } from 'yup';
import { AIDS } from './aids';
import type { ItemId, QuestionId, ZoneId } from './ids';
import { KINDS } from './kinds';
import {
  atLeastZero,
  dictionary,
  finite,
  flag,
  identifier,
  languageTag,
  list,
  listOrNull,
  oneOf,
  positive,
  record,
  whole,
  words,
} from './leaves';
import { dressSchema, fixtureSchema, lookSchema, mediaId, mediumSchema, saySchema } from './material';
import { richSchema } from './rich';
import { needSchema, reachSchema, settleSchema, shapeSchema } from './shapes';
import { FORMAT, VERSION } from './version';

/**
 * The one schema of a question document, version 2 (`docs/format/`). Lengths are scene units, turns degrees clockwise.
 */
export { FORMAT, VERSION };

const MISSING = 'is missing';
const size = record({ w: positive().required(MISSING), h: positive().required(MISSING) });
const point = record({ x: finite().required(MISSING), y: finite().required(MISSING) });

const language = () => languageTag().nullable().default(null);
const lookId = () => identifier().nullable().default(null);
const family = () => words(100).nullable().default(null);

export const itemSchema = record({
  id: identifier<ItemId>().required(MISSING),
  label: words(2000).default(''),
  /** The language of its label; null: the question's. */
  lang: language(),
  size: size.required(MISSING),
  home: point.nullable().default(null),
  rotation: finite().default(0),
  copies: mixed<number | 'endless'>(
    (v): v is number | 'endless' =>
      v === 'endless' || (typeof v === 'number' && Number.isInteger(v) && v >= 1 && v <= 10_000),
  )
    .typeError('has to be a whole number from 1 to 10000, or "endless"')
    .default(1),
  family: family(),
  value: finite().nullable().default(null),
  /** What is shown; null: the label. */
  content: saySchema.nullable().default(null),
  look: lookId(),
  stays: flag().default(false),
  again: flag().default(true),
  goesHome: flag().default(true),
});

/** A cover over a zone, hiding what is inside while it is shut. */
const lidSchema = record({ label: words(200).default(''), startsOpen: flag().default(false) });

/** A zone answered by typing: which texts are read as which item. */
const typedSchema = record({
  accept: dictionary(list(words(200).required(MISSING), 200).required(MISSING), 200).required(),
  case: flag().default(false),
  accents: flag().default(false),
  slips: whole(0, 2).default(0),
});

export const zoneSchema = record({
  id: identifier<ZoneId>().required(MISSING),
  label: words(2000).default(''),
  /** The language of its label; null: the question's. */
  lang: language(),
  /** What is drawn as its title; null: the label. */
  title: richSchema.nullable().default(null),
  shape: shapeSchema.required(),
  rotation: finite().default(0),
  family: family(),
  reach: reachSchema.or({ rule: 'share', share: 0.5 }),
  welcome: oneOf('anyone', 'keyed').default('anyone'),
  capacity: whole(1).nullable().default(null),
  whenFull: oneOf('refuse', 'swap').default('refuse'),
  settle: settleSchema.or({ rule: 'asDropped' }),
  floor: flag().default(false),
  hidden: flag().default(false),
  ridesOn: identifier<ItemId>().nullable().default(null),
  typed: typedSchema.nullable().default(null),
  /** A slot answered by choosing from a menu of what it could take. */
  menu: flag().default(false),
  /**
   * How many characters wide a slot in a text is; null: as wide as all others, which is what the longest item needs.
   */
  chars: whole(1, 80).nullable().default(null),
  look: lookId(),
  lid: lidSchema.nullable().default(null),
});

export const keySchema = record({
  zone: identifier<ZoneId>().required(MISSING),
  belongs: listOrNull(identifier<ItemId>().required(MISSING), 2000),
  need: needSchema.orNull(),
  sum: record({ target: finite().required(MISSING), tolerance: atLeastZero().default(0) })
    .nullable()
    .default(null),
  sequence: flag().default(false),
  weight: atLeastZero().nullable().default(null),
  /** What is said of the zone as a whole, and of single items in it. */
  says: record({
    zone: saySchema.nullable().default(null),
    items: dictionary(saySchema.required(MISSING), 2000).orEmpty(),
  })
    .nullable()
    .default(null),
});

/** Items that belong in any of several zones: {@link keySchema} for them all together. */
export const eitherSchema = record({
  belongs: list(identifier<ItemId>().required(MISSING), 2000).required(MISSING),
  zones: list(identifier<ZoneId>().required(MISSING), 300).required(MISSING),
  need: needSchema.required(),
  weight: atLeastZero().nullable().default(null),
});

/** Items of which each sitting gets some: `take` of them are drawn. */
export const poolSchema = record({
  items: list(identifier<ItemId>().required(MISSING), 600).required(MISSING),
  take: whole(1).required(MISSING),
});

export const marksSchema = record({
  max: atLeastZero().required(MISSING),
  rule: oneOf('perPlacement', 'perZone', 'allOrNothing').required(MISSING),
  /** What each wrong placement costs, in right ones: of a copy that has no place left, and of one out of its place. */
  extraCosts: atLeastZero().default(1),
  misplacedCosts: atLeastZero().default(0),
  sequenceRule: oneOf('exactPosition', 'adjacentPairs', 'longestRun', 'pairsInOrder', 'allOrNothing').default(
    'exactPosition',
  ),
  tryCosts: atLeastZero().default(0),
  places: whole(0, 4).default(2),
  tryCounts: oneOf('best', 'last').default('best'),
});

export const traySchema = record({
  side: oneOf('top', 'right', 'bottom', 'left').default('bottom'),
  size: positive().default(120),
  order: oneOf('asListed', 'shuffled').default('asListed'),
});

const startSchema = record({
  placements: list(
    record({
      item: identifier<ItemId>().required(MISSING),
      copy: whole(0, 9999),
      zone: identifier<ZoneId>().required(MISSING),
    }).required(MISSING),
    5000,
  ),
});

const feedbackSchema = record({
  right: saySchema.nullable().default(null),
  partly: saySchema.nullable().default(null),
  wrong: saySchema.nullable().default(null),
});

/**
 * What the learner's page shows. `places` are the named candidate places that *As a list* offers where zones are
 * hidden.
 */
const showSchema = record({
  count: flag().default(true),
  mark: flag().default(true),
  runningTotal: flag().default(false),
  modelAnswer: oneOf('never', 'atTheEnd', 'always').default('never'),
  nextOnlyAfterCheck: flag().default(false),
  aids: list(oneOf(...AIDS).required(MISSING), AIDS.length),
  places: list(
    record({
      label: words(200).required(MISSING),
      x: finite().required(MISSING),
      y: finite().required(MISSING),
    }).required(MISSING),
    500,
  ),
});

/** The author's own words on the buttons; null: ours. */
const button = () => words(60).nullable().default(null);
const buttonsSchema = record({ check: button(), reset: button(), hint: button(), next: button() });

/**
 * Settings of the Bench that learners never get: lists of `item:`, `zone:` or `fixture:` and an id. Veiled things are
 * hidden on the Bench only.
 */
const thing = () =>
  words(110)
    .test(
      'thing',
      'has to be item:, zone: or fixture: and an id',
      (v) => v == null || /^(item|zone|fixture):[\s\S]+$/.test(v),
    )
    .required(MISSING);
const benchSchema = record({
  locked: list(thing(), 4000),
  veiled: list(thing(), 4000),
  groups: list(list(thing(), 4000).required(MISSING), 1000),
});

/**
 * The longest lists there may be: what a page can draw and a server can judge while others wait. A longer one is
 * refused before its entries are looked at.
 */
export const MOST = { fixtures: 600, items: 600, zones: 300, key: 300, either: 300, pools: 100 } as const;
/** Corners of all outlines together. */
export const MAX_CORNERS = 20_000;

export const questionSchema = record({
  format: oneOf(FORMAT).required(MISSING),
  version: mixed<typeof VERSION>((v): v is typeof VERSION => v === VERSION)
    .typeError(`has to be ${VERSION}`)
    .required(MISSING),
  id: identifier<QuestionId>().required(MISSING),
  title: words(500).required(MISSING),
  /** The language it is written in; null: none is said. */
  lang: language(),
  /** The language of its title, where that is another. */
  titleLang: language(),
  kind: oneOf(...KINDS).required(MISSING),
  scene: record({ width: positive().required(MISSING), height: positive().required(MISSING) }).required(MISSING),
  prompt: richSchema.nullable().default(null),
  /** The prompt's spoken form: a sound of the author's. */
  promptSound: mediaId().nullable().default(null),
  dress: dressSchema.nullable().default(null),
  fixtures: list(fixtureSchema.required(), MOST.fixtures),
  looks: dictionary(lookSchema.required(), 500).orEmpty(),
  media: dictionary(mediumSchema.required(MISSING), 1000).orEmpty(),
  items: list(itemSchema.required(), MOST.items),
  zones: list(zoneSchema.required(), MOST.zones),
  key: list(keySchema.required(), MOST.key),
  either: list(eitherSchema.required(), MOST.either),
  pools: list(poolSchema.required(), MOST.pools),
  marks: marksSchema.required(MISSING),
  tries: whole(1).nullable().default(null),
  judging: oneOf('onLand', 'onCheck').default('onCheck'),
  afterMiss: oneOf('leave', 'sendWrongHome', 'sendAllHome').default('leave'),
  tray: traySchema.nullable().default(null),
  start: startSchema.nullable().default(null),
  feedback: feedbackSchema.default(() => ({ right: null, partly: null, wrong: null })),
  hints: list(saySchema.required(MISSING), 20),
  show: showSchema.default(() => ({
    count: true,
    mark: true,
    runningTotal: false,
    modelAnswer: 'never',
    nextOnlyAfterCheck: false,
    aids: [],
    places: [],
  })),
  buttons: buttonsSchema.default(() => ({ check: null, reset: null, hint: null, next: null })),
  bench: benchSchema.default(() => ({ locked: [], veiled: [], groups: [] })),
}).required('is missing');

export type Question = InferType<typeof questionSchema>;
export type Item = InferType<typeof itemSchema>;
export type Zone = InferType<typeof zoneSchema>;
export type KeyEntry = InferType<typeof keySchema>;
export type Either = InferType<typeof eitherSchema>;
export type Pool = InferType<typeof poolSchema>;
export type Marks = InferType<typeof marksSchema>;
export type Tray = InferType<typeof traySchema>;
export type Shape = Zone['shape'];
export type Reach = Zone['reach'];
export type Settle = Zone['settle'];
export type Need = NonNullable<KeyEntry['need']>;
export type Kind = Question['kind'];
export type Typed = NonNullable<Zone['typed']>;
export type Dress = NonNullable<Question['dress']>;
export type Ground = NonNullable<Dress['ground']>;
export type Letters = NonNullable<Dress['letters']>;
export type Fixture = Question['fixtures'][number];
export type Look = Question['looks'][string];
export type Medium = Question['media'][string];
