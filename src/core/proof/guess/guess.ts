import type { QuestionModel } from '../../judge/model';
import { neededBy } from '../../judge/tally';
import { judge, ruleFor } from '../../marks/mark';
import { random, seedOf } from '../../random/random';
import { type Budget, OutOfTime, orTooMany, TooMany } from '../budget';
import { coupledEitherSatisfied, coupledFullMarks, coupledMean, coupledSatisfied } from './coupled';
import { sharesOf, sumOver } from './dense';
import { freeWays } from './free';
import { fullMarkWays } from './full';
import { meanHeld } from './joint';
import { type Marginal, marginal } from './marginal';
import { ratio } from './numbers';
import { satisfying } from './outcomes';
import { drawer } from './sample';
import { type Setting, settingOf, trayIsFree } from './setting';

/**
 * What guessing earns. All null where it cannot be said: without a key, with typed answers, or when time ran out before
 * there was anything to say.
 */
export interface Guessing {
  readonly fullMarkArrangements: string | null;
  readonly chanceOfFullMarks: number | null;
  readonly expectedFraction: number | null;
  readonly method: 'exact' | 'sampled' | null;
  readonly standardError: { readonly chance: number; readonly expected: number } | null;
  /** Entries, by index, that every arrangement satisfies; none where that was not settled. */
  readonly neverMissed: readonly number[];
}

const NOTHING: Guessing = {
  fullMarkArrangements: null,
  chanceOfFullMarks: null,
  expectedFraction: null,
  method: null,
  standardError: null,
  neverMissed: [],
};
/** Beyond so many copies the exact numbers grow too long to handle. */
const MAX_COPIES = 700;

/**
 * `exactly` limits the counting, `altogether` the sampling too; of the two the first should run out well before the
 * second.
 */
export function guessing(model: QuestionModel, seed: string, exactly: Budget, altogether: Budget): Guessing {
  if (model.entries.length === 0 || model.readers.some(Boolean)) return NOTHING;
  const all = settingOf(model, true).copies.reduce((sum, n) => sum + n, 0);
  if (all > MAX_COPIES) return NOTHING;
  try {
    const { setting, total } = arrangements(model, altogether);
    const exact = counted(setting, total, exactly);
    return exact ?? sampled(setting, seed, altogether);
  } catch (error) {
    if (error instanceof OutOfTime || error instanceof TooMany) return NOTHING;
    throw error;
  }
}

/** The setting with the tray open or shut as it has to be, and how many arrangements there are. */
export function arrangements(model: QuestionModel, budget: Budget): { setting: Setting; total: bigint } {
  const zones = model.zones.map((_, z) => z);
  if (!trayIsFree(model)) {
    const setting = settingOf(model, false);
    const total = freeWays(setting, zones, budget)(setting.counts);
    if (total > 0n) return { setting, total };
  }
  const setting = settingOf(model, true);
  return { setting, total: freeWays(setting, zones, budget)(setting.counts) };
}

function counted(setting: Setting, total: bigint, budget: Budget): Guessing | null {
  try {
    const { model } = setting;
    const full = fullMarks(setting, total, budget);
    const marginals =
      model.either.length > 0
        ? model.entries.map((_, e) => ({ satisfied: coupledSatisfied(setting, e, budget), right: 0 }))
        : model.entries.map((entry) => marginal(setting, entry, total, budget));
    return {
      fullMarkArrangements: full.toString(),
      chanceOfFullMarks: ratio(full, total),
      expectedFraction: expected(setting, full, total, marginals, budget),
      method: 'exact',
      standardError: null,
      neverMissed: marginals.flatMap(({ satisfied }, e) => (satisfied === total ? [e] : [])),
    };
  } catch (error) {
    if (error instanceof OutOfTime || error instanceof TooMany) return null;
    throw error;
  }
}

/**
 * Where there are few copies, all of them unlike, going through every share of them beats remembering too many states.
 */
