import { mixed } from 'yup';
import { atLeastZero, finite, oneOf, positive, record, variant, whole } from './leaves';

/** The variants of a zone: its shape, and its rules of reach, settling and need. Lengths are scene units. */
const MISSING = 'is missing';
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
      .test(
        'points',
        'has to be a list of 3 to 500 points, each a pair of finite numbers',
        (v) => v == null || isPointList(v),
      )
      .required(MISSING),
  }),
  slot: record({ type: oneOf('slot').required() }),
});

function isPointList(value: unknown[]): boolean {
  const isPoint = (p: unknown) =>
    Array.isArray(p) && p.length === 2 && p.every((n) => typeof n === 'number' && Number.isFinite(n));
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

const ANCHORS = [
  'topLeft',
  'top',
  'topRight',
  'left',
  'middle',
  'right',
  'bottomLeft',
  'bottom',
  'bottomRight',
] as const;
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
  between: record({
    rule: oneOf('between').required(),
    min: count().required(MISSING),
    max: count().required(MISSING),
  }),
});
