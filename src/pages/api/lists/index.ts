import { bodies, endpoint, listLists, makeList, ok } from '../../../server';

export const GET = endpoint('teacher', { does: 'The teacher’s stock lists.' }, async ({ as }) => ok(await listLists(as)));
export const POST = endpoint('teacher', { does: 'Makes a stock list.', body: bodies.newStockList, maxBytes: 1024 * 1024 }, ({ as, body }) => makeList(as, body));
