import { bodies, endpoint, setMember } from '../../../../../server';

export const PUT = endpoint('teacher', { does: 'Puts a learner into a group, or takes them out of it.', body: bodies.member }, ({ as, id, params, body }) =>
  setMember(as, id, params.group ?? '', body.learnerId, body.isIn),
);
