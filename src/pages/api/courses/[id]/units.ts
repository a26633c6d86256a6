import { endpoint, saveUnits } from '../../../../server';

export const PUT = endpoint('PUT /api/courses/{id}/units', ({ as, id, body }) =>
  saveUnits(as, id, body.units, body.from),
);
