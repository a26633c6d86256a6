import { copyQuestion, endpoint, saveAsCopy } from '../../../../server';

export const POST = endpoint('POST /api/questions/{id}/copies', ({ as, id, body }) =>
  body.document === undefined ? copyQuestion(as, id, body.id) : saveAsCopy(as, body.id, body.document),
);
