import { endpoint, reopen, retraceOf } from '../../../../../server';

export const GET = endpoint('GET /api/releases/{id}/sittings/{sitting}', ({ as, id, params }) =>
  retraceOf(as, id, params.sitting),
);
export const PUT = endpoint('PUT /api/releases/{id}/sittings/{sitting}', ({ as, id, params, body }) =>
  reopen(as, id, params.sitting, body.minutes),
);
