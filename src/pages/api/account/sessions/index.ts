import { endOtherSessions, endpoint, listSessions, ok } from '../../../../server';

export const GET = endpoint('GET /api/account/sessions', async ({ as, session }) =>
  ok(await listSessions(as, session)),
);
export const DELETE = endpoint('DELETE /api/account/sessions', ({ as, session }) => endOtherSessions(as, session));
