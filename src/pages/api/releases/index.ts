import { beginPublishing, bodies, endpoint } from '../../../server';

export const POST = endpoint(
  'teacher',
  {
    does: 'Publishes a question as it stood at a revision, or a set, to a course: at once, or (where model answers have to be found) as a job.',
    body: bodies.publication,
    maxBytes: 256 * 1024,
  },
  async ({ as, body: { id, courseId, settings, questionId, revision, setId } }) => {
    const begun = await beginPublishing(as, {
      id,
      courseId,
      settings: settings ? bodies.timed(settings) : {},
      ...(typeof setId === 'string' ? { setId } : { questionId: questionId ?? '', revision: revision ?? 0 }),
    });
    as.jobs?.wake();
    return begun;
  },
);
