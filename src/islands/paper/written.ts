import type { SheetView } from '../../contract';
import type { SheetAnswer } from '../../core';
import type { ApiError } from '../../ui';
import { placesOf } from '../shared/paper/onPaper';

/** A sheet on which nothing is written but what stands there at the start. */
export const blankAnswers = (sheet: SheetView | null): SheetAnswer[] =>
  (sheet?.questions ?? []).map((question) => ({
    places: placesOf({ ...question, question: question.document }).flatMap(({ number, begins }) =>
      begins.length > 0 ? [{ number, text: begins.join(' ') }] : [],
    ),
    marks: [],
  }));

/** Something is written that does not stand there at the start. */
export const isWritten = (answers: readonly SheetAnswer[], blank: readonly SheetAnswer[]): boolean =>
  answers.some(
    ({ places, marks }, i) =>
      marks.length > 0 ||
      places.some(
        ({ number, text }) =>
          text.trim() !== (blank[i]?.places.find((place) => place.number === number)?.text ?? '').trim(),
      ),
  );

export interface SheetProblems {
  /** By the number of the place. */
  readonly places: ReadonlyMap<number, string>;
  readonly marks: string | null;
}

/** What the server could not read of a question, by its place on the sheet. */
export function problemsAt(error: ApiError | null, question: number): SheetProblems {
  const own = (error?.problems ?? []).filter(({ path }) => path.startsWith(`answers[${question}].`));
  return {
    places: new Map(
      own.flatMap(({ path, message }) => {
        const [, number] = path.split('.places.');
        return number === undefined ? [] : [[Number(number), message] as const];
      }),
    ),
    marks: own.find(({ path }) => path.endsWith('.marks'))?.message ?? null,
  };
}
