import { bodies, endpoint, planRoster, takeRoster } from '../../../../server';

/** Says what taking a list would change (`take` false), or takes it. */
export const POST = endpoint('teacher', bodies.roster, ({ as, id, body: { text, take, removeOthers } }) =>
  take ? takeRoster(as, id, text, removeOthers) : planRoster(as, id, text),
);
