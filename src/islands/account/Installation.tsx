import { useState } from 'react';
import { api } from '../../ui/api';

/** The administrator's settings of the installation. */
export function Installation({ directEnrolment: given }: { directEnrolment: boolean }) {
  const [directEnrolment, setDirectEnrolment] = useState(given);
  const [said, setSaid] = useState('');
  const change = async (to: boolean) => {
    const answer = await api('PUT /api/installation', { body: { directEnrolment: to } });
    setSaid(answer.ok ? 'Saved' : `${answer.error.message}. ${answer.error.nextStep}`);
    if (answer.ok) setDirectEnrolment(answer.value.directEnrolment);
  };
  return (
    <>
      <label className="flex items-start gap-2 max-w-prose">
        <input
          type="checkbox"
          className="checkbox checkbox-sm mt-1"
          checked={directEnrolment}
          onChange={(event) => void change(event.target.checked)}
        />
        <span>
          Teachers bring any learner’s account into a course at once. Otherwise a learner whom the teacher does not know
          is asked first.
        </span>
      </label>
      <p role="status">{said}</p>
    </>
  );
}
