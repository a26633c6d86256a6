import { endpoint, sit } from '../../../../../server';

export const POST = endpoint('learner', { does: 'Begins a sitting: the first, or another after a finished one. While one runs it is that one.' }, ({ as, id }) => sit(as, id));
