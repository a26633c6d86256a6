import { bodies, endpoint, setMark } from '../../../../server';

/** Sets a mark by hand, or back to what the sittings came to. */
export const PUT = endpoint('teacher', bodies.handMark, ({ as, id, body }) => setMark(as, id, body.learnerId, body.mark));
