import type { Question } from '../../src/core';
import { parseQuestion } from '../../src/core/document';
import { type Random, random, seedOf } from '../../src/core/random/random';

/** How large a random question is at most. */
export interface Limits {
  readonly items: number;
  readonly zones: number;
  readonly copies: number;
  readonly sums?: boolean;
  readonly sequences?: boolean;
  readonly either?: boolean;
}

const SMALL: Limits = { items: 5, zones: 3, copies: 2 };

/** A valid question drawn from a seed: of no sense to anybody, but with every rule in it now and then. */
export function randomQuestion(seed: string, limits: Limits = SMALL): Question {
  const next = random(seedOf(seed));
  const upTo = (n: number) => Math.floor(next() * (n + 1));
  const oneOf = <T>(...values: readonly T[]): T => values[Math.floor(next() * values.length)] as T;
  const families = next() < 0.4 ? ['a', 'b', null] : [null];
  const items = Array.from({ length: 1 + upTo(limits.items - 1) }, (_, i) => ({
    id: `i${i}`,
    label: `Item ${i}`,
    size: { w: oneOf(40, 80, 120.5), h: oneOf(24, 48, 61.25) },
    home: { x: 10 * i, y: 480 },
    rotation: oneOf(0, 0, 30, 90, -45),
    copies: next() < 0.08 ? ('endless' as const) : 1 + upTo(next() < 0.3 ? limits.copies - 1 : 0),
    family: oneOf(...families),
    value: oneOf(null, 1, 2, 2.5, 5),
  }));
  const zones = Array.from({ length: 1 + upTo(limits.zones - 1) }, (_, z) => ({
    id: `z${z}`,
    label: `Zone ${z}`,
    shape: randomShape(next),
    family: oneOf(...families, null),
    reach: oneOf(
      { rule: 'touch' },
      { rule: 'centre' },
      { rule: 'share', share: 0.5 },
      { rule: 'share', share: 0.9 },
      { rule: 'inside' },
      { rule: 'pointer' },
    ),
    welcome: oneOf('anyone', 'anyone', 'keyed'),
    capacity: oneOf(null, null, 1, 2, 3),
    whenFull: oneOf('refuse', 'swap'),
    floor: next() < 0.1,
  }));
  const key = zones.filter(() => next() < 0.8).map((zone) => randomEntry(zone.id, items, next, limits));
  const parsed = parseQuestion({
    format: 'vault-drop/question',
    version: 2,
    id: 'q',
    title: seed,
    kind: 'free',
    scene: { width: 960, height: 540 },
    items,
    zones,
    key,
    either: limits.either === false ? [] : randomEither(items, key, zones, next),
    marks: {
      max: oneOf(1, 4, 7.5),
      rule: oneOf('perPlacement', 'perPlacement', 'perZone', 'allOrNothing'),
      extraCosts: oneOf(0, 0.5, 1, 1),
      misplacedCosts: oneOf(0, 0, 0.5, 1),
      tryCosts: oneOf(0, 0.25),
      places: oneOf(0, 1, 2, 4),
      sequenceRule: oneOf('exactPosition', 'adjacentPairs', 'longestRun', 'pairsInOrder', 'allOrNothing'),
    },
    tries: 3,
    afterMiss: 'sendWrongHome',
  });
  if (!parsed.ok) throw new Error(`${seed}: ${JSON.stringify(parsed.problems)}`);
  return parsed.question;
}

function randomShape(next: Random) {
  const [x, y, w, h] = [
    Math.round(next() * 700),
    Math.round(next() * 300),
    60 + Math.round(next() * 250),
    60 + Math.round(next() * 150),
  ];
  const kind = next();
  if (kind < 0.5) return { type: 'rect', x, y, w, h };
  if (kind < 0.7) return { type: 'ellipse', cx: x + w / 2, cy: y + h / 2, rx: w / 2, ry: h / 2 };
  if (kind < 0.95)
    return {
      type: 'polygon',
      points: [
        [x, y],
        [x + w, y + h / 10],
        [x + w / 2, y + h / 2],
        [x + w, y + h],
        [x + w / 8, y + (h * 4) / 5],
      ],
    };
  return { type: 'slot' };
}

/** Now and then one or two either entries, over zones that want no sequence. */
function randomEither(
  items: readonly { id: string; copies: number | 'endless' }[],
  key: readonly { zone: string; belongs?: readonly string[] | null | undefined; sequence?: boolean | undefined }[],
  zones: readonly { id: string }[],
  next: Random,
) {
  const taken = new Set<string>();
  const entries: { belongs: string[]; zones: string[]; need: object }[] = [];
  for (let n = next() < 0.45 ? (next() < 0.3 ? 2 : 1) : 0; n > 0; n--) {
    const into = zones.filter(({ id }) => !key.some(({ zone, sequence }) => zone === id && sequence) && next() < 0.8);
    const own = new Set(
      key.flatMap(({ zone, belongs }) => (into.some(({ id }) => id === zone) ? [...(belongs ?? [])] : [])),
    );
    const belongs = items.filter(({ id }) => !own.has(id) && !taken.has(id) && next() < 0.6);
    if (into.length < 2 || belongs.length === 0) continue;
    const most = Math.floor(next() * (belongs.length + 1));
    const needs: object[] = [
      { rule: 'exactly', n: most },
      { rule: 'atLeast', n: most },
      { rule: 'between', min: Math.floor(most / 2), max: most },
    ];
    if (belongs.every(({ copies }) => copies !== 'endless')) needs.push({ rule: 'all' }, { rule: 'all' });
    for (const { id } of belongs) taken.add(id);
    entries.push({
      belongs: belongs.map(({ id }) => id),
      zones: into.map(({ id }) => id),
      need: needs[Math.floor(next() * needs.length)] as object,
    });
  }
  return entries;
}

function randomEntry(
  zone: string,
  items: readonly { id: string; copies: number | 'endless' }[],
  next: Random,
  limits: Limits,
) {
  const belongs = items.filter(() => next() < 0.5).map(({ id }) => id);
  const single = belongs.filter((id) => items.find((item) => item.id === id)?.copies === 1);
  const endless = belongs.some((id) => items.find((item) => item.id === id)?.copies === 'endless');
  if (limits.sequences !== false && next() < 0.25 && single.length > 0)
    return { zone, belongs: single, sequence: true, weight: next() < 0.5 ? 2 : null };
  const [a, b] = [Math.floor(next() * 4), Math.floor(next() * 4)];
  const needs = [
    { rule: 'exactly', n: a },
    { rule: 'atLeast', n: a },
    { rule: 'between', min: Math.min(a, b), max: Math.max(a, b) },
    ...(endless ? [] : [{ rule: 'all' }, { rule: 'all' }]),
  ];
  const need = needs[Math.floor(next() * needs.length)];
  if (limits.sums !== false && next() < 0.25 && belongs.length > 0)
    return {
      zone,
      belongs,
      sum: { target: Math.floor(next() * 10), tolerance: next() < 0.5 ? 0 : 1 },
      ...(next() < 0.5 ? { need } : {}),
    };
  return { zone, belongs, need, ...(next() < 0.3 ? { weight: 0.5 } : {}) };
}
