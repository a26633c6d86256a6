import { changeShelf, endpoint, removeShelf } from '../../../../server';

export const PATCH = endpoint('PATCH /api/shelves/{id}', ({ as, id, body }) => changeShelf(as, id, body));
export const DELETE = endpoint('DELETE /api/shelves/{id}', ({ as, id }) => removeShelf(as, id));
