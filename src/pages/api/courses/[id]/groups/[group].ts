import { bodies, endpoint, removeGroup, setMember } from '../../../../../server';

export const PUT = endpoint('teacher', { does: 'Puts a learner into a group, or takes them out of it.', body: bodies.member }, ({ as, id, params, body }) =>
  setMember(as, id, params.group ?? '', body.learnerId, body.isIn),
);
export const DELETE = endpoint('teacher', { does: 'Removes a group. Its learners stay in the course.' }, ({ as, id, params }) => removeGroup(as, id, params.group ?? ''));
