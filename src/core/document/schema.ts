import { type InferType, mixed } from 'yup';
import type { ItemId, QuestionId, ZoneId } from './ids';
import { atLeastZero, finite, flag, identifier, list, listOrNull, oneOf, positive, record, variant, whole, words } from './leaves';
import { richSchema } from './rich';

/** The one schema of a question document, version 1 (`docs/format/`). Lengths are scene units, turns degrees clockwise. */
export const FORMAT = 'vault-drop/question';
export const VERSION = 1;
export const KINDS = ['sort', 'label', 'mark', 'gaps', 'order', 'count', 'build', 'pick', 'free'] as const;

const MISSING = 'is missing';
const size = record({ w: positive().required(MISSING), h: positive().required(MISSING) });
const point = record({ x: finite().required(MISSING), y: finite().required(MISSING) });
const gap = () => atLeastZero().default(8);

export const shapeSchema = variant('type', {
  rect: record({
    type: oneOf('rect').required(),
    x: finite().required(MISSING),
    y: finite().required(MISSING),
    w: positive().required(MISSING),
    h: positive().required(MISSING),
  }),
  ellipse: record({
    type: oneOf('ellipse').required(),
    cx: finite().required(MISSING),
    cy: finite().required(MISSING),
    rx: positive().required(MISSING),
    ry: positive().required(MISSING),
  }),
  polygon: record({
    type: oneOf('polygon').required(),
    points: mixed<[number, number][]>((v): v is [number, number][] => Array.isArray(v))
      .typeError('has to be a list of points')
      .test('points', 'has to be a list of 3 to 500 points, each a pair of finite numbers', (v) => v == null || isPointList(v))
      .required(MISSING),
  }),
  slot: record({ type: oneOf('slot').required() }),
});

function isPointList(value: unknown[]): boolean {
  const isPoint = (p: unknown) => Array.isArray(p) && p.length === 2 && p.every((n) => typeof n === 'number' && Number.isFinite(n));
  return value.length >= 3 && value.length <= 500 && value.every(isPoint);
}

export const reachSchema = variant('rule', {
  touch: record({ rule: oneOf('touch').required() }),
  centre: record({ rule: oneOf('centre').required() }),
  share: record({
    rule: oneOf('share').required(),
    share: positive()
      .test('share', 'has to be at most 1', (v) => v == null || v <= 1)
      .default(0.5),
  }),
  inside: record({ rule: oneOf('inside').required() }),
  pointer: record({ rule: oneOf('pointer').required() }),
});

const ANCHORS = ['topLeft', 'top', 'topRight', 'left', 'middle', 'right', 'bottomLeft', 'bottom', 'bottomRight'] as const;
export const settleSchema = variant('rule', {
  asDropped: record({ rule: oneOf('asDropped').required() }),
  anchor: record({ rule: oneOf('anchor').required(), at: oneOf(...ANCHORS).default('middle'), gap: gap() }),
  row: record({ rule: oneOf('row').required(), gap: gap() }),
  column: record({ rule: oneOf('column').required(), gap: gap() }),
  grid: record({ rule: oneOf('grid').required(), gap: gap() }),
  pile: record({ rule: oneOf('pile').required() }),
});

const count = () => whole(0);
export const needSchema = variant('rule', {
  all: record({ rule: oneOf('all').required() }),
  exactly: record({ rule: oneOf('exactly').required(), n: count().required(MISSING) }),
  atLeast: record({ rule: oneOf('atLeast').required(), n: count().required(MISSING) }),
  between: record({ rule: oneOf('between').required(), min: count().required(MISSING), max: count().required(MISSING) }).test(
    'order',
    'has a min above its max',
    (v) => v == null || !((v.min as number) > (v.max as number)),
  ),
});

const family = () => words(100).nullable().default(null);

export const itemSchema = record({
  id: identifier<ItemId>().required(MISSING),
  label: words(2000).default(''),
  size: size.required(MISSING),
  home: point.nullable().default(null),
  rotation: finite().default(0),
  copies: mixed<number | 'endless'>((v): v is number | 'endless' => v === 'endless' || (typeof v === 'number' && Number.isInteger(v) && v >= 1 && v <= 10_000))
    .typeError('has to be a whole number from 1 to 10000, or "endless"')
    .default(1),
  family: family(),
  value: finite().nullable().default(null),
});

export const zoneSchema = record({
  id: identifier<ZoneId>().required(MISSING),
  label: words(2000).default(''),
  shape: shapeSchema.required(),
  rotation: finite().default(0),
  family: family(),
  reach: reachSchema.or({ rule: 'share', share: 0.5 }),
  welcome: oneOf('anyone', 'keyed').default('anyone'),
  capacity: whole(1).nullable().default(null),
  whenFull: oneOf('refuse', 'swap').default('refuse'),
  settle: settleSchema.or({ rule: 'asDropped' }),
  floor: flag().default(false),
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
});

export const marksSchema = record({
  max: atLeastZero().required(MISSING),
  rule: oneOf('perPlacement', 'perZone', 'allOrNothing').required(MISSING),
  wrongCosts: atLeastZero().default(0),
  sequenceRule: oneOf('exactPosition', 'adjacentPairs', 'longestRun', 'pairsInOrder', 'allOrNothing').default('exactPosition'),
  tryCosts: atLeastZero().default(0),
  places: whole(0, 4).default(2),
  tryCounts: oneOf('best', 'last').default('best'),
});

export const traySchema = record({
  side: oneOf('top', 'right', 'bottom', 'left').default('bottom'),
  size: positive().default(120),
  order: oneOf('asListed', 'shuffled').default('asListed'),
});

export const questionSchema = record({
  format: oneOf(FORMAT).required(MISSING),
  version: mixed<typeof VERSION>((v): v is typeof VERSION => v === VERSION)
    .typeError(`has to be ${VERSION}`)
    .required(MISSING),
  id: identifier<QuestionId>().required(MISSING),
  title: words(500).required(MISSING),
  kind: oneOf(...KINDS).required(MISSING),
  scene: record({ width: positive().required(MISSING), height: positive().required(MISSING) }).required(MISSING),
  prompt: richSchema.nullable().default(null),
  items: list(itemSchema.required(), 2000),
  zones: list(zoneSchema.required(), 1000),
  key: list(keySchema.required(), 1000),
  marks: marksSchema.required(MISSING),
  tries: whole(1).nullable().default(null),
  judging: oneOf('onLand', 'onCheck').default('onCheck'),
  afterMiss: oneOf('leave', 'sendWrongHome', 'sendAllHome').default('leave'),
  tray: traySchema.nullable().default(null),
}).required('is missing');

export type Question = InferType<typeof questionSchema>;
export type Item = InferType<typeof itemSchema>;
export type Zone = InferType<typeof zoneSchema>;
export type KeyEntry = InferType<typeof keySchema>;
export type Marks = InferType<typeof marksSchema>;
export type Tray = InferType<typeof traySchema>;
export type Shape = Zone['shape'];
export type Reach = Zone['reach'];
export type Settle = Zone['settle'];
export type Need = NonNullable<KeyEntry['need']>;
export type Kind = Question['kind'];
