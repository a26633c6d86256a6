import { endpoint, groupNeeds } from '../../../../server';

export const POST = endpoint('POST /api/releases/{id}/groups', ({ as, id, body }) => groupNeeds(as, id, body));
