import { type Random, shuffled } from '../random/random';

/** So many of a section's questions are drawn for each sitting; each of them counts as many points. */
export interface Draw {
  readonly count: number;
  readonly points: number;
}

/** A part of a set. `draw` null: all of it is asked. `shuffled`: each sitting has it in an order of its own. */
export interface Section<Q> {
  readonly title: string;
  readonly draw: Draw | null;
  readonly shuffled?: boolean | undefined;
  readonly questions: readonly Q[];
}

/** A question in a set: the most its own marks come to, and the points it counts here (null: as many as its marks). */
export interface Worth {
  readonly max: number;
  readonly points: number | null;
}

/** Sections that say how many questions are their own, with the places of these in the whole set. */
export function inPlaces(
  sections: readonly (Omit<Section<never>, 'questions'> & { readonly count: number })[],
): Section<number>[] {
  let first = 0;
  return sections.map(({ count, ...section }) => {
    const questions = Array.from({ length: count }, (_, i) => first + i);
    first += count;
    return { ...section, questions };
  });
}

/** Points of one question of a section. Where questions are drawn, all that could be drawn count alike. */
export const pointsOf = (section: Pick<Section<unknown>, 'draw'>, { max, points }: Worth): number =>
  section.draw?.points ?? points ?? max;

/** How many of a section's questions one sitting has. */
export const asksOf = ({ draw, questions }: Section<unknown>): number =>
  draw ? Math.min(draw.count, questions.length) : questions.length;

/** What all of a sitting comes to at most, in points. The same for every sitting. */
export const totalOf = (sections: readonly Section<Worth>[]): number =>
  roundMark(
    sections.reduce(
      (sum, section) =>
        sum +
        (section.draw
          ? asksOf(section) * section.draw.points
          : section.questions.reduce((all, question) => all + pointsOf(section, question), 0)),
      0,
    ),
  );

/** What a mark is worth in points: `mark × points / max`, and nothing of a question that has no marks to give. */
export const earned = (mark: number, max: number, points: number): number => (max > 0 ? (mark * points) / max : 0);

/** A sum of marks, which have four places at most, without the dust of binary fractions. */
export const roundMark = (sum: number): number => Math.round(sum * 1e4) / 1e4;

/**
 * The questions one sitting is asked, by their places in the whole set: section after section, each in the set's order
 * unless it is shuffled. Each subset of a section's questions is as likely as any other (selection sampling: Knuth, The
 * Art of Computer Programming, vol. 2, 3.4.2, algorithm S), and so is each order.
 */
export function asked(sections: readonly Section<unknown>[], next: Random): number[] {
  const all: number[] = [];
  let first = 0;
  for (const section of sections) {
    let wanted = asksOf(section);
    const { length } = section.questions;
    const drawn: number[] = [];
    for (let i = 0; i < length && wanted > 0; i++) {
      if (wanted < length - i && next() * (length - i) >= wanted) continue;
      drawn.push(first + i);
      wanted--;
    }
    all.push(...(section.shuffled ? shuffled(drawn.length, next).map((i) => drawn[i] as number) : drawn));
    first += length;
  }
  return all;
}

/** What guessing earns on one question: the expected share of its marks, and the chance of all of them. */
export interface Guessed {
  readonly expectedFraction: number;
  readonly chanceOfFullMarks: number;
}

/**
 * What guessing earns on a whole set: the expected share of its points, and the chance of all of them, guesses on
 * different questions being independent. Of a drawn section the mean over all draws: of the shares, and of the products
 * of `k` out of `n` chances (the elementary symmetric polynomial over the number of draws). Null where a set gives no
 * points.
 */
export function guessingOf(sections: readonly Section<Worth & Guessed>[]): Guessed | null {
  const total = totalOf(sections);
  if (total === 0) return null;
  let share = 0;
  let full = 1;
  for (const section of sections) {
    const { questions, draw } = section;
    if (questions.length === 0) continue;
    if (draw) {
      const k = asksOf(section);
      share +=
        (k * draw.points * questions.reduce((sum, question) => sum + question.expectedFraction, 0)) / questions.length;
      full *= meanProduct(
        questions.map((question) => question.chanceOfFullMarks),
        k,
      );
    } else {
      share += questions.reduce((sum, question) => sum + pointsOf(section, question) * question.expectedFraction, 0);
      full *= questions.reduce(
        (product, question) => product * (pointsOf(section, question) > 0 ? question.chanceOfFullMarks : 1),
        1,
      );
    }
  }
  return { expectedFraction: share / total, chanceOfFullMarks: full };
}

/**
 * The mean of the products of each choice of `k` of the chances; built up so that no number leaves the range from 0 to
 * 1.
 */
function meanProduct(chances: readonly number[], k: number): number {
  // mean[j]: over choices of j among those seen so far.
  const mean = [1, ...Array.from({ length: k }, () => 0)];
  for (const [seen, chance] of chances.entries())
    for (let j = Math.min(k, seen + 1); j >= 1; j--) {
      // Of the choices of j among seen + 1, the share that has the new one is j / (seen + 1).
      const withIt = j / (seen + 1);
      mean[j] = (mean[j - 1] as number) * chance * withIt + (j <= seen ? (mean[j] as number) * (1 - withIt) : 0);
    }
  return mean[k] as number;
}

/** What there is to do in a question: words to read, items to place, gaps to type into. */
export interface Doing {
  readonly words: number;
  readonly items: number;
  readonly gaps: number;
}

/** Silent reading of plain English text, words a minute (Brysbaert 2019, Journal of Memory and Language 109, 104047). */
const WORDS_A_MINUTE = 238;
/** Our own estimates: to weigh an item and place it, to type into a gap, to check and read what is said, in seconds. */
const SECONDS = { item: 6, gap: 10, check: 10 } as const;

/** About how long a question takes, in seconds: an estimate, for planning a lesson. */
export const secondsFor = ({ words, items, gaps }: Doing): number =>
  Math.round((words / WORDS_A_MINUTE) * 60) + items * SECONDS.item + gaps * SECONDS.gap + SECONDS.check;

/** About how long a sitting takes, in seconds. Of a drawn section so many times the mean of its questions. */
export const secondsOf = (sections: readonly Section<{ readonly seconds: number }>[]): number =>
  sections.reduce((all, section) => {
    const sum = section.questions.reduce((seconds, question) => seconds + question.seconds, 0);
    return all + (section.questions.length > 0 ? (sum * asksOf(section)) / section.questions.length : 0);
  }, 0);
