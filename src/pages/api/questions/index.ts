import { bodies, endpoint, makeQuestion } from '../../../server';

export const POST = endpoint('teacher', bodies.newQuestion, ({ as, body }) => makeQuestion(as, body.id, body.example ?? null));
