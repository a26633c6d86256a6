import { endpoint, setPictureCode } from '../../../../server';

export const PUT = endpoint('PUT /api/courses/{id}/pictures', ({ as, id, body }) =>
  setPictureCode(as, id, body.allowed),
);
