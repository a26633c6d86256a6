import { endpoint, listParts } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => listParts(as, id));
