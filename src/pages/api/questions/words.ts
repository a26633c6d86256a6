import { endpoint, replaceInQuestions, undoReplacing } from '../../../server';

export const POST = endpoint('POST /api/questions/words', ({ as, body }) => replaceInQuestions(as, body));
export const DELETE = endpoint('DELETE /api/questions/words', ({ as, body }) => undoReplacing(as, body.done));
