import { endpoint, listInvitations, ok } from '../../../server';

export const GET = endpoint('learner', { does: 'The courses the learner is asked into.' }, async ({ as }) => ok(await listInvitations(as)));
