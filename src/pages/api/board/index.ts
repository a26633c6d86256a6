import { endpoint, openBoard } from '../../../server';

export const GET = endpoint('GET /api/board', ({ as, query }) => openBoard(as, query));
