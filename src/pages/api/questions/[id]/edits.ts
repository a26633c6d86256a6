import { bodies, editQuestion, endpoint } from '../../../../server';

export const POST = endpoint('teacher', bodies.batch, ({ as, id, body }) => editQuestion(as, id, body));
