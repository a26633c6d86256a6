import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ApiFailure, ask } from '../../ui/api';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';

interface Course {
  id: string;
  title: string;
  learners: number;
}

/** What is published: a question as it stands at a revision, or a set. */
export type Content = { questionId: string; revision: number } | { setId: string };

const MOST_MINUTES = 10_080;

/** Choose a course and until when, and release what there is. `prepare` gives it as the server has it, once everything is kept; it throws a sentence where it is not. */
export function PublishDialog({ prepare, onClose }: { prepare: () => Promise<Content>; onClose: () => void }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [due, setDue] = useState('');
  const [minutes, setMinutes] = useState('');
  // One id for this dialog: pressing twice, or again after a lost answer, publishes once.
  const [id] = useState(() => crypto.randomUUID());
  const courses = useQuery({ queryKey: ['courses'], queryFn: () => ask<Course[]>('GET', '/api/courses') });
  const publish = useMutation({
    mutationFn: async (courseId: string) => {
      const content = await prepare();
      const time = { dueAt: due === '' ? null : new Date(due).toISOString(), minutes: minutes === '' ? null : Number(minutes) };
      return ask<{ id: string }>('POST', '/api/releases', { id, courseId, ...content, ...time });
    },
  });
  const courseId = chosen ?? courses.data?.[0]?.id ?? null;
  const problems = publish.error instanceof ApiFailure ? publish.error.error.problems : undefined;

  if (publish.isSuccess)
    return (
      <Dialog title="It is published" onClose={onClose}>
        <p>Learners of the course see it now. What you change here from now on does not touch it.</p>
        <div className="flex gap-2 justify-end mt-4">
          <button type="button" className="btn btn-quiet" onClick={onClose}>
            Stay here
          </button>
          <a className="btn btn-primary" href={`/releases/${publish.data.id}/results`}>
            See its results
          </a>
        </div>
      </Dialog>
    );
  return (
    <Dialog title="Publish" onClose={onClose}>
      {courses.isPending && <p role="status">Looking up your courses…</p>}
      {courses.isError && <p className="text-brick">{courses.error.message}</p>}
      {courses.data?.length === 0 && (
        <p>
          You have no course yet.{' '}
          <a className="link-brass" href="/courses">
            Make one
          </a>
          , then come back.
        </p>
      )}
      {courses.data && courses.data.length > 0 && (
        <fieldset>
          <legend className="font-semibold mb-2">To which course?</legend>
          {courses.data.map((course) => (
            <label key={course.id} className="flex items-center gap-3 py-1.5 border-b border-rule">
              <input type="radio" name="course" className="radio radio-sm" checked={courseId === course.id} onChange={() => setChosen(course.id)} />
              <span className="grow">{course.title}</span>
              <span className="figures text-mute">
                {course.learners} {course.learners === 1 ? 'learner' : 'learners'}
              </span>
            </label>
          ))}
        </fieldset>
      )}
      {courses.data && courses.data.length > 0 && (
        <div className="grid sm:grid-cols-2 gap-4 mt-4">
          <Field label="Due" type="datetime-local" hint="Nothing is taken after it. Empty: it stays open." value={due} onChange={(event) => setDue(event.target.value)} />
          <Field
            label="Time for it, in minutes"
            type="number"
            min={1}
            max={MOST_MINUTES}
            hint="From when a learner opens it. Empty: no limit."
            value={minutes}
            problem={wrongMinutes(minutes) ? `A whole number from 1 to ${MOST_MINUTES}` : undefined}
            onChange={(event) => setMinutes(event.target.value)}
          />
        </div>
      )}
      {publish.isError && (
        <div role="alert" className="bg-brick-wash border-l-4 border-brick px-3 py-2 mt-3">
          <p>{publish.error.message}</p>
          {problems?.map(({ path, message }) => (
            <p key={path}>{message}</p>
          ))}
        </div>
      )}
      <div className="flex gap-2 justify-end mt-4">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Not yet
        </button>
        <button
          type="button"
          className="btn btn-primary"
          disabled={courseId === null || publish.isPending || wrongMinutes(minutes)}
          onClick={() => courseId && publish.mutate(courseId)}
        >
          {publish.isPending ? 'Publishing…' : 'Release now'}
        </button>
      </div>
    </Dialog>
  );
}

const wrongMinutes = (text: string) => text !== '' && !(Number.isInteger(Number(text)) && Number(text) >= 1 && Number(text) <= MOST_MINUTES);
