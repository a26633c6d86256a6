import { bodies, endpoint, keepList, removeList } from '../../../server';

export const PUT = endpoint('teacher', bodies.stockListContent, ({ as, body, id }) => keepList(as, id, body));
export const DELETE = endpoint('teacher', null, ({ as, id }) => removeList(as, id));
