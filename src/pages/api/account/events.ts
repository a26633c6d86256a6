import { endpoint, myEvents, ok } from '../../../server';

export const GET = endpoint('signedIn', { does: 'What happened to the person’s account, the newest first.' }, async ({ as }) => ok(await myEvents(as)));
