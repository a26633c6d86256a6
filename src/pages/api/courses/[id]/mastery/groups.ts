import { endpoint, groupByOutcome } from '../../../../../server';

export const POST = endpoint('POST /api/courses/{id}/mastery/groups', ({ as, id, body }) =>
  groupByOutcome(as, id, body),
);
