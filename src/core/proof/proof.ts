import type { QuestionModel } from '../judge/model';
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
  readonly modelAnswer: { readonly placements: readonly ModelPlacement[] } | null;
  readonly guessing: Guessing;
  readonly findings: readonly Finding[];
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

export function prove(model: QuestionModel, milliseconds: number, clock: Clock): Proof {
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
      contradiction: solution.contradiction,
    }),
  };
}

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
