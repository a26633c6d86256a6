import { endpoint, versionAt } from '../../../../../server';

export const GET = endpoint('teacher', null, ({ as, id, params }) => versionAt(as, id, Number(params.revision)));
