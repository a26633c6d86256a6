import { bodies, endpoint, queries, removalEffects, remove } from '../../../../../server';

export const GET = endpoint('teacher', { does: 'What removing a unit, a weight category or a group would do, and to which marks.', query: queries.removing }, ({ as, id, query }) =>
  removalEffects(as, id, query.kind, query.of),
);
export const POST = endpoint('teacher', { does: 'Removes a unit, a weight category or a group. What named it goes on without.', body: bodies.removal }, ({ as, id, body }) =>
  remove(as, id, body),
);
