import { endpoint, listAudit } from '../../../../server';

export const GET = endpoint('GET /api/courses/{id}/audit', ({ as, id }) => listAudit(as, id));
