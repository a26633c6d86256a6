import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { JobView } from '../../contract';
import { Field, moment, typedTime } from '../../ui';
import { Alert } from '../../ui/Alert';
import { ApiFailure, ask } from '../../ui/api';
import { Confirm } from '../../ui/Confirm';
import { Dialog } from '../../ui/Dialog';
import { useUnsaved } from '../../ui/useUnsaved';
import { CheckList } from './CheckList';
import { ReleaseFields } from './ReleaseFields';
import { begunIn, DEFAULT_DRAFT, type Draft, sameDraft, sent, wrongIn } from './settings';

/** The thing to publish: a question at a revision, or a set. */
export type Content = { questionId: string; revision: number } | { setId: string };

type Job = JobView;
const LOOK_MS = 400;

/** Resolves once a job is done, reports its progress meanwhile, and throws if it failed. */
async function finished(id: string, tell: (job: Job) => void): Promise<void> {
  for (;;) {
    const job = await ask('GET /api/jobs/{id}', { id });
    if (job.state === 'done') return;
    if (job.state === 'failed') throw new Error(job.problems?.[0]?.message ?? 'It could not be published. Try again.');
    tell(job);
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
  }
}

interface Props {
  /** The questions to publish. */
  questions: readonly string[];
  prepare: () => Promise<Content>;
  onPublished?: () => void;
  onClose: () => void;
}

/**
 * The dialog for publishing: choose a course and the settings, see the check list, release. `prepare` returns what the
 * server has, once everything is saved; it throws a sentence if not.
 */
export function PublishDialog({ questions, prepare, onPublished, onClose }: Props) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [draft, setDraft] = useState<Draft>(DEFAULT_DRAFT);
  const [begun, setBegun] = useState<Draft>(DEFAULT_DRAFT);
  const [errors, setErrors] = useState<number | null>(null);
  const [read, setRead] = useState(false);
  const [progress, setProgress] = useState<{ done: number; total: number } | null>(null);
  // One id for this dialog: pressing twice, or again after a lost answer, publishes once.
  const [id] = useState(() => crypto.randomUUID());
  const courses = useQuery({
    queryKey: ['courses'],
    queryFn: async () => (await ask('GET /api/courses')).filter(({ archived }) => !archived),
  });
  // The proof is of the stored questions.
  const kept = useQuery({ queryKey: ['kept', id], queryFn: prepare, retry: false, gcTime: 0 });
  const publish = useMutation({
    mutationFn: async (courseId: string) => {
      const begun = await ask('POST /api/releases', {
        body: { id, courseId, ...(await prepare()), settings: sent(draft) },
      });
      if (begun.job !== null) await finished(begun.job, setProgress);
      return begun;
    },
    onSuccess: onPublished,
  });
  const courseId = chosen ?? courses.data?.[0]?.id ?? null;
  const parts = useQuery({
    queryKey: ['parts', courseId],
    queryFn: () => ask('GET /api/courses/{id}/parts', { id: courseId ?? '' }),
    enabled: courseId !== null,
  });
  // What the course begins with holds until something is changed by hand.
  const [begunWith, setBegunWith] = useState<string | null>(null);
  if (parts.data && courseId !== begunWith) {
    setBegunWith(courseId);
    if (sameDraft(draft, begun)) setDraft(begunIn(parts.data.releaseDefaults));
    setBegun(begunIn(parts.data.releaseDefaults));
  }
  const isChanged = !sameDraft(draft, begun);
  useUnsaved(isChanged && !publish.isSuccess);
  const hasPassed = draft.closesAt !== '' && typedTime(draft.closesAt) <= new Date();
  const problems = publish.error instanceof ApiFailure ? publish.error.error.problems : undefined;
  const choose = (course: string) => {
    setChosen(course);
    // Units, categories and groups are a course's own.
    setDraft((now) => ({ ...now, unitId: null, categoryId: null, audience: null }));
  };

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
    <Confirm
      title="Publish"
      action={
        !publish.isPending
          ? 'Release now'
          : progress
            ? `Finding model answers: ${progress.done} of ${progress.total}`
            : 'Publishing…'
      }
      cancel="Not yet"
      onConfirm={() => courseId && publish.mutate(courseId)}
      onClose={onClose}
      disabled={
        courseId === null ||
        publish.isPending ||
        Object.keys(wrongIn(draft)).length > 0 ||
        hasPassed ||
        (errors !== null && errors > 0 && !read)
      }
      wide
    >
      {courses.isPending && <p role="status">Looking up your courses…</p>}
      {courses.isError && <p className="text-brick">{courses.error.message}</p>}
      {courses.data?.length === 0 && <FirstCourse />}
      {courses.data && courses.data.length > 0 && (
        <fieldset>
          <legend className="font-semibold mb-2">To which course?</legend>
          <div className="max-h-40 overflow-auto">
            {courses.data.map((course) => (
              <label key={course.id} className="flex items-center gap-3 py-1.5 border-b border-rule">
                <input
                  type="radio"
                  name="course"
                  className="radio radio-sm"
                  checked={courseId === course.id}
                  onChange={() => choose(course.id)}
                />
                <span className="grow">{course.title}</span>
                <span className="figures text-mute">
                  {course.learners} {course.learners === 1 ? 'learner' : 'learners'}
                </span>
              </label>
            ))}
          </div>
        </fieldset>
      )}
      {courseId !== null && <ReleaseFields courseId={courseId} draft={draft} onChange={setDraft} />}
      {hasPassed && (
        <Alert tone="problem" className="mt-3" role="alert">
          <p>
            {moment(typedTime(draft.closesAt))} has passed, so nobody could answer it. Choose a later time to close it,
            or none.
          </p>
          <button
            type="button"
            className="btn btn-edge btn-sm mt-2"
            onClick={() => setDraft({ ...draft, closesAt: '' })}
          >
            Let it stay open
          </button>
        </Alert>
      )}
      {kept.isError && <p className="text-brick mt-3">{kept.error.message}</p>}
      {kept.isSuccess && <CheckList questions={questions} draft={draft} onKnown={setErrors} />}
      {errors !== null && errors > 0 && (
        <label className="flex items-center gap-2 mt-3">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={read}
            onChange={(event) => setRead(event.target.checked)}
          />
          Release it with {errors === 1 ? 'this error' : `these ${errors} errors`}
        </label>
      )}
      {publish.isError && (
        <Alert tone="problem" className="mt-3" role="alert">
          <p>{publish.error.message}</p>
          {problems?.map(({ path, message }) => (
            <p key={path}>{message}</p>
          ))}
        </Alert>
      )}
    </Confirm>
  );
}

/** Whoever has no course makes one here. */
function FirstCourse() {
  const [title, setTitle] = useState('');
  const client = useQueryClient();
  const [id] = useState(() => crypto.randomUUID());
  const make = useMutation({
    mutationFn: () => ask('POST /api/courses', { body: { id, title: title.trim() } }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['courses'] }),
  });
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        event.stopPropagation();
        if (title.trim() !== '') make.mutate();
      }}
    >
      <Field
        label="You have no course yet. What shall your first be called?"
        className="grow"
        value={title}
        maxLength={200}
        data-autofocus
        onChange={(event) => setTitle(event.target.value)}
      />
      <button type="submit" className="btn btn-edge" disabled={title.trim() === '' || make.isPending}>
        Make the course
      </button>
      {make.isError && <p className="text-brick w-full">{make.error.message}</p>}
    </form>
  );
}
