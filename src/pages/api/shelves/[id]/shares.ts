import { bodies, endpoint, shareShelf } from '../../../../server';

/** Shares a shelf with a colleague, or (`right` null) no longer. */
export const PUT = endpoint('teacher', bodies.shelfShare, ({ as, id, body }) => shareShelf(as, id, body));
