import { dateOf, endpoint, enterSheet, sheetOf } from '../../../../../server';

export const GET = endpoint('GET /api/releases/{id}/paper', ({ as, id, query }) => sheetOf(as, id, query.variant));
export const POST = endpoint('POST /api/releases/{id}/paper', async ({ as, id, body }) => {
  const entered = await enterSheet(as, id, { ...body, writtenAt: dateOf(body.writtenAt) });
  if (entered.ok) as.jobs?.wake();
  return entered;
});
