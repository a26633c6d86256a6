import { endpoint, listFormerLearners } from '../../../../server';

export const GET = endpoint('GET /api/courses/{id}/left', ({ as, id }) => listFormerLearners(as, id));
