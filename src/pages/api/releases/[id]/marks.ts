import { bodies, endpoint, setMark } from '../../../../server';

export const PUT = endpoint('teacher', { does: 'Sets a learner’s mark by hand, or back to what the sittings came to.', body: bodies.handMark }, ({ as, id, body }) =>
  setMark(as, id, body.learnerId, body.mark),
);
