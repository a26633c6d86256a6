import { editQuestion, endpoint } from '../../../../server';

export const POST = endpoint('POST /api/questions/{id}/edits', ({ as, id, body }) => editQuestion(as, id, body));
