import { bodies, endpoint, publish } from '../../../server';

export const POST = endpoint(
  'teacher',
  { does: 'Publishes a question as it stood at a revision, or a set, to a course.', body: bodies.publication, maxBytes: 256 * 1024 },
  ({ as, body: { id, courseId, settings, questionId, revision, setId } }) =>
    publish(as, {
      id,
      courseId,
      settings: settings ? bodies.timed(settings) : {},
      ...(typeof setId === 'string' ? { setId } : { questionId: questionId ?? '', revision: revision ?? 0 }),
    }),
);
