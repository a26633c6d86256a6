import { bodies, endpoint, keepList, removeList } from '../../../server';

export const PUT = endpoint('teacher', { does: 'Saves a stock list.', body: bodies.stockListContent, maxBytes: 1024 * 1024 }, ({ as, body: { from, ...content }, id }) =>
  keepList(as, id, content, from),
);
export const DELETE = endpoint('teacher', { does: 'Removes a stock list.' }, ({ as, id }) => removeList(as, id));
