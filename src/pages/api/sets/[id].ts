import { bodies, endpoint, keepSet } from '../../../server';

export const PUT = endpoint('teacher', { does: 'Keeps a set.', body: bodies.setContent }, ({ as, body, id }) => keepSet(as, id, body));
