import { bodies, endpoint, keepUnits } from '../../../../server';

export const PUT = endpoint(
  'teacher',
  { does: 'Keeps the units of a course, all of them at once, in their order.', body: bodies.units, maxBytes: 256 * 1024 },
  ({ as, id, body }) => keepUnits(as, id, body.units),
);
