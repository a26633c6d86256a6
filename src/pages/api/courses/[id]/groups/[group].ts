import { bodies, endpoint, removeGroup, setMember } from '../../../../../server';

export const PUT = endpoint('teacher', bodies.member, ({ as, id, params, body }) => setMember(as, id, params.group ?? '', body.learnerId, body.isIn));
export const DELETE = endpoint('teacher', null, ({ as, id, params }) => removeGroup(as, id, params.group ?? ''));
