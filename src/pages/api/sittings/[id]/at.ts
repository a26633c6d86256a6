import { endpoint, goTo } from '../../../../server';

export const POST = endpoint('POST /api/sittings/{id}/at', ({ as, body, id }) => goTo(as, id, body.question));
