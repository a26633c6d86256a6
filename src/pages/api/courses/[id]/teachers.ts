import { bodies, endpoint, listTeachers, setTeacher } from '../../../../server';

export const GET = endpoint('teacher', { does: 'Who teaches a course.' }, ({ as, id }) => listTeachers(as, id));
export const PUT = endpoint('teacher', { does: 'Makes a teacher a co-teacher of a course, or no longer.', body: bodies.coTeacher }, ({ as, id, body }) =>
  setTeacher(as, id, body.username, body.teaches),
);
