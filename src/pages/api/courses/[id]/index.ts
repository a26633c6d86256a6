import { bodies, changeCourse, endpoint, openCourse } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => openCourse(as, id));
export const PATCH = endpoint('teacher', bodies.courseChange, ({ as, id, body: { join, ...change } }) =>
  changeCourse(as, id, { ...change, join: join ? { until: bodies.at(join.until) } : join }),
);
