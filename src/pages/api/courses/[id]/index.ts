import { bodies, changeCourse, endpoint, openCourse } from '../../../../server';

export const GET = endpoint('teacher', { does: 'A course and its releases.' }, ({ as, id }) => openCourse(as, id));
export const PATCH = endpoint(
  'teacher',
  { does: 'Renames a course, puts it away or brings it back, or sets its join code.', body: bodies.courseChange },
  ({ as, id, body: { join, ...change } }) => changeCourse(as, id, { ...change, join: join ? { until: bodies.at(join.until) } : join }),
);
