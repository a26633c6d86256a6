import { endpoint, liveOf } from '../../../../../server';

export const GET = endpoint('GET /api/releases/{id}/live', ({ as, id }) => liveOf(as, id));
