import { endpoint, shareShelf } from '../../../../server';

export const PUT = endpoint('PUT /api/shelves/{id}/shares', ({ as, id, body }) => shareShelf(as, id, body));
