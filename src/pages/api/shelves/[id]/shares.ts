import { bodies, endpoint, shareShelf } from '../../../../server';

export const PUT = endpoint('teacher', { does: 'Shares a shelf with a colleague, or (`right` null) no longer.', body: bodies.shelfShare }, ({ as, id, body }) =>
  shareShelf(as, id, body),
);
