import { neededBy, type QuestionModel, ruleFor, SLACK } from '../../core';
import {
  and,
  at,
  choose,
  containerSize,
  divide,
  type Expression,
  float,
  greatest,
  gt,
  gte,
  integer,
  least,
  lte,
  match,
  named,
  or,
  product,
  type Step,
  set,
  subtract,
  sum,
  truncate,
  variable,
  when,
} from './expressions';
import { SCORE } from './names';

/** How a response says what lies where. */
export interface Holding {
  /** Holds where something was answered at all: nothing is counted before. */
  readonly answered: Expression;
  /**
   * Conditions of which each is true for one copy of the item in the zone, by their indexes; one more than the last
   * item: something that was read as no item.
   */
  readonly copiesIn: (zone: number, item: number) => readonly Expression[];
  /** The names of a sequence in its order, of a response of ordered cardinality; null: there is no sequence. */
  readonly inOrder: {
    readonly response: Expression;
    readonly longest: number;
    readonly nameOf: (item: number) => string;
  } | null;
}

/** A helper outcome: no id has such a name. */
export interface Helper {
  readonly identifier: string;
  readonly type: 'integer' | 'float' | 'identifier';
  readonly start: string;
}
export interface Scoring {
  readonly steps: readonly Step[];
  readonly helpers: readonly Helper[];
}

export const FEEDBACK = 'vd-feedback';

type Entry = QuestionModel['entries'][number];

/**
 * Response processing that gives SCORE the mark of a first try, for every arrangement: the key's tallies, the marks
 * rule with its costs, bounds and rounding (`core/marks`), written out.
 */
