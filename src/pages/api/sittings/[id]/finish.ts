import { endpoint, finish } from '../../../../server';

export const POST = endpoint('POST /api/sittings/{id}/finish', ({ as, id }) => finish(as, id));
