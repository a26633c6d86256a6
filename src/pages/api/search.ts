import { endpoint, findAnything, ok } from '../../server';

export const GET = endpoint('GET /api/search', async ({ as, query }) => ok(await findAnything(as, query.words)));
