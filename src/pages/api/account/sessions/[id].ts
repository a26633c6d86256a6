import { endpoint, endSession } from '../../../../server';

export const DELETE = endpoint('DELETE /api/account/sessions/{id}', ({ as, id }) => endSession(as, id));
