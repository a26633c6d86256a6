import { bodies, endpoint, listCourses, makeCourse, ok } from '../../../server';

export const GET = endpoint('teacher', null, async ({ as }) => ok(await listCourses(as)));
export const POST = endpoint('teacher', bodies.titled, ({ as, body }) => makeCourse(as, body.id, body.title));
