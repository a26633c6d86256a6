import { useState } from 'react';
import { api, Dialog, Field } from '../../ui';
import { Alert } from '../../ui/Alert';
import { errorInWords } from '../../ui/errorInWords';
import type { BoardQuestion } from './boardQuestion';

interface Props {
  title: string;
  /** Every question that was played, with both halves of a race. */
  played: readonly BoardQuestion[];
  onClose: () => void;
}

/** Keeps what the class did, once it is asked for. */
export function KeepDialog({ title: given, played, onClose }: Props) {
  const [id] = useState(() => crypto.randomUUID());
  const [title, setTitle] = useState(given);
  const [state, setState] = useState<'asking' | 'saving' | 'kept'>('asking');
  const [problem, setProblem] = useState('');
  const touched = played.filter((question) => question.rounds().length > 0);
  const keep = async () => {
    setState('saving');
    const answer = await api('POST /api/board/records', {
      body: {
        id,
        title: title.trim(),
        questions: touched.map(({ document }) => document),
        rounds: touched.flatMap(({ homes, rounds }, question) =>
          rounds().map((round) => ({ ...round, question, homes })),
        ),
      },
    });
    setState(answer.ok ? 'kept' : 'asking');
    setProblem(answer.ok ? '' : errorInWords(answer.error));
  };
  return (
    <Dialog title="Save as a record of this class" onClose={onClose}>
      {touched.length === 0 ? (
        <p>Nothing has been moved yet, so there is nothing to save.</p>
      ) : state === 'kept' ? (
        <p role="status">
          It is saved.{' '}
          <a className="link-brass" href={`/records/${id}`} target="_blank" rel="noreferrer">
            Play it back
          </a>
        </p>
      ) : (
        <>
          <p className="mb-3">Turns and moves are saved, so that they can be played back. No mark comes of them.</p>
          <Field
            label="Name of the record"
            value={title}
            maxLength={200}
            problem={title.trim() === '' ? 'Give it a name' : undefined}
            onChange={(event) => setTitle(event.target.value)}
          />
        </>
      )}
      {problem && (
        <Alert tone="problem" role="alert" className="mt-3">
          {problem} Nothing is lost: try again.
        </Alert>
      )}
      <div className="modal-action">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Close
        </button>
        {touched.length > 0 && state !== 'kept' && (
          <button
            type="button"
            className="btn btn-primary"
            disabled={title.trim() === '' || state === 'saving'}
            onClick={() => void keep()}
          >
            {state === 'saving' ? 'Saving…' : 'Save it'}
          </button>
        )}
      </div>
    </Dialog>
  );
}
