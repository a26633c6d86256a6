import { endpoint, openRelease } from '../../../../../server';

export const GET = endpoint('GET /api/releases/{id}/sittings', ({ as, id, query: { question } }) =>
  openRelease(as, id, question === undefined ? null : question - 1, 'open'),
);
export const POST = endpoint('POST /api/releases/{id}/sittings', ({ as, id }) => openRelease(as, id));
