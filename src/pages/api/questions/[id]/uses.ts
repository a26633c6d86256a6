import { endpoint, usesOf } from '../../../../server';

export const GET = endpoint('teacher', { does: 'Who uses a question, and where.' }, ({ as, id }) => usesOf(as, id));
