import { bodies, endpoint, makeSet } from '../../../server';

export const POST = endpoint('teacher', bodies.titled, ({ as, body }) => makeSet(as, body.id, body.title));
