import { carriedQuestions, endpoint } from '../../../server';

export const GET = endpoint('GET /api/packages/carried', ({ as, query: { shelf, set, questions } }) =>
  carriedQuestions(as, shelf ? { shelf } : set ? { set } : { questions: questions?.split(',') ?? [] }),
);
