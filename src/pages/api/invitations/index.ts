import { endpoint, listInvitations, ok } from '../../../server';

export const GET = endpoint('GET /api/invitations', async ({ as }) => ok(await listInvitations(as)));
