import { toast } from 'sonner';
import { ask } from '../../ui/api';
import { ChooseQuestion } from '../shared/ChooseQuestion';
import { questionsInWords } from './inWords';
import { sayManyChanged } from './manyChanged';
import { useWrite } from './useVault';

/** The chosen questions are dressed like another one; it can be taken back. */
export function DressAlike({ ids, onClose }: { ids: readonly string[]; onClose: () => void }) {
  const back = useWrite(
    (done: { id: string; revision: number }[]) => ask('DELETE /api/questions/dress', { body: { done } }),
    ({ questions }) => toast(`Taken back in ${questionsInWords(questions)}`),
  );
  const dress = useWrite(
    (like: string) => ask('POST /api/questions/dress', { body: { ids: [...ids], like } }),
    ({ questions }) => {
      sayManyChanged(questions, { done: (n) => `Dressed: ${n}`, refused: (n) => `Not ${n}` }, back.mutate);
      onClose();
    },
  );
  return (
    <ChooseQuestion
      title={`Dress ${questionsInWords(ids.length)} like`}
      says="Its ground and letters, and the looks that most of its items and zones wear, come to all that are chosen."
      onChoose={(id) => dress.mutate(id)}
      onClose={onClose}
    />
  );
}
