import { useState } from 'react';
import { api, Field } from '../../ui';
import { Alert } from '../../ui/Alert';
import { failureInWords } from '../../ui/failureInWords';

/** A teacher's first launch, in a browser in which a teacher was signed in: are the two the same person? */
export function SamePerson({ launch, name }: { launch: string; name: string }) {
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const answer = async (given: string | null) => {
    setBusy(true);
    const answered = await api('POST /api/lti/same-person', { body: { launch, password: given } });
    if (answered.ok) return window.location.assign(answered.value.path);
    setBusy(false);
    setProblem(failureInWords(answered.error));
  };
  return (
    <form
      className="max-w-md"
      onSubmit={(event) => {
        event.preventDefault();
        void answer(password);
      }}
    >
      {problem && (
        <Alert tone="problem" role="alert" className="mb-3">
          {problem}
        </Alert>
      )}
      <Field
        label={`Password of ${name}`}
        type="password"
        autoComplete="current-password"
        maxLength={200}
        value={password}
        onChange={(event) => setPassword(event.target.value)}
      />
      <div className="flex flex-wrap gap-2 mt-4">
        <button type="submit" className="btn btn-primary" disabled={busy || password === ''}>
          Yes, that is me
        </button>
        <button type="button" className="btn btn-edge" disabled={busy} onClick={() => void answer(null)}>
          No, go on with an account of my own
        </button>
      </div>
    </form>
  );
}
