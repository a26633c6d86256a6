import { bodies, endpoint, publish } from '../../../server';

export const POST = endpoint('teacher', bodies.publication, ({ as, body: { id, courseId, dueAt, minutes, questionId, revision, setId } }) =>
  publish(as, {
    id,
    courseId,
    dueAt: dueAt === null ? null : new Date(dueAt),
    minutes,
    ...(typeof setId === 'string' ? { setId } : { questionId: questionId ?? '', revision: revision ?? 0 }),
  }),
);
