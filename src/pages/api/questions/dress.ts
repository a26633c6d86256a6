import { dressQuestions, endpoint, takeBack } from '../../../server';

export const POST = endpoint('POST /api/questions/dress', ({ as, body }) => dressQuestions(as, body));
export const DELETE = endpoint('DELETE /api/questions/dress', ({ as, body }) => takeBack(as, body.done));
