import { endpoint, listTokens, makeToken, ok } from '../../../../server';

export const GET = endpoint('GET /api/account/tokens', async ({ as }) => ok(await listTokens(as)));
export const POST = endpoint('POST /api/account/tokens', ({ as, body }) => makeToken(as, body));
