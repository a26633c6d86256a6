import { endpoint, setMark } from '../../../../server';

export const PUT = endpoint('PUT /api/releases/{id}/marks', ({ as, id, body }) =>
  setMark(as, id, body.learnerId, body.mark),
);
