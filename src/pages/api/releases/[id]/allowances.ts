import { bodies, endpoint, setAllowance } from '../../../../server';

export const PUT = endpoint(
  'teacher',
  { does: 'Allows one learner more time, more sittings or other dates; null: no longer.', body: bodies.allowed },
  ({ as, id, body: { learnerId, allowed } }) => setAllowance(as, id, learnerId, allowed && { ...allowed, dueAt: bodies.at(allowed.dueAt), closesAt: bodies.at(allowed.closesAt) }),
);
