import { dateOf, endpoint, setAllowance } from '../../../../server';

export const PUT = endpoint('PUT /api/releases/{id}/allowances', ({ as, id, body: { learnerId, allowed } }) =>
  setAllowance(
    as,
    id,
    learnerId,
    allowed && { ...allowed, dueAt: dateOf(allowed.dueAt), closesAt: dateOf(allowed.closesAt) },
  ),
);
