import { endpoint, listVersions } from '../../../../../server';

export const GET = endpoint('teacher', { does: 'The versions of a question.' }, ({ as, id }) => listVersions(as, id));
