import { bodies, endpoint, openQuestion, setDeleted } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => openQuestion(as, id));
export const PATCH = endpoint('teacher', bodies.deletion, ({ as, id, body }) => setDeleted(as, id, body.deleted));
