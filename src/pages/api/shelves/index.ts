import { bodies, endpoint, listShelves, makeShelf, ok } from '../../../server';

export const GET = endpoint('teacher', null, async ({ as }) => ok(await listShelves(as)));
export const POST = endpoint('teacher', bodies.newShelf, ({ as, body }) => makeShelf(as, body));
