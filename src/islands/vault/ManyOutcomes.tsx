import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { ask } from '../../ui/api';
import { OutcomePicker } from '../shared/outcomes/OutcomePicker';
import { questionsInWords } from './inWords';
import { useWrite } from './useVault';

/** Puts outcomes on many questions, or takes them off. */
export function ManyOutcomes({ ids, onClose }: { ids: readonly string[]; onClose: () => void }) {
  const frameworks = useQuery({ queryKey: ['outcomes'], queryFn: () => ask('GET /api/outcomes') });
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const change = useWrite(
    (off: boolean) =>
      ask('POST /api/outcomes/questions', {
        body: { questions: [...ids], add: off ? [] : [...chosen], remove: off ? [...chosen] : [] },
      }),
    ({ questions }) => {
      toast(`Changed: ${questionsInWords(questions)}`);
      onClose();
    },
  );
  const isIdle = chosen.size === 0 || change.isPending;
  return (
    <OutcomePicker
      title={`Outcomes of ${questionsInWords(ids.length)}`}
      says="What is chosen is put on all of these questions, or taken off them; what else they have stays."
      frameworks={frameworks.data ?? []}
      chosen={chosen}
      onToggle={(id, on) => {
        const next = new Set(chosen);
        if (on) next.add(id);
        else next.delete(id);
        setChosen(next);
      }}
      onClose={onClose}
    >
      <button type="button" className="btn btn-quiet" onClick={onClose}>
        Cancel
      </button>
      <button type="button" className="btn btn-edge" disabled={isIdle} onClick={() => change.mutate(true)}>
        Take off
      </button>
      <button type="button" className="btn btn-primary" disabled={isIdle} onClick={() => change.mutate(false)}>
        Put on
      </button>
    </OutcomePicker>
  );
}
