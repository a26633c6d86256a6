import { endpoint, replaceInQuestions, takeBack } from '../../../server';

export const POST = endpoint('POST /api/questions/words', ({ as, body }) => replaceInQuestions(as, body));
export const DELETE = endpoint('DELETE /api/questions/words', ({ as, body }) => takeBack(as, body.done));
