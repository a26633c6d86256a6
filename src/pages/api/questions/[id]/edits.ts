import { bodies, editQuestion, endpoint } from '../../../../server';

export const POST = endpoint(
  'teacher',
  { does: 'A batch of edits to a question, made on a revision of it. A batch sent twice counts once.', body: bodies.batch, maxBytes: 2 * 1024 * 1024 },
  ({ as, id, body }) => editQuestion(as, id, body),
);
