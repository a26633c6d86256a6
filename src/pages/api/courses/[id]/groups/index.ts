import { bodies, endpoint, keepGroup } from '../../../../../server';

export const PUT = endpoint('teacher', { does: 'Makes a group, or gives it another name.', body: bodies.group }, ({ as, id, body }) => keepGroup(as, id, body.id, body.title));
