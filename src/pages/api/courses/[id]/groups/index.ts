import { bodies, endpoint, keepGroup } from '../../../../../server';

export const PUT = endpoint('teacher', bodies.group, ({ as, id, body }) => keepGroup(as, id, body.id, body.title));
