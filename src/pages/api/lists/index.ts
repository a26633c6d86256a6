import { endpoint, listLists, makeList, ok } from '../../../server';

export const GET = endpoint('GET /api/lists', async ({ as }) => ok(await listLists(as)));
export const POST = endpoint('POST /api/lists', ({ as, body }) => makeList(as, body));
