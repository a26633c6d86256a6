import { bodies, endpoint, saveGroup } from '../../../../../server';

export const PUT = endpoint('teacher', { does: 'Makes a group, or gives it another name.', body: bodies.group }, ({ as, id, body }) => saveGroup(as, id, body));
