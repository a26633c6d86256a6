import { bodies, endpoint, keepUnits } from '../../../../server';

export const PUT = endpoint('teacher', bodies.units, ({ as, id, body }) => keepUnits(as, id, body.units));
