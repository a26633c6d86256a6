import { endpoint, undoRemoval } from '../../../../../server';

export const DELETE = endpoint('teacher', { does: 'Takes a removal back: what was removed is there again, and is named by what named it.' }, ({ as, id, params }) =>
  undoRemoval(as, id, params.removal ?? ''),
);
