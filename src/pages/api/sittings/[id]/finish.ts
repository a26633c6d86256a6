import { endpoint, finish } from '../../../../server';

export const POST = endpoint('learner', { does: 'Finishes a sitting.' }, ({ as, id }) => finish(as, id));
