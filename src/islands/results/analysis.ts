import type { Pair } from '../../contract';

export const percent = (share: number) => `${Math.round(share * 100)} %`;

/** How hard a question was, in a sentence. */
export function facilityInWords(facility: number | null): string {
  if (facility === null) return '';
  if (facility >= 0.9) return 'Nearly all had it right.';
  if (facility >= 0.7) return 'Most had it right.';
  if (facility >= 0.4) return 'Of middling difficulty.';
  return facility >= 0.2
    ? 'Hard: most had little of it.'
    : 'Nearly nobody had it right: look at its key and its words.';
}

/** The discrimination of a question in words. */
export function discriminationInWords(discrimination: number | null): string {
  if (discrimination === null) return '';
  if (discrimination >= 0.4) return 'It separates strong from weak very well.';
  if (discrimination >= 0.3) return 'It separates strong from weak well.';
  if (discrimination >= 0.2) return 'It separates strong from weak a little.';
  return discrimination >= 0
    ? 'It hardly separates strong from weak.'
    : 'Who did well elsewhere did worse here: look at its key.';
}

/** The reliability of the total in words. */
export function reliabilityInWords(alpha: number | null, questions: number, learners: number): string {
  if (alpha === null)
    return questions < 2
      ? 'It takes two questions to say how reliable a set is.'
      : learners < 5
        ? 'It takes five learners to say how reliable a set is.'
        : 'It cannot be said: learners were asked different questions, or all marks are alike.';
  if (alpha >= 0.9) return 'Answered again, learners would stand in nearly the same order.';
  if (alpha >= 0.7) return 'The total is reliable enough to compare learners.';
  return alpha >= 0.5
    ? 'The total compares learners only roughly: do not rely on single marks.'
    : 'The questions have little in common, or are too few: do not compare learners by the total.';
}

/** Wrong pairs, those that most were in at last first; with who tried them at first. */
export const wrongPairs = (pairs: readonly Pair[]): Pair[] =>
  pairs.filter(({ right }) => right === false).sort((a, b) => b.last - a.last || b.first - a.first);
