import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { Dialog } from '../../../ui';
import { Alert } from '../../../ui/Alert';
import { ask } from '../../../ui/api';
import { OutcomePicker } from './OutcomePicker';

/** The outcomes of one question, to be chosen. */
export function QuestionOutcomes({ id, title, onClose }: { id: string; title: string; onClose: () => void }) {
  const frameworks = useQuery({ queryKey: ['outcomes'], queryFn: () => ask('GET /api/outcomes') });
  const own = useQuery({
    queryKey: ['outcomes', id],
    queryFn: () => ask('GET /api/questions/{id}/outcomes', { id }),
    // They may have been changed for many at once.
    gcTime: 0,
  });
  const [draft, setDraft] = useState<ReadonlySet<string> | null>(null);
  const [problem, setProblem] = useState('');
  const chosen = draft ?? new Set(own.data);
  const error = frameworks.error ?? own.error;
  if (error || !frameworks.data || !own.data)
    return (
      <Dialog title={`Outcomes of ${title}`} onClose={onClose}>
        {error ? <Alert tone="problem">{error.message}</Alert> : <p className="text-mute">Looking…</p>}
      </Dialog>
    );
  const save = async () => {
    try {
      const kept = await ask('PUT /api/questions/{id}/outcomes', { id, body: { outcomes: [...chosen] } });
      toast(kept.length === 0 ? 'It has no outcome now' : `Outcomes: ${kept.length}`);
      onClose();
    } catch (failure) {
      setProblem((failure as Error).message);
    }
  };
  return (
    <OutcomePicker
      title={`Outcomes of ${title}`}
      says="What a learner shows who answers it. Marks by outcome follow in results, in the gradebook and in reports, also of what is published already."
      frameworks={frameworks.data}
      chosen={chosen}
      onToggle={(outcome, on) => {
        const next = new Set(chosen);
        if (on) next.add(outcome);
        else next.delete(outcome);
        setDraft(next);
      }}
      onClose={onClose}
    >
      {problem && (
        <p role="alert" className="grow text-brick">
          {problem}
        </p>
      )}
      <button type="button" className="btn btn-quiet" onClick={onClose}>
        Cancel
      </button>
      <button type="button" className="btn btn-primary" disabled={draft === null} onClick={() => void save()}>
        Save them
      </button>
    </OutcomePicker>
  );
}
