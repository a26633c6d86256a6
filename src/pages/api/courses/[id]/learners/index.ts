import { endpoint, listRoster, makeLearner, removeLearner } from '../../../../../server';

export const GET = endpoint('GET /api/courses/{id}/learners', ({ as, id, query }) => listRoster(as, id, query));
export const POST = endpoint('POST /api/courses/{id}/learners', ({ as, id, body }) => makeLearner(as, id, body));
export const DELETE = endpoint('DELETE /api/courses/{id}/learners', ({ as, id, body }) =>
  removeLearner(as, id, body.learners),
);
