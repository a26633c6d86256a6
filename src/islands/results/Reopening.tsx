import { useState } from 'react';
import { MAX_MINUTES } from '../../contract/limits';
import { api, Field } from '../../ui';
import { Confirm } from '../../ui/Confirm';
import { whole } from '../publish/settings';

interface Props {
  releaseId: string;
  sittingId: string;
  learner: string;
  /** How many minutes an attempt has; null: no limit. */
  minutes: number | null;
}

/** Reopens a finished attempt after a confirmation, for one that was finished by mistake. */
export function Reopening({ releaseId, sittingId, learner, minutes }: Props) {
  const [asked, setAsked] = useState(false);
  const [left, setLeft] = useState('10');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const wrong = minutes !== null && (left === '' || !whole(left, 1, MAX_MINUTES));
  const reopen = async () => {
    setBusy(true);
    const answer = await api('PUT /api/releases/{id}/sittings/{sitting}', {
      id: releaseId,
      sitting: sittingId,
      body: { minutes: minutes === null ? null : Number(left) },
    });
    if (answer.ok) return location.reload();
    setBusy(false);
    setProblem(answer.error.problems?.[0]?.message ?? answer.error.message);
  };
  return (
    <>
      <button type="button" className="btn btn-quiet" onClick={() => setAsked(true)}>
        Open it again…
      </button>
      {asked && (
        <Confirm
          title={`Open the attempt of ${learner} again?`}
          action="Open it again"
          onConfirm={() => void reopen()}
          onClose={() => setAsked(false)}
          disabled={wrong || busy}
        >
          <p className="mb-3">
            It continues where it was before it ended: what was placed stays, and the checks that ended it do not count.
            Its mark is open until it ends again. This is recorded in “Who changed marks”.
          </p>
          {minutes !== null && (
            <Field
              label="Minutes left"
              inputMode="numeric"
              value={left}
              problem={wrong ? `A whole number from 1 to ${MAX_MINUTES}` : undefined}
              onChange={(event) => setLeft(event.target.value)}
              data-autofocus
            />
          )}
          {problem && (
            <p role="alert" className="text-brick mt-3">
              {problem}
            </p>
          )}
        </Confirm>
      )}
    </>
  );
}
