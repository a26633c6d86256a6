import { bodies, endpoint, resetLearnerPassword } from '../../../../server';

export const PUT = endpoint('teacher', { does: 'Sets a new password for a learner whose account the teacher made.', body: bodies.newPassword }, ({ as, id, body }) =>
  resetLearnerPassword(as, id, body.password),
);
