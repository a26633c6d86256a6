import { type QuestionModel, questionModel } from '../judge/model';
import { drawnQuestion } from '../pools/draw';
import { drawsOf, MAX_DRAWS, overDraws } from '../pools/look';
import { type Budget, budget, OutOfTime, TooMany } from './budget';
import { type Finding, findingsFrom } from './findings';
import { type Guessing, guessing } from './guess/guess';
import { type Reachable, reachability } from './reachable';
import { conflict } from './solve/conflict';
import { puzzleOf, type Rule } from './solve/rules';
import { earnsFullMarks, type ModelPlacement, placementsOf, solveUpright } from './solve/solve';

/**
 * What the computer can say about a question before anyone answers it. Null: not settled in the time given, or, of a
 * model answer, that there is none.
 */
export interface Proof {
  readonly solvable: boolean | null;
  readonly modelAnswer: ModelAnswer | null;
  readonly guessing: Guessing;
  readonly findings: readonly Finding[];
}

/** One arrangement with full marks. With pools it is that of one draw, which it names. */
export interface ModelAnswer {
  readonly drawn?: readonly string[];
  readonly placements: readonly ModelPlacement[];
}

/** Time as whoever calls the core measures it, in milliseconds. */
export interface Clock {
  readonly now: () => number;
  /** Asked to stop: as if time were up. */
  readonly stopped?: () => boolean;
}

/** Of the time given, what solving, counting and all together may have used up. */
const SOLVED_BY = 0.35;
const COUNTED_BY = 0.65;
const SAMPLED_BY = 0.9;

interface Solution {
  readonly solvable: boolean | null;
  readonly placements: readonly ModelPlacement[] | null;
  readonly contradiction: readonly Rule[] | null;
}

/** The proof of a question; with pools, over all its draws. */
export function prove(model: QuestionModel, milliseconds: number, clock: Clock): Proof {
  return model.question.pools.length === 0
    ? proveOne(model, milliseconds, clock)
    : proveDraws(model, milliseconds, clock);
}

function proveOne(model: QuestionModel, milliseconds: number, clock: Clock): Proof {
  const began = clock.now();
  const until = (part: number) => budget(() => clock.stopped?.() === true || clock.now() - began > part * milliseconds);
  const reachable = reachability(model);
  const solution = settle(model, reachable, until(SOLVED_BY));
  const guess = guessing(model, model.question.id, until(COUNTED_BY), until(SAMPLED_BY));
  return {
    solvable: solution.solvable,
    modelAnswer: solution.placements && { placements: solution.placements },
    guessing: guess,
    findings: findingsFrom({
      model,
      reachable,
      guessing: guess,
      solvable: solution.solvable,
      modelAnswer: solution.placements,
      contradiction: solution.contradiction,
    }),
  };
}

function proveDraws({ question }: QuestionModel, milliseconds: number, clock: Clock): Proof {
  const { draws, all } = drawsOf(question, MAX_DRAWS);
  const proofs = draws.map((drawn) =>
    proveOne(questionModel(drawnQuestion(question, drawn)), milliseconds / draws.length, clock),
  );
  const solvable = proofs.some((proof) => proof.solvable === false)
    ? false
    : proofs.every((proof) => proof.solvable)
      ? true
      : null;
  const answered = proofs.findIndex(({ modelAnswer }) => modelAnswer !== null);
  const placements = proofs[answered]?.modelAnswer?.placements;
  return {
    solvable,
    modelAnswer: placements ? { drawn: draws[answered] ?? [], placements } : null,
    guessing: meanGuessing(
      proofs.map(({ guessing }) => guessing),
      !all,
    ),
    findings: overDraws(proofs.map(({ findings }) => findings)),
  };
}

/** The figures' means over the draws. `sampled`: these are not all draws there are. */
function meanGuessing(each: readonly Guessing[], sampled: boolean): Guessing {
  const [chances, fractions] = [
    each.flatMap(({ chanceOfFullMarks }) => chanceOfFullMarks ?? []),
    each.flatMap(({ expectedFraction }) => expectedFraction ?? []),
  ];
  const nothing = { fullMarkArrangements: null, neverMissed: [] };
  if (chances.length < each.length || fractions.length < each.length)
    return { ...nothing, chanceOfFullMarks: null, expectedFraction: null, method: null, standardError: null };
  const exact = !sampled && each.every(({ method }) => method === 'exact');
  const errorOf = (values: readonly number[], own: (guess: Guessing) => number) => {
    const within = each.reduce((sum, guess) => sum + own(guess) ** 2, 0) / values.length ** 2;
    return Math.sqrt(within + (sampled ? variance(values) / values.length : 0));
  };
  return {
    ...nothing,
    chanceOfFullMarks: mean(chances),
    expectedFraction: mean(fractions),
    method: exact ? 'exact' : 'sampled',
    standardError: exact
      ? null
      : {
          chance: errorOf(chances, ({ standardError }) => standardError?.chance ?? 0),
          expected: errorOf(fractions, ({ standardError }) => standardError?.expected ?? 0),
        },
  };
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const variance = (values: readonly number[]) => {
  const middle = mean(values);
  return values.reduce((sum, value) => sum + (value - middle) ** 2, 0) / Math.max(1, values.length - 1);
};

/** One full-mark arrangement, if one is found in the time given. */
export function modelAnswerOf(
  model: QuestionModel,
  milliseconds: number,
  clock: Clock,
): readonly ModelPlacement[] | null {
  const began = clock.now();
  return settle(
    model,
    reachability(model),
    budget(() => clock.now() - began > milliseconds),
  ).placements;
}

function settle(model: QuestionModel, reachable: (item: number, zone: number) => Reachable, time: Budget): Solution {
  // An empty key is not solvable, and `nothingKeyed` says so.
  if (model.entries.length === 0) return { solvable: false, placements: null, contradiction: null };
  const puzzle = puzzleOf(model, reachable, () => true);
  try {
    const answer = solveUpright(puzzle, time);
    if (!answer) return { solvable: false, placements: null, contradiction: smallest(model, reachable, time) };
    const placements = placementsOf(puzzle, answer);
    if (!earnsFullMarks(puzzle, placements)) throw new Error('A model answer was found that does not earn full marks');
    return { solvable: true, placements, contradiction: null };
  } catch (error) {
    if (error instanceof OutOfTime || error instanceof TooMany)
      return { solvable: null, placements: null, contradiction: null };
    throw error;
  }
}

/** That there is no answer is known even where there was no time to find out why. */
function smallest(
  model: QuestionModel,
  reachable: (item: number, zone: number) => Reachable,
  time: Budget,
): readonly Rule[] | null {
  try {
    return conflict(model, reachable, time);
  } catch (error) {
    if (error instanceof OutOfTime || error instanceof TooMany) return null;
    throw error;
  }
}
