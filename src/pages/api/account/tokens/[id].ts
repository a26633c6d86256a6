import { endpoint, takeTokenBack } from '../../../../server';

export const DELETE = endpoint('DELETE /api/account/tokens/{id}', ({ as, id }) => takeTokenBack(as, id));
