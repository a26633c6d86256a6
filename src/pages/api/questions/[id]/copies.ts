import { bodies, copyQuestion, endpoint, keepAsCopy } from '../../../../server';

export const POST = endpoint(
  'teacher',
  { does: 'Copies a question as it is kept, or (with a document) keeps what the author has in front of them.', body: bodies.copyBody, maxBytes: 2 * 1024 * 1024 },
  ({ as, id, body }) => (body.document === undefined ? copyQuestion(as, id, body.id) : keepAsCopy(as, body.id, body.document)),
);
