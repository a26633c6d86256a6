import { bodies, endpoint, reopen } from '../../../../../server';

export const PUT = endpoint('teacher', { does: 'Opens a finished attempt again, as it was before it ended.', body: bodies.reopening }, ({ as, id, params, body }) =>
  reopen(as, id, params.sitting ?? '', body.minutes),
);
