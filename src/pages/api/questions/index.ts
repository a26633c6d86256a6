import { bodies, endpoint, makeQuestion } from '../../../server';

export const POST = endpoint('teacher', bodies.newThing, ({ as, body }) => makeQuestion(as, body.id));
