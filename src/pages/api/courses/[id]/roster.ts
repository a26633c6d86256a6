import { bodies, endpoint, planRoster, takeRoster } from '../../../../server';

export const POST = endpoint(
  'teacher',
  { does: 'Says what taking a pasted list would change (`take` false), or takes it.', body: bodies.roster, maxBytes: 1024 * 1024 },
  async ({ as, id, body: { text, take, removeOthers } }) => (take ? await takeRoster(as, id, text, removeOthers) : await planRoster(as, id, text)),
);
