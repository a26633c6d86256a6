import { bodies, endpoint, keepSet } from '../../../server';

export const PUT = endpoint('teacher', { does: 'Saves a set.', body: bodies.setChange, maxBytes: 2 * 1024 * 1024 }, ({ as, body: { from, ...content }, id }) =>
  keepSet(as, id, content, from),
);
