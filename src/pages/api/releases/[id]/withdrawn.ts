import { endpoint, setWithdrawn } from '../../../../server';

export const PUT = endpoint('PUT /api/releases/{id}/withdrawn', ({ as, id, body }) =>
  setWithdrawn(as, id, body.withdrawn),
);
