import { bodies, endpoint, keepSet } from '../../../server';

export const PUT = endpoint('teacher', { does: 'Keeps a set.', body: bodies.setContent, maxBytes: 2 * 1024 * 1024 }, ({ as, body, id }) => keepSet(as, id, body));
