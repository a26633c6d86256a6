import { endpoint, sit } from '../../../../server';

/** A learner begins: the first sitting, or another after a finished one. Asked again while one runs, it is that one. */
export const POST = endpoint('learner', null, ({ as, id }) => sit(as, id));
