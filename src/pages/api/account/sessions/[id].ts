import { endpoint, endSession } from '../../../../server';

export const DELETE = endpoint('signedIn', { does: 'Signs out one of the person’s browsers.' }, ({ as, id }) => endSession(as, id));
