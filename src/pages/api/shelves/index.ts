import { endpoint, listShelves, makeShelf, ok } from '../../../server';

export const GET = endpoint('GET /api/shelves', async ({ as }) => ok(await listShelves(as)));
export const POST = endpoint('POST /api/shelves', ({ as, body }) => makeShelf(as, body));
