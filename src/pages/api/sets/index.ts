import { endpoint, listSets, makeSet, ok } from '../../../server';

export const GET = endpoint('GET /api/sets', async ({ as }) => ok(await listSets(as)));
export const POST = endpoint('POST /api/sets', ({ as, body }) => makeSet(as, body.id, body.title));
