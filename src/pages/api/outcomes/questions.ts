import { endpoint, outcomesOnMany } from '../../../server';

export const POST = endpoint('POST /api/outcomes/questions', ({ as, body }) => outcomesOnMany(as, body));
