import { endpoint, importRoster, planRoster } from '../../../../server';

export const POST = endpoint('POST /api/courses/{id}/roster', async ({ as, id, body: { text, take, removeOthers } }) =>
  take ? await importRoster(as, id, text, removeOthers) : await planRoster(as, id, text),
);
