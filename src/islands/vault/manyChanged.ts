import { toast } from 'sonner';
import type { ChangedQuestion } from '../../contract';
import { questionsInWords } from './inWords';

/** What came of a change of many questions: how many were changed, with undo, and which were not, and why. */
export function sayManyChanged(
  questions: readonly ChangedQuestion[],
  words: { readonly done: (n: string) => string; readonly refused: (n: string) => string },
  undo: (done: { id: string; revision: number }[]) => void,
): void {
  const done = questions.flatMap(({ id, revision }) => (revision === null ? [] : [{ id, revision }]));
  toast.success(words.done(questionsInWords(done.length)), {
    action: { label: 'Undo', onClick: () => undo(done) },
    duration: 12_000,
  });
  const refused = questions.filter((one) => one.refused !== null);
  if (refused.length > 0)
    toast.error(words.refused(questionsInWords(refused.length)), {
      description: refused.map(({ title, refused: why }) => `${title}: ${why}`).join(' · '),
    });
}
