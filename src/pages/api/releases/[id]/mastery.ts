import { endpoint, masteryOfRelease } from '../../../../server';

export const GET = endpoint('GET /api/releases/{id}/mastery', ({ as, id }) => masteryOfRelease(as, id));
