import { endpointOf, json } from '../../server';

export const GET = endpointOf('GET /api/ping', () => json({ ok: true }));
