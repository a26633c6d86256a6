import { bodies, endpoint, listTeachers, setTeacher } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => listTeachers(as, id));
export const PUT = endpoint('teacher', bodies.coTeacher, ({ as, id, body }) => setTeacher(as, id, body.username, body.teaches));
