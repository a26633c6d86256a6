import { endpoint, finish } from '../../../../server';

export const POST = endpoint('learner', null, ({ as, id }) => finish(as, id));
