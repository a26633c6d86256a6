import { bodies, endpoint, listLists, makeList, ok } from '../../../server';

export const GET = endpoint('teacher', null, async ({ as }) => ok(await listLists(as)));
export const POST = endpoint('teacher', bodies.newStockList, ({ as, body }) => makeList(as, body));
