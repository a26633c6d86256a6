import { endpoint, nameVersion, versionAt } from '../../../../../server';

export const GET = endpoint('GET /api/questions/{id}/versions/{revision}', ({ as, id, params }) =>
  versionAt(as, id, Number(params.revision)),
);

export const PUT = endpoint('PUT /api/questions/{id}/versions/{revision}', ({ as, id, params, body }) =>
  nameVersion(as, id, Number(params.revision), body.name),
);
