import { endpoint, myEvents, ok } from '../../../server';

export const GET = endpoint('GET /api/account/events', async ({ as }) => ok(await myEvents(as)));
