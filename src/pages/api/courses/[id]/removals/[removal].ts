import { endpoint, undoRemoval } from '../../../../../server';

export const DELETE = endpoint('DELETE /api/courses/{id}/removals/{removal}', ({ as, id, params }) =>
  undoRemoval(as, id, params.removal),
);
