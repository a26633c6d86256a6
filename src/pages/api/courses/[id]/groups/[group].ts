import { endpoint, setMember } from '../../../../../server';

export const PUT = endpoint('PUT /api/courses/{id}/groups/{group}', ({ as, id, params, body }) =>
  setMember(as, id, params.group, body.learnerId, body.isIn),
);
