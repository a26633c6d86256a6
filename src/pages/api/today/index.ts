import { endpoint, noteLook, ok, todayOf } from '../../../server';

export const GET = endpoint('GET /api/today', async ({ as }) => ok(await todayOf(as)));
export const PUT = endpoint('PUT /api/today', ({ as }) => noteLook(as));
