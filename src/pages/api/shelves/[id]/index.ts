import { bodies, changeShelf, endpoint, removeShelf } from '../../../../server';

export const PATCH = endpoint('teacher', { does: 'Renames a shelf or puts it onto another.', body: bodies.shelfChange }, ({ as, id, body }) => changeShelf(as, id, body));
export const DELETE = endpoint('teacher', { does: 'Removes a shelf. What stands on it is moved, not deleted.' }, ({ as, id }) => removeShelf(as, id));