const FEW_STATES = 10_000;

function fullMarks(setting: Setting, total: bigint, budget: Budget): bigint {
  if (setting.model.either.length > 0) return coupledFullMarks(setting, budget);
  const shares = orTooMany(() => sharesOf(setting, total, budget));
  if (!shares) return fullMarkWays(setting, budget);
  return orTooMany(() => fullMarkWays(setting, budget, FEW_STATES)) ?? BigInt(sumOver(shares, satisfying, () => 1));
}

function expected(
  setting: Setting,
  full: bigint,
  total: bigint,
  marginals: readonly Marginal[],
  budget: Budget,
): number {
  const { entries, either, question } = setting.model;
  const needed = entries.map(neededBy);
  const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
  const all = sum(needed) + sum(either.map(({ lo }) => lo));
  const weights = sum([...entries, ...either].map(({ weight }) => weight));
  switch (ruleFor(question.marks, all, weights)) {
    case 'allOrNothing':
      return ratio(full, total);
    case 'perZone': {
      const inEither = either.map(({ weight }, k) =>
        weight > 0 ? weight * ratio(coupledEitherSatisfied(setting, k, budget), total) : 0,
      );
      return (
        (sum(marginals.map(({ satisfied }, e) => (entries[e]?.weight ?? 0) * ratio(satisfied, total))) +
          sum(inEither)) /
        weights
      );
    }
    case 'perPlacement': {
      const cost = either.length > 0 ? null : oneCost(setting);
      if (cost === null) return coupledMean(setting, total, budget);
      return cost > 0 ? meanHeld(setting, total, cost, budget) : sum(marginals.map(({ right }) => right)) / all;
    }
  }
}

/**
 * What every wrong placement costs, where all cost the same: the two costs are equal, or there is nothing that could be
 * extra, because each item that can be wrong anywhere is needed to the last copy where it belongs. Null: they differ.
 */
function oneCost({ model, copies, typeOf }: Setting): number | null {
  const { extraCosts, misplacedCosts } = model.question.marks;
  if (extraCosts === misplacedCosts) return extraCosts;
  const there = (order: readonly number[]) => order.reduce((sum, item) => sum + (copies[item] as number), 0);
  // Those too many are extra, whatever they are.
  if (model.entries.some(({ hi, order, sequence }) => !sequence && hi < there(order))) return null;
  const needsAll = model.entries.filter(({ lo, order }) => lo >= there(order));
  const isNeeded = (item: number) => needsAll.some(({ belongs }) => belongs.has(item));
  return model.items.every((_, item) => (typeOf[item] as number) < 0 || isNeeded(item)) ? misplacedCosts : null;
}

const MAX_DRAWS = 20_000;
const MIN_DRAWS = 30;

function sampled(setting: Setting, seed: string, budget: Budget): Guessing {
  const draw = drawer(setting, budget);
  const next = random(seedOf(seed));
  const { model } = setting;
  const each = model.items.length + 20 * model.zones.length;
  let n = 0;
  let full = 0;
  let sum = 0;
  let squares = 0;
  try {
    for (; n < MAX_DRAWS; n++) {
      budget.spend(20 * each);
      const { fraction, fullMarks } = judge(model, draw(next), 1);
      if (fullMarks) full++;
      sum += fraction;
      squares += fraction * fraction;
    }
  } catch (error) {
    if (!(error instanceof OutOfTime) || n < MIN_DRAWS) throw error;
  }
  const chance = full / n;
  const mean = sum / n;
  return {
    fullMarkArrangements: null,
    chanceOfFullMarks: chance,
    expectedFraction: mean,
    method: 'sampled',
    standardError: {
      chance: Math.sqrt((chance * (1 - chance)) / n),
      expected: Math.sqrt(Math.max(0, squares / n - mean * mean) / n),
    },
    neverMissed: [],
  };
}
