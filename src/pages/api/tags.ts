import { endpoint, listTags, ok } from '../../server';

export const GET = endpoint('GET /api/tags', async ({ as }) => ok(await listTags(as)));
