import { analysisOf, endpoint } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => analysisOf(as, id));
