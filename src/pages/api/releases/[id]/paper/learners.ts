import { endpoint, sheetLearners } from '../../../../../server';

export const GET = endpoint('GET /api/releases/{id}/paper/learners', ({ as, id }) => sheetLearners(as, id));
