import { endpoint, reportOf } from '../../../../../../server';

export const GET = endpoint('GET /api/courses/{id}/learners/{learner}/report', ({ as, id, params }) =>
  reportOf(as, id, params.learner),
);
