import { endpoint, setRemark } from '../../../../server';

export const PUT = endpoint('PUT /api/releases/{id}/remarks', ({ as, id, body }) => setRemark(as, id, body));
