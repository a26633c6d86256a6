import { type Figure, wilson } from './intervals';

/** A question that somebody was asked, with what it earned of its points, and the outcomes that it has. */
export interface OutcomeAnswer {
  readonly learnerId: string;
  readonly question: string;
  readonly outcomes: readonly string[];
  readonly earned: number;
  /** Above 0. */
  readonly points: number;
}

/** A share of marks: what was earned of what could be, from 0 to 1, with its interval. */
export interface Mastered extends Figure {
  readonly answers: number;
}

export interface Mastery {
  /** By outcome; without an entry nothing was answered of it. */
  readonly all: ReadonlyMap<string, Mastered & { readonly questions: number }>;
  /** By outcome and learner. */
  readonly learners: ReadonlyMap<string, ReadonlyMap<string, Mastered>>;
}

interface Sum {
  earned: number;
  points: number;
  squares: number;
  answers: number;
}
const nothing = (): Sum => ({ earned: 0, points: 0, squares: 0, answers: 0 });

function add(sum: Sum, { earned, points }: OutcomeAnswer): void {
  sum.earned += earned;
  sum.points += points;
  sum.squares += points * points;
  sum.answers++;
}

/**
 * The share with Wilson's interval. Answers that are worth more count for more, so that n is the effective number
 * (Σ points)² / Σ points² (Kish, "Survey Sampling", 1965, 8.2).
 */
function mastered({ earned, points, squares, answers }: Sum): Mastered | null {
  if (points <= 0) return null;
  const share = Math.min(1, Math.max(0, earned / points));
  const figure = wilson(share, (points * points) / squares);
  return figure && { ...figure, answers };
}

/**
 * The marks of outcomes, over all and by learner. A question counts for its outcomes and for those above them, for each
 * once. `parentOf`: by outcome, null at the top; what stands under itself is not followed further.
 */
export function masteryOf(answers: readonly OutcomeAnswer[], parentOf: ReadonlyMap<string, string | null>): Mastery {
  const all = new Map<string, Sum & { asked: Set<string> }>();
  const learners = new Map<string, Map<string, Sum>>();
  for (const answer of answers)
    for (const outcome of withAbove(answer.outcomes, parentOf)) {
      const whole = all.get(outcome) ?? { ...nothing(), asked: new Set<string>() };
      all.set(outcome, whole);
      add(whole, answer);
      whole.asked.add(answer.question);
      const people = learners.get(outcome) ?? new Map<string, Sum>();
      learners.set(outcome, people);
      const own = people.get(answer.learnerId) ?? nothing();
      people.set(answer.learnerId, own);
      add(own, answer);
    }
  return {
    all: new Map(
      [...all].flatMap(([outcome, { asked, ...sum }]) => {
        const share = mastered(sum);
        return share ? [[outcome, { ...share, questions: asked.size }]] : [];
      }),
    ),
    learners: new Map(
      [...learners].map(([outcome, people]) => [
        outcome,
        new Map(
          [...people].flatMap(([learnerId, sum]) => {
            const share = mastered(sum);
            return share ? [[learnerId, share]] : [];
          }),
        ),
      ]),
    ),
  };
}

function withAbove(outcomes: readonly string[], parentOf: ReadonlyMap<string, string | null>): Set<string> {
  const found = new Set<string>();
  for (const outcome of outcomes)
    for (
      let at: string | null = outcome;
      at !== null && parentOf.has(at) && !found.has(at);
      at = parentOf.get(at) ?? null
    )
      found.add(at);
  return found;
}

/** How deep each stands, 0 at the top; parents come before their children. What stands under nothing that is there is at the top. */
export function depthsOf(
  rows: readonly { readonly id: string; readonly parentId: string | null }[],
): Map<string, number> {
  const depths = new Map<string, number>();
  for (const { id, parentId } of rows) depths.set(id, (depths.get(parentId ?? '') ?? -1) + 1);
  return depths;
}

/** Below this share a learner needs an outcome, if it rests on this many answers. */
export const NEEDS = { share: 0.5, answers: 2 } as const;

/** Those who earned less than half of an outcome's marks, the lowest first. */
export const whoNeeds = (people: ReadonlyMap<string, Mastered>): (readonly [learnerId: string, share: Mastered])[] =>
  [...people]
    .filter(([, { value, answers }]) => value < NEEDS.share && answers >= NEEDS.answers)
    .toSorted(([, a], [, b]) => a.value - b.value || b.answers - a.answers);
