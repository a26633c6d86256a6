import { endpoint, saveGroup } from '../../../../../server';

export const PUT = endpoint('PUT /api/courses/{id}/groups', ({ as, id, body }) => saveGroup(as, id, body));
