import { copyRelease, endpoint } from '../../../../server';

export const POST = endpoint('POST /api/releases/{id}/copies', ({ as, id, body }) => copyRelease(as, id, body.copies));
