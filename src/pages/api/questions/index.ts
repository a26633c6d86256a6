import { changeMany, endpoint, listVault, makeQuestion, ok } from '../../../server';

export const GET = endpoint('GET /api/questions', async ({ as, query }) => ok(await listVault(as, query)));
export const POST = endpoint('POST /api/questions', ({ as, body }) =>
  makeQuestion(as, body.id, body.example ?? null, body.shelfId ?? null, body.first ?? null),
);
export const PATCH = endpoint('PATCH /api/questions', ({ as, body }) => changeMany(as, body));
