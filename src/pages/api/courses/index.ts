import { endpoint, listCourses, makeCourse, ok } from '../../../server';

export const GET = endpoint('GET /api/courses', async ({ as }) => ok(await listCourses(as)));
export const POST = endpoint('POST /api/courses', ({ as, body }) => makeCourse(as, body.id, body.title));
