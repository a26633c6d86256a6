import { bodies, changeShelf, endpoint, removeShelf } from '../../../../server';

export const PATCH = endpoint('teacher', bodies.shelfChange, ({ as, id, body }) => changeShelf(as, id, body));
export const DELETE = endpoint('teacher', null, ({ as, id }) => removeShelf(as, id));
