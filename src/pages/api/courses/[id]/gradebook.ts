import { endpoint, openGradebook, queries } from '../../../../server';

export const GET = endpoint('teacher', { does: 'A page of the gradebook: learners by releases that count.', query: queries.grades }, ({ as, id, query }) =>
  openGradebook(as, id, query),
);
