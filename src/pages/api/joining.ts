import { bodies, endpoint, joinCourse, openEndpoint, registerWith } from '../../server';

/** A learner joins a course by its code. */
export const POST = endpoint('learner', bodies.joining, ({ as, body }) => joinCourse(as, body.code));

/** Somebody without an account makes one with a code. */
export const PUT = openEndpoint(bodies.registering, ({ app, body: { code, ...learner } }) => registerWith(app, code, learner));
