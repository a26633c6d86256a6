import { endpoint, resetLearnerPassword } from '../../../../server';

export const PUT = endpoint('PUT /api/learners/{id}/password', ({ as, id, body }) =>
  resetLearnerPassword(as, id, body.password),
);
