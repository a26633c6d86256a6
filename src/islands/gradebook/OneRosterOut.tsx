import { useState } from 'react';
import type { OneRosterNotes } from '../../contract';
import { api, Dialog, Scrolls } from '../../ui';
import { failureInWords } from '../../ui/failureInWords';

/** Saves the marks for a school's system, after what does not go out is said. */
export function OneRosterOut({ courseId }: { courseId: string }) {
  const [notes, setNotes] = useState<OneRosterNotes | null>(null);
  const [problem, setProblem] = useState('');
  const ask = async () => {
    setProblem('');
    const answer = await api('GET /api/courses/{id}/oneroster/notes', { id: courseId });
    if (answer.ok) setNotes(answer.value);
    else setProblem(failureInWords(answer.error));
  };
  const close = () => setNotes(null);
  return (
    <>
      <button type="button" className="link-brass pb-2" onClick={() => void ask()}>
        For the school’s system…
      </button>
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
      {notes && (
        <Dialog title="Marks for the school’s system" onClose={close}>
          <p className="mb-2">
            A package of OneRoster 1.2: what is published and counts, by weight category, with the marks as they stand
            now.
          </p>
          {notes.ownId && (
            <p className="mb-2">
              This course came from no such system: it goes out under an id of ours, which the system does not know.
            </p>
          )}
          {notes.leftOut.length > 0 && (
            <>
              <p>
                {notes.leftOut.length === 1
                  ? 'One learner is known to no such system, and left out:'
                  : `${notes.leftOut.length} learners are known to no such system, and left out:`}
              </p>
              <Scrolls label="Learners that are left out" className="max-h-48">
                <ul className="list-disc ps-6">
                  {notes.leftOut.map((name, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: two learners may have one name, and the list stays.
                    <li key={i}>{name}</li>
                  ))}
                </ul>
              </Scrolls>
            </>
          )}
          <div className="mt-4 flex justify-end gap-2">
            <button type="button" className="btn btn-quiet" onClick={close}>
              Cancel
            </button>
            <a className="btn btn-primary" href={`/api/courses/${courseId}/oneroster`} download onClick={close}>
              Save the package
            </a>
          </div>
        </Dialog>
      )}
    </>
  );
}
