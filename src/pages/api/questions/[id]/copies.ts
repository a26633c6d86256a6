import { copyQuestion, endpoint, keepAsCopy } from '../../../../server';

export const POST = endpoint('POST /api/questions/{id}/copies', ({ as, id, body }) =>
  body.document === undefined ? copyQuestion(as, id, body.id) : keepAsCopy(as, body.id, body.document),
);
