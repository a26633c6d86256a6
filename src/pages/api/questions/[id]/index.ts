import { bodies, endpoint, openQuestion, setDeleted, setStartingPoint } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => openQuestion(as, id));
export const PATCH = endpoint('teacher', bodies.questionChange, ({ as, id, body }) =>
  'startingPoint' in body && typeof body.startingPoint === 'boolean' ? setStartingPoint(as, id, body.startingPoint) : setDeleted(as, id, body.deleted === true),
);
