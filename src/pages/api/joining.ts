import { endpoint, joinCourse, openEndpoint, registerWith } from '../../server';

export const POST = endpoint('POST /api/joining', ({ as, body }) => joinCourse(as, body.code));
export const PUT = openEndpoint('PUT /api/joining', ({ app, address, body: { code, ...learner } }) =>
  registerWith({ ...app, address }, code, learner),
);
