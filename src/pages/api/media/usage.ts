import { clearUnused, endpoint, mediaUsage } from '../../../server';

export const GET = endpoint('GET /api/media/usage', ({ as }) => mediaUsage(as));
export const DELETE = endpoint('DELETE /api/media/usage', ({ as }) => clearUnused(as));
