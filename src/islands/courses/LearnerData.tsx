import { Download } from 'lucide-react';
import { useState } from 'react';
import { api, Dialog, Field } from '../../ui';
import { addressOf } from '../../ui/api';
import type { Course } from './course';

interface Props {
  course: Course;
  learner: { id: string; name: string; username: string | null };
  onClose: () => void;
  onErased: (said: string) => void;
}

/** A learner's data in a course: download it, or erase it after typing the user name. */
export function LearnerData({ course, learner, onClose, onErased }: Props) {
  const [typed, setTyped] = useState('');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const whose = { id: course.id, learner: learner.id };
  const name = learner.username ?? learner.name;
  const erase = async () => {
    setBusy(true);
    const done = await api('DELETE /api/courses/{id}/learners/{learner}', whose);
    setBusy(false);
    if (!done.ok) return setProblem(`${done.error.message}. ${done.error.nextStep}`);
    const { account, elsewhere } = done.value;
    onErased(
      [
        account
          ? `All data of ${learner.name} is erased, and the account with it.`
          : `This course’s data of ${learner.name} is erased.`,
        ...elsewhere.map((platform) => `What ${platform} has of it stays there: ask them to erase that.`),
      ].join(' '),
    );
  };
  return (
    <Dialog title={`Data of ${learner.name}`} onClose={onClose}>
      <p>
        Their name and groups, their sittings with every move and its time, their marks, and what they were allowed
        beyond the others.
      </p>
      <a className="btn btn-edge mt-3" href={addressOf('GET /api/courses/{id}/learners/{learner}', whose)} download>
        <Download size={16} aria-hidden /> Save it as a file
      </a>
      {course.right === 'own' ? (
        <form
          className="border-t border-rule mt-5 pt-4 flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (typed.trim().toLowerCase() === name.toLowerCase()) void erase();
            else setProblem(`That is not ${name}.`);
          }}
        >
          <h3 className="text-lg">Erase it</h3>
          <p>
            Their sittings and marks in this course are deleted for good, from the results too. If they are in no other
            course, the account is deleted as well. Older backups still have it until they are deleted.
          </p>
          <Field
            label={`To erase it, type ${name}`}
            autoComplete="off"
            value={typed}
            problem={problem ?? undefined}
            onChange={(event) => {
              setTyped(event.target.value);
              setProblem(null);
            }}
          />
          <div className="flex gap-2 justify-end">
            <button type="button" className="btn btn-quiet" onClick={onClose}>
              Cancel
            </button>
            <button type="submit" className="btn btn-error" disabled={busy || typed === ''}>
              Erase it for good
            </button>
          </div>
        </form>
      ) : (
        <p className="text-mute mt-4">Only {course.owner}, whose course this is, can erase it.</p>
      )}
    </Dialog>
  );
}
