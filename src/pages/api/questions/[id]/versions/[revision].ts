import { endpoint, versionAt } from '../../../../../server';

export const GET = endpoint('GET /api/questions/{id}/versions/{revision}', ({ as, id, params }) =>
  versionAt(as, id, Number(params.revision)),
);
