import { endpoint, listVersions } from '../../../../../server';

export const GET = endpoint('GET /api/questions/{id}/versions', ({ as, id }) => listVersions(as, id));
