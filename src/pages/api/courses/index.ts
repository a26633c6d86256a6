import { bodies, endpoint, listCourses, makeCourse, ok } from '../../../server';

export const GET = endpoint('teacher', { does: 'The courses the teacher owns or teaches.' }, async ({ as }) => ok(await listCourses(as)));
export const POST = endpoint('teacher', { does: 'Makes a course.', body: bodies.titled }, ({ as, body }) => makeCourse(as, body.id, body.title));
