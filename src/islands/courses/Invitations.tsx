import { useState } from 'react';
import type { InvitationRow } from '../../contract';
import { Alert } from '../../ui/Alert';
import { api } from '../../ui/api';
import { errorInWords } from '../../ui/errorInWords';
import { phrase } from '../../words';

/** A learner's invitations, to accept or decline. */
export function Invitations({ invitations: given }: { invitations: readonly InvitationRow[] }) {
  const [invitations, setInvitations] = useState(given);
  const [problem, setProblem] = useState('');
  const answer = async (courseId: string, yes: boolean) => {
    const done = await api(`${yes ? 'PUT' : 'DELETE'} /api/invitations/{course}`, { course: courseId });
    if (!done.ok) return setProblem(errorInWords(done.error));
    if (yes) return location.reload();
    setInvitations((all) => all.filter((invitationRow) => invitationRow.courseId !== courseId));
  };
  return (
    <section aria-label={phrase('account.invitations')} className="mb-6 grid gap-2">
      {invitations.map(({ courseId, course, teacher }) => (
        <Alert key={courseId} tone="notice" className="flex flex-wrap items-center gap-3 px-4 py-3">
          <p className="grow basis-80">
            <strong>{phrase('account.asksYou', { teacher, course })}</strong> {phrase('account.willSee')}
          </p>
          <span className="flex gap-2">
            <button type="button" className="btn btn-primary btn-sm" onClick={() => void answer(courseId, true)}>
              {phrase('account.join')}
            </button>
            <button type="button" className="btn btn-quiet btn-sm" onClick={() => void answer(courseId, false)}>
              {phrase('account.noThanks')}
            </button>
          </span>
        </Alert>
      ))}
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
    </section>
  );
}