export function scoringOf(model: QuestionModel, holding: Holding): Scoring {
  const helpers: Helper[] = [];
  const helper = (name: string, type: Helper['type'] = 'integer', start = '0'): Expression => {
    const identifier = `vd-${name}`;
    helpers.push({ identifier, type, start });
    return variable(identifier);
  };
  const counting: Step[] = [];
  const judging: Step[] = [];
  const add = (to: Expression, what: Expression): Step => set(nameOf(to), sum(to, what));
  const one = integer(1);

  const { marks } = model.question;
  const itemIndexes = Array.from({ length: model.items.length + 1 }, (_, item) => item);
  const eitherRights = model.either.map((_, i) => helper(`either-${i + 1}`));
  const costsDiffer = marks.rule === 'perPlacement' && marks.misplacedCosts !== marks.extraCosts;
  const isListed = (item: number) =>
    model.entries.some(({ belongs }) => belongs.has(item)) || (model.eitherOf[item] ?? -1) >= 0;
  const astray = new Map<number, Expression>();
  const astrayOf = (item: number): Expression => {
    const known = astray.get(item) ?? helper(`astray-${item + 1}`);
    astray.set(item, known);
    return known;
  };

  const tallies = model.entries.map((entry, i) => {
    const right = helper(`right-${i + 1}`);
    const wrong = helper(`wrong-${i + 1}`);
    const total = entry.sum ? helper(`total-${i + 1}`, 'float') : null;
    for (const item of itemIndexes) {
      const counts: Step[] = [];
      if (entry.belongs.has(item)) counts.push(add(right, one));
      else if (!entry.apart.has(item)) {
        counts.push(add(wrong, one));
        if (costsDiffer && isListed(item)) counts.push(add(astrayOf(item), one));
      }
      const value = model.values[item] ?? 0;
      if (total && value !== 0) counts.push(add(total, float(value)));
      const either = model.eitherOf[item] ?? -1;
      const eitherRight = eitherRights[either];
      if (eitherRight && entry.apart.has(item)) counts.push(add(eitherRight, one));
      if (counts.length > 0)
        for (const condition of holding.copiesIn(entry.zone, item)) counting.push(when(condition, ...counts));
    }
    return { entry, right, wrong, total };
  });

  const sequences = model.entries.map((entry) =>
    entry.sequence && holding.inOrder ? sequenceIn(entry, marks.sequenceRule, holding.inOrder, helper) : null,
  );
  counting.push(...sequences.flatMap((found) => found?.steps ?? []));

  const held = tallies.map(({ entry, right, wrong, total }, i) => {
    const holds = helper(`holds-${i + 1}`);
    const { sum: wanted } = entry;
    const conditions = [
      lte(wrong, integer(0)),
      ...(entry.lo > 0 ? [gte(right, integer(entry.lo))] : []),
      ...(Number.isFinite(entry.hi) ? [lte(right, integer(entry.hi))] : []),
      ...(wanted && total
        ? [
            gte(total, float(wanted.target - wanted.tolerance - SLACK)),
            lte(total, float(wanted.target + wanted.tolerance + SLACK)),
          ]
        : []),
      ...(sequences[i] ? [sequences[i].inOrder] : []),
    ];
    judging.push(when(and(...conditions), set(nameOf(holds), one)));
    return holds;
  });
  const eitherHeld = model.either.map((entry, i) => {
    const holds = helper(`either-holds-${i + 1}`);
    const right = eitherRights[i] as Expression;
    const conditions = [
      gte(right, integer(entry.lo)),
      ...(Number.isFinite(entry.hi) ? [lte(right, integer(entry.hi))] : []),
    ];
    judging.push(when(and(...conditions), set(nameOf(holds), one)));
    return holds;
  });

  const allHeld = [...held, ...eitherHeld];
  const full = helper('full');
  judging.push(when(gte(sum(...allHeld), integer(allHeld.length)), set(nameOf(full), one)));

  const lackOf = (right: Expression, lo: number) => greatest(integer(0), subtract(integer(lo), right));
  const needed =
    model.entries.reduce((all, entry) => all + neededBy(entry), 0) + model.either.reduce((all, { lo }) => all + lo, 0);
  const weights = [...model.entries, ...model.either].map(({ weight }) => weight);
  const weightInAll = weights.reduce((all, weight) => all + weight, 0);
  const fraction = helper('fraction', 'float');
  const is = (value: Expression) => judging.push(set(nameOf(fraction), value));
  const rule = ruleFor(marks, needed, weightInAll);
  if (rule === 'perPlacement') {
    const earned = [
      ...tallies.map(({ entry, right }, i) => {
        const found = sequences[i];
        if (entry.sum) return held[i] as Expression;
        if (found) return product(integer(entry.order.length), found.share);
        return least(right, integer(entry.lo));
      }),
      ...model.either.map(({ lo }, i) => least(eitherRights[i] as Expression, integer(lo))),
    ];
    const misplaced = [...astray].map(([item, wrong]) => {
      const lacking = [
        ...tallies.flatMap(({ entry, right }) => (entry.belongs.has(item) ? [lackOf(right, entry.lo)] : [])),
        ...model.either.flatMap((entry, i) =>
          entry.belongs.has(item) ? [lackOf(eitherRights[i] as Expression, entry.lo)] : [],
        ),
      ];
      return least(wrong, sum(...lacking));
    });
    const surplus = [
      ...tallies.flatMap(({ entry, right }) => (entry.sequence ? [] : over(right, entry.hi))),
      ...model.either.flatMap(({ hi }, i) => over(eitherRights[i] as Expression, hi)),
    ];
    const allMisplaced = misplaced.length > 0 ? helper('misplaced') : null;
    if (allMisplaced) judging.push(set(nameOf(allMisplaced), sum(...misplaced)));
    const allWrong = sum(...tallies.map(({ wrong }) => wrong), ...surplus);
    // Where both cost the same, all of them are counted as extra.
    const extra = allMisplaced ? subtract(allWrong, allMisplaced) : allWrong;
    const costs: Expression[] = [
      ...(allMisplaced && marks.misplacedCosts > 0 ? [product(float(marks.misplacedCosts), allMisplaced)] : []),
      ...(marks.extraCosts > 0 ? [product(float(marks.extraCosts), extra)] : []),
    ];
    const left = costs.reduce((rest, cost) => subtract(rest, cost), sum(...earned));
    is(least(float(1), greatest(float(0), divide(left, integer(needed)))));
  } else if (rule === 'perZone')
    is(divide(sum(...allHeld.map((holds, i) => product(float(weights[i] as number), holds))), float(weightInAll)));
  else is(product(float(1), full));

  // The mark, rounded half up at the question's places as `markOf` rounds it.
  const scale = 10 ** marks.places;
  const rounded = divide(
    truncate(sum(product(product(float(marks.max), fraction), integer(scale)), float(0.5), float(SLACK))),
    integer(scale),
  );
  judging.push(
    set(SCORE, least(float(marks.max), rounded)),
    choose(
      [
        { when: gte(full, one), does: [set(FEEDBACK, named('right'))] },
        { when: gt(fraction, float(0)), does: [set(FEEDBACK, named('partly'))] },
      ],
      [set(FEEDBACK, named('wrong'))],
    ),
  );
  helpers.push({ identifier: FEEDBACK, type: 'identifier', start: '' });
  return { steps: [when(holding.answered, ...counting), ...judging], helpers };
}

