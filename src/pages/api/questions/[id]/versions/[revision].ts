import { endpoint, versionAt } from '../../../../../server';

export const GET = endpoint('teacher', { does: 'A question as it stood at a revision.' }, ({ as, id, params }) => versionAt(as, id, Number(params.revision)));
