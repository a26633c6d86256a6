import type { Figure } from '../../core';

export const percent = (share: number) => `${Math.round(share * 100)} %`;
export const sharesOf = (learners: number, answered: number) => `${learners} of ${answered}`;
/** The bounds of a share. */
export const between = ({ low, high }: Figure) => `${Math.round(low * 100)}–${Math.round(high * 100)} %`;
/** The bounds of a correlation or of α. */
export const bounds = ({ low, high }: Figure) => `${signed(low)} to ${signed(high)}`;
const signed = (value: number) => value.toFixed(2).replace('-', '−');

/** A share as it is shown; none: a dash. */
export const shareInWords = (figure: Figure | null): string => (figure ? percent(figure.value) : '–');
/** A correlation or α as it is shown; none: a dash. */
export const correlationInWords = (value: number | null | undefined): string => (value == null ? '–' : signed(value));
/** The full marks of those who were asked. */
export const fullInWords = ({
  struck,
  full,
  asked,
}: {
  readonly struck: boolean;
  readonly full: number;
  readonly asked: number;
}): string => (struck ? '–' : sharesOf(full, asked));
/** What was shown before, if it is not what is shown now; `before` null: nothing was. */
export const wasInstead = (now: string, before: string | null): string =>
  before === null || before === now ? '' : before;

/** Of fewer nothing is said: the figures stand for themselves. */
export const MIN_SAID = 10;

/**
 * How hard a question was, in a sentence that its interval bears; empty: none is. `fullShare`: the share of those who
 * were asked that had the full mark; `facility`: the mean share of its marks.
 */
export function facilityInWords({
  asked,
  fullShare: share,
  facility,
}: {
  readonly asked: number;
  readonly fullShare: Figure | null;
  readonly facility: Figure | null;
}): string {
  if (asked < MIN_SAID || !share || !facility) return '';
  if (share.low >= 0.8) return 'Nearly all had it right.';
  if (share.low > 0.5) return 'Most had it right.';
  if (share.high > 0.2) return share.high < 0.5 ? 'Fewer than half had all of it right.' : '';
  return facility.high < 0.4
    ? 'Hardly anybody had it right: look at its key and its words.'
    : `Hardly anybody had all of it right; on average they earned ${percent(facility.value)} of it.`;
}

/** The discrimination of a question over n learners in words that its interval bears; empty: none is. */
export function discriminationInWords(figure: Figure | null, learners: number): string {
  if (!figure || learners < MIN_SAID) return '';
  const { low, high } = figure;
  if (high < 0) return 'Who did well elsewhere did worse here: look at its key.';
  if (low >= 0.4) return 'It separates strong from weak very well.';
  if (low >= 0.2) return 'It separates strong from weak well.';
  if (low > 0) return 'Who did well elsewhere did better here.';
  return high < 0.2 ? 'It hardly separates strong from weak.' : '';
}

/** The reliability of the total in words. */
export function reliabilityInWords(alpha: Figure | null, questions: number, learners: number): string {
  if (questions < 2) return 'It takes two questions to say how reliable a set is.';
  if (learners < MIN_SAID) return 'It takes ten learners to say how reliable a set is.';
  if (!alpha) return 'It cannot be said: learners were asked different questions, or all marks are alike.';
  const { low, high } = alpha;
  if (low >= 0.9) return 'Answered again, learners would stand in nearly the same order.';
  if (low >= 0.7) return 'The total is reliable enough to compare learners.';
  if (high < 0.5) return 'The questions have little in common, or are too few: do not compare learners by the total.';
  if (high < 0.7) return 'The total compares learners only roughly: do not rely on single marks.';
  return 'From so few learners it cannot be said how reliable the total is.';
}

/** What time had to do with the mark, in words that the interval bears; empty: none is. */
export function timeInWords(figure: Figure | null, learners: number): string {
  if (!figure || learners < MIN_SAID) return '';
  if (figure.low > 0.2) return 'Who took longer earned more.';
  return figure.high < -0.2 ? 'Who took longer earned less.' : '';
}

/** Whether a set would be more reliable without a question; empty: not told apart. */
export const withoutInWords = (alphaWithout: number | null, alpha: Figure | null): string =>
  alpha && alphaWithout !== null && alphaWithout > alpha.high ? 'The total would be more reliable without it.' : '';
