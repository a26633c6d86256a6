import { endpoint, openQuestion, setDeleted, setStartingPoint } from '../../../../server';

export const GET = endpoint('GET /api/questions/{id}', ({ as, id }) => openQuestion(as, id));
export const PATCH = endpoint('PATCH /api/questions/{id}', ({ as, id, body }) =>
  'startingPoint' in body && typeof body.startingPoint === 'boolean'
    ? setStartingPoint(as, id, body.startingPoint)
    : setDeleted(as, id, body.deleted === true),
);
