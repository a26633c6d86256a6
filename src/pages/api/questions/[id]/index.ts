import { bodies, endpoint, openQuestion, setDeleted, setStartingPoint } from '../../../../server';

export const GET = endpoint('teacher', { does: 'A question with its revision.' }, ({ as, id }) => openQuestion(as, id));
export const PATCH = endpoint('teacher', { does: 'Deletes a question or brings it back, or keeps it as a starting point.', body: bodies.questionChange }, ({ as, id, body }) =>
  'startingPoint' in body && typeof body.startingPoint === 'boolean' ? setStartingPoint(as, id, body.startingPoint) : setDeleted(as, id, body.deleted === true),
);
