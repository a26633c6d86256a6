import { endpoint, setSetDeleted } from '../../../../server';

export const POST = endpoint('POST /api/sets/{id}/restore', ({ as, id }) => setSetDeleted(as, id, false));
