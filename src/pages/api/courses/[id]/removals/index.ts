import { endpoint, removalEffects, remove } from '../../../../../server';

export const GET = endpoint('GET /api/courses/{id}/removals', ({ as, id, query }) =>
  removalEffects(as, id, query.kind, query.of),
);
export const POST = endpoint('POST /api/courses/{id}/removals', ({ as, id, body }) => remove(as, id, body));
