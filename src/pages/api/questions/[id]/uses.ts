import { endpoint, usesOf } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => usesOf(as, id));