const nameOf = ({ attributes }: Expression): string => attributes.identifier as string;
const over = (right: Expression, hi: number): Expression[] =>
  Number.isFinite(hi) ? [greatest(integer(0), subtract(right, integer(hi)))] : [];

/** A sequence's share by its rule, and whether it is in order. The sources of the rules: `core/marks/sequence`. */
function sequenceIn(
  entry: Entry,
  rule: QuestionModel['question']['marks']['sequenceRule'],
  { response, longest, nameOf: nameIn }: NonNullable<Holding['inOrder']>,
  helper: (name: string) => Expression,
): { readonly steps: readonly Step[]; readonly inOrder: Expression; readonly share: Expression } {
  const n = entry.order.length;
  const steps: Step[] = [];
  const standsAt = (item: number, place: number) => match(at(place, response), named(nameIn(item)));
  const places = Array.from({ length: longest }, (_, i) => i + 1);
  const hits = helper('in-place');
  entry.order.forEach((item, i) => {
    if (i < longest) steps.push(when(standsAt(item, i + 1), set(nameOf(hits), sum(hits, integer(1)))));
  });
  const inOrder = and(gte(hits, integer(n)), lte(containerSize(response), integer(n)));
  const shareOf = (count: Expression, of: number) => divide(count, integer(of));
  const counted = (name: string) => {
    const counter = helper(name);
    return {
      counter,
      count: (condition: Expression) => steps.push(when(condition, set(nameOf(counter), sum(counter, integer(1))))),
    };
  };
  /** The place at which each of the sequence stands, from 1; 0: it is not there. */
  const placesOf = () =>
    entry.order.map((item, i) => {
      const place = helper(`place-${i + 1}`);
      steps.push(choose(places.map((p) => ({ when: standsAt(item, p), does: [set(nameOf(place), integer(p))] }))));
      return place;
    });
  const isLater = (earlier: Expression, later: Expression) => and(gt(earlier, integer(0)), gt(later, earlier));
  const isOfPairs = rule === 'adjacentPairs' || rule === 'pairsInOrder';
  switch (n === 1 && isOfPairs ? 'exactPosition' : rule) {
    case 'exactPosition':
      return { steps, inOrder, share: shareOf(hits, n) };
    case 'adjacentPairs': {
      const { counter, count } = counted('pairs');
      for (let i = 1; i < n && longest > 1; i++)
        count(
          or(
            ...places
              .slice(1)
              .map((p) => and(standsAt(entry.order[i - 1] as number, p - 1), standsAt(entry.order[i] as number, p))),
          ),
        );
      return { steps, inOrder, share: shareOf(counter, n - 1) };
    }
    case 'pairsInOrder': {
      const where = placesOf();
      const { counter, count } = counted('pairs');
      for (let i = 0; i < n; i++)
        for (let j = i + 1; j < n; j++) count(isLater(where[i] as Expression, where[j] as Expression));
      return { steps, inOrder, share: shareOf(counter, (n * (n - 1)) / 2) };
    }
    case 'longestRun': {
      // The longest run that ends with each of them, one after another.
      const where = placesOf();
      const runs = where.map((place, j) => {
        const run = helper(`run-${j + 1}`);
        return { place, run };
      });
      runs.forEach(({ place, run }, j) => {
        const after = runs
          .slice(0, j)
          .map((earlier) =>
            when(
              and(isLater(earlier.place, place), gte(earlier.run, run)),
              set(nameOf(run), sum(earlier.run, integer(1))),
            ),
          );
        steps.push(when(gt(place, integer(0)), set(nameOf(run), integer(1)), ...after));
      });
      return {
        steps,
        inOrder,
        share: shareOf(runs.length === 1 ? (runs[0]?.run as Expression) : greatest(...runs.map(({ run }) => run)), n),
      };
    }
    case 'allOrNothing': {
      const all = helper('all-in-order');
      steps.push(when(inOrder, set(nameOf(all), integer(1))));
      return { steps, inOrder, share: shareOf(all, 1) };
    }
  }
}
