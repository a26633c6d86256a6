import { bodies, endpoint, saveUnits } from '../../../../server';

export const PUT = endpoint(
  'teacher',
  { does: 'Saves the units of a course, all of them at once, in their order.', body: bodies.units, maxBytes: 256 * 1024 },
  ({ as, id, body }) => saveUnits(as, id, body.units, body.from),
);
