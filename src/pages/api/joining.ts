import { bodies, endpoint, joinCourse, openEndpoint, registerWith } from '../../server';

export const POST = endpoint('learner', { does: 'A learner joins a course by its code.', body: bodies.joining }, ({ as, body }) => joinCourse(as, body.code));
export const PUT = openEndpoint({ does: 'Somebody without an account makes one with a course’s code.', body: bodies.registering }, ({ app, address, body: { code, ...learner } }) =>
  registerWith({ ...app, address }, code, learner),
);
