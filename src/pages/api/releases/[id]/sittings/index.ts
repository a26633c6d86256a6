import { endpoint, sit } from '../../../../../server';

export const GET = endpoint('GET /api/releases/{id}/sittings', ({ as, id, query: { question } }) =>
  sit(as, id, question === undefined ? null : question - 1, 'open'),
);
export const POST = endpoint('POST /api/releases/{id}/sittings', ({ as, id }) => sit(as, id));
