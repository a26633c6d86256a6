import { endpoint, removeList, saveList } from '../../../server';

export const PUT = endpoint('PUT /api/lists/{id}', ({ as, body: { from, ...content }, id }) =>
  saveList(as, id, content, from),
);
export const DELETE = endpoint('DELETE /api/lists/{id}', ({ as, id }) => removeList(as, id));
