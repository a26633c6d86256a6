import { bodies, endpoint, keepSet } from '../../../server';

export const PUT = endpoint('teacher', bodies.setContent, ({ as, body, id }) => keepSet(as, id, body));
