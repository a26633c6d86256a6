import { changeCourse, dateOf, endpoint, openCourse } from '../../../../server';

export const GET = endpoint('GET /api/courses/{id}', ({ as, id }) => openCourse(as, id));
export const PATCH = endpoint('PATCH /api/courses/{id}', ({ as, id, body: { join, ...change } }) =>
  changeCourse(as, id, { ...change, join: join ? { until: dateOf(join.until) } : join }),
);
