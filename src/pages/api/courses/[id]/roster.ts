import { endpoint, planRoster, takeRoster } from '../../../../server';

export const POST = endpoint('POST /api/courses/{id}/roster', async ({ as, id, body: { text, take, removeOthers } }) =>
  take ? await takeRoster(as, id, text, removeOthers) : await planRoster(as, id, text),
);
