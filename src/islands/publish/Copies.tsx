import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { ask } from '../../ui';
import { Alert } from '../../ui/Alert';
import { Confirm } from '../../ui/Confirm';

/** The same release for other courses. */
export function Copies({ id, courseId }: { id: string; courseId: string }) {
  const [asked, setAsked] = useState(false);
  return (
    <section aria-labelledby="copies" className="mt-8">
      <h2 id="copies" className="text-xl">
        In other courses
      </h2>
      <p className="text-mute mb-2">
        The same questions, as they count now, with the same settings, for everybody there. Dates that have passed are
        left out; units, categories and groups are each course’s own.
      </p>
      <button type="button" className="btn btn-edge" onClick={() => setAsked(true)}>
        Publish it to other courses…
      </button>
      {asked && <CopiesDialog id={id} courseId={courseId} onClose={() => setAsked(false)} />}
    </section>
  );
}

function CopiesDialog({ id, courseId, onClose }: { id: string; courseId: string; onClose: () => void }) {
  // One id for each course: pressing twice, or again after a lost answer, publishes once.
  const [chosen, setChosen] = useState<ReadonlyMap<string, string>>(new Map());
  const courses = useQuery({
    queryKey: ['courses'],
    queryFn: async () => (await ask('GET /api/courses')).filter(({ archived, id: of }) => !archived && of !== courseId),
  });
  const publish = useMutation({
    mutationFn: () =>
      ask('POST /api/releases/{id}/copies', {
        id,
        body: { copies: [...chosen].map(([course, copy]) => ({ id: copy, courseId: course })) },
      }),
    onSuccess: () => {
      toast(
        chosen.size === 1 ? 'It is published to one course more' : `It is published to ${chosen.size} courses more`,
      );
      onClose();
    },
  });
  const choose = (course: string, is: boolean) => {
    const next = new Map(chosen);
    if (is) next.set(course, crypto.randomUUID());
    else next.delete(course);
    setChosen(next);
  };
  return (
    <Confirm
      title="Publish it to other courses"
      action={publish.isPending ? 'Publishing…' : 'Release now'}
      cancel="Not yet"
      disabled={chosen.size === 0 || publish.isPending}
      onConfirm={() => publish.mutate()}
      onClose={onClose}
    >
      {courses.isPending && <p role="status">Looking up your courses…</p>}
      {courses.isError && <p className="text-brick">{courses.error.message}</p>}
      {courses.data?.length === 0 && <p>You teach no other course.</p>}
      <div className="max-h-64 overflow-auto">
        {courses.data?.map((course) => (
          <label key={course.id} className="flex items-center gap-3 py-1.5 border-b border-rule">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={chosen.has(course.id)}
              onChange={(event) => choose(course.id, event.target.checked)}
            />
            <span className="grow">{course.title}</span>
            <span className="figures text-mute">
              {course.learners} {course.learners === 1 ? 'learner' : 'learners'}
            </span>
          </label>
        ))}
      </div>
      {publish.isError && (
        <Alert tone="problem" className="mt-3" role="alert">
          <p>{publish.error.message}</p>
        </Alert>
      )}
    </Confirm>
  );
}
