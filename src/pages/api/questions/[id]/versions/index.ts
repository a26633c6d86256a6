import { endpoint, listVersions } from '../../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => listVersions(as, id));
