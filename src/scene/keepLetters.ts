import { FAMILIES, type Lettered, lettersIn } from './letters';

/** Loads the letters of questions that ship with the application, before a question that is drawn in them is shown. */
export async function keepLetters(questions: readonly Lettered[]): Promise<void> {
  const faces = new Set(questions.flatMap((question) => lettersIn(question).flatMap(({ face }) => face ?? [])));
  if (faces.size === 0) return;
  await import('./faces.css');
  await Promise.all(
    [...faces].map((face) => {
      const { family, weight } = FAMILIES[face];
      // With letters of both of a family's files: each is loaded for the letters it has.
      return document.fonts.load(`${weight} 16px "${family}"`, 'Aaāł');
    }),
  );
}
