import { endOtherSessions, endpoint, listSessions, ok } from '../../../../server';

export const GET = endpoint('signedIn', { does: 'Where the person is signed in.' }, async ({ as, session }) => ok(await listSessions(as, session)));
export const DELETE = endpoint('signedIn', { does: 'Signs the person out everywhere but here.' }, ({ as, session }) => endOtherSessions(as, session));
