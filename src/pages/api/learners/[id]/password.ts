import { bodies, endpoint, resetLearnerPassword } from '../../../../server';

export const PUT = endpoint('teacher', bodies.newPassword, ({ as, id, body }) => resetLearnerPassword(as, id, body.password));
