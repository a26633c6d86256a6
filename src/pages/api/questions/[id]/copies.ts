import { bodies, copyQuestion, endpoint, keepAsCopy } from '../../../../server';

/** A copy of what is kept, or (with a document) of what the author has in front of them. */
export const POST = endpoint('teacher', bodies.copyBody, ({ as, id, body }) =>
  body.document === undefined ? copyQuestion(as, id, body.id) : keepAsCopy(as, body.id, body.document),
);
