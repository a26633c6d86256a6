import { neededBy } from '../../judge/tally';
import { type Budget, orTooMany, TooMany } from '../budget';
import { scoresApart } from './apart';
import { byType, type Class, classesOf } from './classes';
import { compositions } from './compositions';
import { sharesOf, sumOver } from './dense';
import { freeWays } from './free';
import { choose, ratio } from './numbers';
import { type Outcomes, outcomesOf } from './outcomes';
import { neutralZones, type Setting } from './setting';
import { sumName } from './sums';

/**
 * The mean of (R − wrongCosts·W)/N held to 0…1 over all arrangements, where all wrong ones cost the same. Where wrong ones cost, the zones cannot be looked
 * at one by one: the mean of what is held to a range is not what the means come to. Where copies do not get in one
 * another's way the scores of the entries multiply; of few copies every share is gone through; else zone after zone
 * takes its part of what the ones before have left, and the score is carried along.
 */
export function meanHeld(setting: Setting, total: bigint, wrongCosts: number, budget: Budget): number {
  const { model } = setting;
  const needed = model.entries.reduce((sum, entry) => sum + neededBy(entry), 0);
  const outcomes = outcomesOf(setting, wrongCosts, budget);
  const held = (score: number) => Math.min(1, Math.max(0, score / needed));
  let mean = 0;
  const apart = scoresApart(setting, budget);
  if (apart) {
    for (const [c, row] of apart.entries())
      for (const [w, ways] of row.entries()) mean += held(c - wrongCosts * w) * ratio(ways, total);
    return Math.min(1, mean);
  }
  const shares = orTooMany(() => sharesOf(setting, total, budget));
  const few = shares && orTooMany(() => sumOver(shares, outcomes, held));
  if (few !== null) return Math.min(1, few / Number(total));
  const scores = scoreWays(setting, outcomes, budget);
  for (const { score, ways } of scores.values()) mean += held(score) * ratio(ways, total);
  return Math.min(1, mean);
}

interface Scored {
  readonly score: number;
  ways: bigint;
}
type Scores = Map<string, Scored>;
interface Left {
  readonly counts: readonly number[];
  readonly scores: Scores;
}

const MAX_SCORES = 200_000;

function addScore(scores: Scores, score: number, ways: bigint): void {
  const name = sumName(score);
  const same = scores.get(name);
  if (same) same.ways += ways;
  else scores.set(name, { score, ways });
}

function scoreWays(setting: Setting, outcomes: Outcomes, budget: Budget): Scores {
  const { model } = setting;
  let classes = classesOf(setting);
  let states = new Map<string, Left>([
    ['', { counts: classes.map(({ n }) => n), scores: new Map([['0', { score: 0, ways: 1n }]]) }],
  ]);
  model.entries.forEach((entry, e) => {
    const { zone } = entry;
    const open = classes.map(({ type }) => setting.open[zone]?.[type] === true);
    // From here on this entry tells nobody apart.
    const later = merged(classes, e);
    const next = new Map<string, Left>();
    let kept = 0;
    for (const { counts, scores } of states.values())
      for (const taken of compositions(
        counts.map((n, i) => (open[i] ? n : 0)),
        setting.room[zone] as number,
      )) {
        const left = later.into.reduce<number[]>(
          (sums, to, i) => {
            sums[to] = (sums[to] as number) + (counts[i] as number) - (taken[i] as number);
            return sums;
          },
          later.classes.map(() => 0),
        );
        const name = left.join();
        let state = next.get(name);
        if (!state) {
          state = { counts: left, scores: new Map() };
          next.set(name, state);
        }
        const chosen = taken.reduce((ways, k, i) => ways * choose(counts[i] as number, k), 1n);
        const before = state.scores.size;
        for (const outcome of outcomes(entry, e, classes, taken))
          for (const { score, ways } of scores.values())
            addScore(state.scores, score + outcome.score, ways * chosen * outcome.ways);
        kept += state.scores.size - before;
        if (kept > MAX_SCORES) throw new TooMany('too many scores to hold apart');
        budget.spend(40 * scores.size);
      }
    classes = later.classes;
    states = next;
  });
  const free = freeWays(setting, neutralZones(model), budget);
  const all: Scores = new Map();
  for (const { counts, scores } of states.values()) {
    const around = free(byType(setting, classes, counts));
    if (around > 0n) for (const { score, ways } of scores.values()) addScore(all, score, ways * around);
  }
  return all;
}

/** The classes once entry `e` is dealt with, and which of them each class goes into. */
function merged(classes: readonly Class[], e: number): { classes: Class[]; into: number[] } {
  const found = new Map<string, number>();
  const next: Class[] = [];
  const into = classes.map(({ type, entries, value, n, item }) => {
    const later = entries.filter((other) => other > e);
    const name = later.length === 0 ? `${type}` : `${type}|${later.join()}|${value}|${item}`;
    const known = found.get(name);
    if (known !== undefined) return known;
    found.set(name, next.length);
    return (
      next.push({
        type,
        entries: later,
        value: later.length === 0 ? 0 : value,
        n,
        item: later.length === 0 ? -1 : item,
      }) - 1
    );
  });
  return { classes: next, into };
}
