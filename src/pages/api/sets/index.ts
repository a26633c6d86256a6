import { bodies, endpoint, makeSet } from '../../../server';

export const POST = endpoint('teacher', { does: 'Makes a set.', body: bodies.titled }, ({ as, body }) => makeSet(as, body.id, body.title));
