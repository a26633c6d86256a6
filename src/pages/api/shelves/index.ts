import { bodies, endpoint, listShelves, makeShelf, ok } from '../../../server';

export const GET = endpoint('teacher', { does: 'The shelves the teacher may see.' }, async ({ as }) => ok(await listShelves(as)));
export const POST = endpoint('teacher', { does: 'Makes a shelf.', body: bodies.newShelf }, ({ as, body }) => makeShelf(as, body));
