import { endpoint, outcomesOf, setOutcomes } from '../../../../server';

export const GET = endpoint('GET /api/questions/{id}/outcomes', ({ as, id }) => outcomesOf(as, id));
export const PUT = endpoint('PUT /api/questions/{id}/outcomes', ({ as, id, body }) =>
  setOutcomes(as, id, body.outcomes),
);
