import { endpoint, listTeachers, setTeacher } from '../../../../server';

export const GET = endpoint('GET /api/courses/{id}/teachers', ({ as, id }) => listTeachers(as, id));
export const PUT = endpoint('PUT /api/courses/{id}/teachers', ({ as, id, body }) =>
  setTeacher(as, id, body.username, body.teaches),
);
