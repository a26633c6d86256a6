import { type Arriving, type Marked, Refused } from './arriving';
import type { DeclaredResponse } from './plainTree';

/** What the values of a response are worth, in marks. */
export interface Worth {
  /** Values that are right, and what each earns. */
  readonly right: ReadonlyMap<string, number>;
  /** What any other value costs. */
  readonly costs: number;
  /** Only all of them together, and nothing else, earn anything: so much. */
  readonly together: number | null;
  readonly highest: number | null;
}

/** What a response is worth by what scores it; throws {@link Refused} where nothing says what is right. */
export function worthOf(response: DeclaredResponse, arriving: Arriving): Worth {
  const { identifier, correct, mapping } = response;
  const scored = arriving.scoredBy.get(identifier) ?? { by: 'correct', worth: 0 };
  if (scored.by === 'values') {
    const right = new Map([...scored.worth].filter(([, worth]) => worth > 0));
    return { right, costs: 0, together: null, highest: null };
  }
  if (scored.by === 'mapping' && mapping) {
    const right = new Map(mapping.entries.flatMap(({ key, worth }) => (worth > 0 ? [[key, worth] as const] : [])));
    if (right.size === 0) throw new Refused('Its mapping gives no value any marks.');
    const costs = mapping.entries.filter(({ worth }) => worth < 0).map(({ worth }) => -worth);
    const others = mapping.otherwise < 0 ? [-mapping.otherwise] : [];
    const all = [...costs, ...others];
    const mean = all.length > 0 ? all.reduce((sum, cost) => sum + cost, 0) / all.length : 0;
    if (all.some((cost) => cost !== mean) || (costs.length > 0 && others.length === 0))
      arriving.approximate(identifier, 'Wrong values cost unequal marks: here each costs the same.');
    if (mapping.otherwise > 0)
      arriving.approximate(identifier, 'Values that are not listed earned marks: here they earn none.');
    if (all.length > 0 && (mapping.lowest === null || mapping.lowest < 0))
      arriving.approximate(identifier, 'Its marks could fall below 0: here they end there.');
    return { right, costs: mean, together: null, highest: mapping.highest };
  }
  if (correct.length === 0) throw new Refused('Nothing in it says which answer is right.');
  const worth = scored.by === 'correct' ? scored.worth : 1;
  return {
    right: new Map(correct.map((value) => [value, worth / correct.length])),
    costs: 0,
    together: worth,
    highest: null,
  };
}

const isEqual = (worths: readonly number[]) => worths.every((worth) => Math.abs(worth - (worths[0] ?? 0)) < 1e-9);

/** Decimals that a number needs, at most four. */
const decimals = (n: number) => [0, 1, 2, 3].find((places) => Math.abs(n - Number(n.toFixed(places))) < 1e-9) ?? 4;

/** What belongs in a zone, each with its worth, and how many there is room for. */
export interface ZoneWorth {
  readonly zone: string;
  readonly right: ReadonlyMap<string, number>;
  readonly capacity: number | null;
}

/**
 * Key and marks of zones to which items belong. Equal worths are marked per placement, unequal ones per zone with its
 * weight, which is named as an approximation where a zone holds several.
 */
export function markedBy(
  zones: readonly ZoneWorth[],
  { costs, together, highest }: Pick<Worth, 'costs' | 'together' | 'highest'>,
  arriving: Arriving,
): Marked {
  const owners = new Map<string, string[]>();
  for (const { zone, right } of zones)
    for (const item of right.keys()) owners.set(item, [...(owners.get(item) ?? []), zone]);
  // An item that belongs in any of several zones that hold many is keyed to them all together, once.
  const shared =
    together !== null
      ? []
      : [...owners].filter(
          ([, of]) => of.length > 1 && of.every((id) => zones.find(({ zone }) => zone === id)?.capacity !== 1),
        );
  const isShared = new Set(shared.map(([item]) => item));
  const entries = zones.map(({ zone, right, capacity }) => {
    const belongs = [...right.keys()].filter((item) => !isShared.has(item));
    const need =
      capacity === 1 && belongs.length > 0
        ? { rule: 'exactly', n: 1 }
        : belongs.length > 0
          ? { rule: 'exactly', n: Math.min(belongs.length, capacity ?? belongs.length) }
          : { rule: 'exactly', n: 0 };
    const worth = belongs.length === 0 ? 0 : Math.max(...belongs.map((item) => right.get(item) ?? 0));
    return { entry: { zone, belongs, need }, n: need.n, worth };
  });
  const either = shared.map(([item, of]) => ({ belongs: [item], zones: of, need: { rule: 'exactly', n: 1 } }));
  const all = zones.flatMap(({ right }) => [...right.values()]);
  const best =
    entries.reduce((sum, { n, worth }) => sum + n * worth, 0) +
    shared.reduce((sum, [item]) => sum + bestOf(zones, item), 0);
  const allOrNothing = together !== null || arriving.allOrNothing;
  const max = arriving.maximum ?? (allOrNothing ? (together ?? best) : (highest ?? best));
  const equal = isEqual(all);
  const places = Math.max(2, decimals(max), decimals(all[0] ?? 0), decimals(costs));
  const marks = { max: round(max), rule: 'perPlacement', extraCosts: 0, misplacedCosts: 0, places };
  const key = entries.map(({ entry }) => entry);
  if (allOrNothing) return { key, either, marks: { ...marks, rule: 'allOrNothing' } };
  if (highest !== null && Math.abs(highest - best) > 1e-9)
    arriving.approximate(
      'mapping',
      `Its marks ended at ${highest} of ${best}: here all that is right is needed for them.`,
    );
  if (equal || either.length > 0) {
    if (!equal) arriving.approximate('mapping', 'What is right earned unequal marks: here each earns the same.');
    const cost = (all[0] ?? 0) > 0 ? costs / (all[0] as number) : 0;
    return { key, either, marks: { ...marks, extraCosts: round(cost), misplacedCosts: round(cost) } };
  }
  arriving.approximate(
    'mapping',
    'What is right earned unequal marks: here each place has a weight, and is right as a whole.',
  );
  return {
    key: entries.map(({ entry, n, worth }) => ({ ...entry, weight: n * worth })),
    either,
    marks: { ...marks, rule: 'perZone' },
  };
}

const bestOf = (zones: readonly ZoneWorth[], item: string) =>
  Math.max(...zones.map(({ right }) => right.get(item) ?? 0));
const round = (n: number) => Math.round(n * 1e6) / 1e6;
