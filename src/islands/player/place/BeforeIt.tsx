import { useState } from 'react';
import { zone } from '../../../ui/zone';
import type { Before } from '../Player';
import { beginSitting } from '../transport';

const at = (moment: string) =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: zone() }).format(
    new Date(moment),
  );

/** The page before an attempt starts: when the release opens, or how long the learner will have. */
export function BeforeIt({
  before: { id, release, course, questions, minutes, closesAt, opensAt },
}: {
  before: Before;
}) {
  const [problem, setProblem] = useState('');
  const begin = async () => {
    const begun = await beginSitting(id);
    if (begun.ok) location.reload();
    else setProblem(`${begun.error.message}. ${begun.error.nextStep}`);
  };
  return (
    <main className="mx-auto w-full px-4 py-10" style={{ maxWidth: '46rem' }}>
      <p className="text-mute" dir="auto">
        {course}
      </p>
      <h1 className="text-[1.65rem]" dir="auto">
        {release}
      </h1>
      <p className="text-lg mt-2">
        {questions === 1 ? 'One question' : `${questions} questions`}
        {minutes !== null && `, ${minutes === 1 ? 'one minute' : `${minutes} minutes`} from when you begin`}.
        {closesAt && ` It closes ${at(closesAt)}.`}
      </p>
      {opensAt && <p className="text-lg mt-2">It opens {at(opensAt)}.</p>}
      {problem && (
        <p role="alert" className="text-brick mt-3">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap gap-3 mt-6">
        {!opensAt && (
          <button type="button" className="btn btn-primary btn-lg" onClick={() => void begin()}>
            Begin
          </button>
        )}
        <a className="btn btn-edge btn-lg" href="/sit">
          Back to your assignments
        </a>
      </div>
    </main>
  );
}
